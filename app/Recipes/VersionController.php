<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Vinculum\Report\ComparisonReport;

/**
 * @phpstan-import-type VersionSent from VersionResource
 * @phpstan-type Versions array{versions: list<VersionSent>}
 */
final readonly class VersionController
{
    private const MOST = 200;

    #[Answers('Versions')]
    public function index(int $sauce): JsonResponse
    {
        $versions = Sauce::query()->findOrFail($sauce)->versions()->reorder('number', 'desc')->limit(self::MOST)->get();

        return new JsonResponse(['versions' => VersionResource::collection($versions)->resolve()]);
    }

    #[Answers('VersionSent')]
    public function show(int $sauce, int $version): JsonResponse
    {
        return new JsonResponse(
            (new VersionResource(
                Version::query()->where('sauce_id', $sauce)->where('number', $version)->firstOrFail(),
            ))->resolve(),
        );
    }

    #[Answers('VersionSent')]
    public function store(int $sauce, SauceService $sauceService): JsonResponse
    {
        return new JsonResponse((new VersionResource($sauceService->keep($sauce)))->resolve());
    }

    #[Answers(ComparisonReport::class)]
    public function compare(CompareRequest $request, HomeKitchen $homeKitchen): JsonResponse
    {
        return new JsonResponse(
            ComparisonReport::of($homeKitchen->weigh($request->before()), $homeKitchen->weigh($request->edit())),
        );
    }
}
