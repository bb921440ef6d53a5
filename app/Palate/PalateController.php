<?php

declare(strict_types=1);

namespace App\Palate;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Vinculum\Report\PalateReport;
use Vinculum\Style\StyleBook;
use Vinculum\Style\StyleFamily;

/** What the kitchen has learned of the cook's taste: seen, reset, switched off. */
final readonly class PalateController
{
    public function __construct(private PalateService $palateService) {}

    public function show(): JsonResponse
    {
        $families = array_map(
            fn(StyleFamily $style): PalateReport => PalateReport::of($style, $this->palateService->palate($style)),
            $this->palateService->families(),
        );

        return new JsonResponse(['on' => $this->palateService->isOn(), 'families' => $families]);
    }

    public function switch(Request $request): JsonResponse
    {
        $request->validate(['on' => ['required', 'boolean']], ['on' => 'Say whether it is on or off.']);
        $this->palateService->switch($request->boolean('on'));

        return $this->show();
    }

    public function reset(string $style): JsonResponse
    {
        $this->palateService->reset(
            StyleBook::has($style) ? StyleBook::get($style) : throw new NotFoundHttpException(),
        );

        return $this->show();
    }
}
