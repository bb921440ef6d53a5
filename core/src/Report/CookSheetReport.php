<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\CookSheet;
use Vinculum\CookSession\SheetItem;
use Vinculum\CookSession\SheetStep;
use Vinculum\Keeping\Caution;
use Vinculum\Scaling\Scale;

/** The cook's sheet, in the method's order. */
final readonly class CookSheetReport extends Report
{
    /**
     * @param list<array{line: int, ingredient: string|null, text: string, measure: string, grams: float|null, share: float}> $ready
     * @param list<array<string, mixed>> $steps
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

    /**
     * @param list<Caution> $ofTheSauce
     * @param list<string> $notes on how the recipe was read and cooked
     */
    public static function of(
        CookSheet $sheet,
        ?Scale $scale,
        ?string $keepingClaim,
        array $ofTheSauce,
        array $notes,
    ): self {
        $cautions = [];
        $ofSteps = array_map(static fn(SheetStep $step): array => $step->cautions, $sheet->steps);
        foreach ([...$ofSteps, $ofTheSauce] as $some) {
            foreach ($some as $caution) {
                $cautions[$caution->code] ??= $caution;
            }
        }

        return new self(
            array_map(self::item(...), $sheet->ready),
            array_map(self::step(...), $sheet->steps),
            $scale->fill ?? [],
            $sheet->finished,
            PanReport::of($sheet->pan),
            $keepingClaim,
            CautionReport::all(array_values($cautions)),
            [...$notes, ...($scale->notes ?? []), ...$sheet->notes],
        );
    }

    /** @return array<string, mixed> */
    private static function step(SheetStep $sheet): array
    {
        return [
            'text' => $sheet->step->text,
            'uses' => array_map(self::item(...), $sheet->uses),
            'taken_out' => array_map(static fn(int $line): int => $line + 1, $sheet->takenOut),
            'minutes' => $sheet->step->minutes,
            'look_from' => $sheet->lookFrom,
            'heat' => $sheet->step->heat?->key,
            'covered' => $sheet->step->lid->isOn(),
            'left' => $sheet->step->left,
            'after' => $sheet->after,
            'cautions' => array_map(static fn(Caution $caution): string => $caution->code, $sheet->cautions),
            'meanwhile' => $sheet->meanwhile,
        ];
    }

    /** @return array{line: int, ingredient: string|null, text: string, measure: string, grams: float|null, share: float} */
    private static function item(SheetItem $item): array
    {
        return [
            'line' => $item->line + 1,
            'ingredient' => $item->ingredient,
            'text' => $item->text,
            'measure' => $item->measure,
            'grams' => $item->grams,
            'share' => $item->share,
        ];
    }
}
