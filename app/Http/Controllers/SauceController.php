<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\EditRequest;
use App\Http\Requests\FormulaRequest;
use App\Http\Resources\SauceResource;
use App\Http\Resources\ShelfResource;
use App\Kitchen\Shelf;
use App\Models\Sauce;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

final readonly class SauceController
{
    private const PAGE = 200;

    public function index(): JsonResponse
    {
        $sauces = Sauce::query()->withCount('lines')->latest('updated_at')->latest('id')->limit(self::PAGE)->get();

        return new JsonResponse(['sauces' => ShelfResource::collection($sauces)->resolve()]);
    }

    public function store(FormulaRequest $request, Shelf $shelf): JsonResponse
    {
        return new JsonResponse((new SauceResource($shelf->add($request->edit(), $request->filled('forked_from') ? $request->integer('forked_from') : null)))->resolve(), 201);
    }

    public function show(int $sauce): JsonResponse
    {
        return new JsonResponse((new SauceResource(Sauce::query()->with('lines')->findOrFail($sauce)))->resolve());
    }

    public function update(int $sauce, EditRequest $request, Shelf $shelf): JsonResponse
    {
        return new JsonResponse((new SauceResource($shelf->edit($sauce, $request->revision(), $request->editOf($sauce))))->resolve());
    }

    public function destroy(int $sauce): Response
    {
        Sauce::query()->findOrFail($sauce)->delete();

        return new Response('', 204);
    }

    public function restore(int $sauce): JsonResponse
    {
        $found = Sauce::withTrashed()->with('lines')->findOrFail($sauce);
        $found->restore();

        return new JsonResponse((new SauceResource($found))->resolve());
    }
}
