<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use App\Http\Faults;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Vinculum\Exchange\RecipeFault;

/**
 * @phpstan-import-type SauceSent from SauceResource
 * @phpstan-import-type ShelfSauce from ShelfResource
 * @phpstan-import-type Written from WrittenRecipe
 * @phpstan-type ReadPage Written
 * @phpstan-type Shelf array{sauces: list<ShelfSauce>, more: bool}
 */
final readonly class SauceController
{
    private const PAGE = 100;

    #[Answers('Shelf')]
    public function index(ShelfRequest $request, SauceService $sauceService): JsonResponse
    {
        $named = $request->named();
        $sauces = Sauce::query()
            ->when(
                $named !== '',
                static fn(Builder $query) => $query->whereRaw(
                    "instr(lower(recipe->>'title'), ?) > 0",
                    [mb_strtolower($named)],
                ),
            )
            ->latest('updated_at')->latest('id')
            ->offset($request->page() * self::PAGE)->limit(self::PAGE + 1)->get();

        $shown = $sauces->take(self::PAGE);
        /** @var Sauce $sauce */
        foreach ($shown as $sauce) {
            if ($sauce->standing === []) {
                // it came in, and was not weighed yet
                $sauce->fill(['standing' => $sauceService->standingOf($sauce->recipe)]);
            }
        }

        return new JsonResponse([
            'sauces' => ShelfResource::collection($shown)->resolve(),
            'more' => $sauces->count() > self::PAGE,
        ]);
    }

    #[Answers('SauceSent', 201)]
    public function store(FormulaRequest $request, SauceService $sauceService): JsonResponse
    {
        return new JsonResponse(
            (new SauceResource(
                $sauceService->add(
                    $request->edit(),
                    $request->filled('forked_from') ? $request->integer('forked_from') : null,
                ),
            ))->resolve(),
            201,
        );
    }

    /** A sauce as it was typed or pasted, read as every recipe is. */
    #[Answers('SauceSent', 201)]
    public function written(WrittenRequest $request, SauceService $sauceService): JsonResponse
    {
        try {
            return new JsonResponse(
                (new SauceResource($sauceService->written($request->text(), $request->measures())))->resolve(),
                201,
            );
        } catch (RecipeFault $fault) {
            throw Faults::in('text', $fault);
        }
    }

    /** What a page says, with nothing stored: for what is pasted into a sauce that is there. */
    #[Answers('ReadPage')]
    public function read(WrittenRequest $request, HomeKitchen $homeKitchen): JsonResponse
    {
        try {
            $recipe = $homeKitchen->kitchen()->readBegun($request->text());
        } catch (RecipeFault $fault) {
            throw Faults::in('text', $fault);
        }

        return new JsonResponse(WrittenRecipe::of($recipe->in($request->measures())));
    }

    #[Answers('SauceSent')]
    public function show(int $sauce): JsonResponse
    {
        return new JsonResponse((new SauceResource(Sauce::query()->findOrFail($sauce)))->resolve());
    }

    #[Answers('SauceSent')]
    public function update(int $sauce, EditRequest $request, SauceService $sauceService): JsonResponse
    {
        return new JsonResponse(
            (new SauceResource($sauceService->edit(
                $sauce,
                $request->revision(),
                $request->editOf($sauce),
                !$request->exists('set_aside'),
            )))->resolve(),
        );
    }

    public function destroy(int $sauce): Response
    {
        Sauce::query()->findOrFail($sauce)->delete();

        return new Response('', 204);
    }

    #[Answers('SauceSent')]
    public function restore(int $sauce): JsonResponse
    {
        $found = Sauce::withTrashed()->findOrFail($sauce);
        $found->restore();

        return new JsonResponse((new SauceResource($found))->resolve());
    }
}
