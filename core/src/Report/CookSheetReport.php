<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\CookSheet;
use Vinculum\CookSession\SheetStep;

/** The cook's sheet, in the method's order. */
final readonly class CookSheetReport extends Report
{
    /**
     * @param list<SheetItemReport> $ready
     * @param list<SheetStepReport> $steps
     * @param list<array{container_ml: float, count: int, filled_ml: float, left_over_ml: float}> $fill
     * @param array{grams: float, low: float, high: float, millilitres: float} $finished
     * @param array{centimetres: float, assumed: bool}|null $pan
     * @param list<CautionReport> $cautions each once: those of the steps and those of the sauce
     * @param list<string> $notes
     */
    private function __construct(
        public array $ready,
        public array $steps,
        public array $fill,
        public array $finished,
        public ?array $pan,
        public ?string $keepingClaim,
        public array $cautions,
        public array $notes,
    ) {}

    /** @param list<string> $notes besides those of the sheet */
    public static function of(CookSheet $sheet, array $notes = []): self
    {
        $cautions = [];
        $ofSteps = array_map(static fn(SheetStep $step): array => $step->cautions, $sheet->steps);
        foreach ([...$ofSteps, $sheet->cautions] as $some) {
            foreach ($some as $caution) {
                $cautions[$caution->code] ??= $caution;
            }
        }

        return new self(
            array_map(SheetItemReport::of(...), $sheet->ready),
            array_map(SheetStepReport::of(...), $sheet->steps),
            $sheet->fill,
            $sheet->finished,
            PanReport::of($sheet->pan),
            $sheet->keepingClaim,
            CautionReport::all(array_values($cautions)),
            [...$sheet->notes, ...$notes],
        );
    }
}
