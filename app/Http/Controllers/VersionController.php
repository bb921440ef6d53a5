<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\CompareRequest;
use App\Http\Resources\VersionResource;
use App\Kitchen\Shelf;
use App\Kitchen\Weighing;
use App\Models\Sauce;
use App\Models\Version;
use Illuminate\Http\JsonResponse;
use Vinculum\Comparison\Comparison;
use Vinculum\Contract\ComparisonShape;

final readonly class VersionController
{
    private const MOST = 200;

    public function index(int $sauce): JsonResponse
    {
        $versions = Sauce::query()->findOrFail($sauce)->versions()->reorder('number', 'desc')->limit(self::MOST)->get();

        return new JsonResponse(['versions' => VersionResource::collection($versions)->resolve()]);
    }

    public function show(int $sauce, int $version): JsonResponse
    {
        return new JsonResponse((new VersionResource(Version::query()->where('sauce_id', $sauce)->where('number', $version)->firstOrFail()))->resolve());
    }

    public function store(int $sauce, Shelf $shelf): JsonResponse
    {
        return new JsonResponse((new VersionResource($shelf->keep($sauce)))->resolve());
    }

    public function compare(CompareRequest $request, Weighing $weighing): JsonResponse
    {
        [$before, $after] = [$request->before(), $request->edit()];
        [$was, $is] = [$weighing->balance($before), $weighing->balance($after)];

        return new JsonResponse(ComparisonShape::of(Comparison::of($was->formula, $is->formula, $after->measures), $was, $is, $weighing->style($after)?->target));
    }
}
