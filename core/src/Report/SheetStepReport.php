<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\SheetStep;
use Vinculum\Keeping\Caution;

/** A sentence of the method on the cook's sheet: minutes, what goes in, what it warns of. */
final readonly class SheetStepReport extends Report
{
    public const INLINE = ['heat'];

    /**
     * @param list<SheetItemReport> $uses what goes in here, or is worked on (share 0)
     * @param list<int> $takenOut lines that come out again, from 1
     * @param float|null $lookFrom minutes from which it is worth a look
     * @param 'heat'|'off-heat'|'cold' $after the state of the pot while it goes in
     * @param list<string> $cautions codes
     */
    private function __construct(
        public string $text,
        public array $uses,
        public array $takenOut,
        public StepHeatReport $heat,
        public ?float $lookFrom,
        public string $after,
        public array $cautions,
        public ?string $meanwhile,
    ) {}

    public static function of(SheetStep $sheet): self
    {
        return new self(
            text: $sheet->step->text,
            uses: array_map(SheetItemReport::of(...), $sheet->uses),
            takenOut: array_map(static fn(int $line): int => $line + 1, $sheet->takenOut),
            heat: StepHeatReport::of($sheet->step),
            lookFrom: $sheet->lookFrom,
            after: $sheet->after,
            cautions: array_map(static fn(Caution $caution): string => $caution->code, $sheet->cautions),
            meanwhile: $sheet->meanwhile,
        );
    }
}
