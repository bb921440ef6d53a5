<?php

declare(strict_types=1);

namespace App\Palate;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Vinculum\Family\Family;
use Vinculum\Family\FamilyBook;
use Vinculum\Report\PalateReport;

/**
 * What the kitchen has learned of the cook's taste: seen, reset, switched off.
 *
 * @phpstan-type Palates array{on: bool, families: list<PalateReport>}
 */
final readonly class PalateController
{
    public function __construct(private PalateService $palateService) {}

    #[Answers('Palates')]
    public function show(): JsonResponse
    {
        $families = array_map(
            fn(Family $style): PalateReport => PalateReport::of(
                $style,
                $this->palateService->palate($style),
                $this->palateService->answersKept($style),
            ),
            $this->palateService->families(),
        );

        return new JsonResponse(['on' => $this->palateService->isOn(), 'families' => $families]);
    }

    #[Answers('Palates')]
    public function switch(PalateRequest $request): JsonResponse
    {
        $this->palateService->switch($request->boolean('on'));

        return $this->show();
    }

    #[Answers('Palates')]
    public function reset(string $style): JsonResponse
    {
        $this->palateService->reset(
            FamilyBook::has($style) ? FamilyBook::get($style) : throw new NotFoundHttpException(),
        );

        return $this->show();
    }
}
