<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** A line as it was understood: what it is, how much, how sure. */
final readonly class LineReport extends Report
{
    public const INLINE = ['written', 'taken'];

    /**
     * @param array{int, int}|null $said of a telling: from and to, in characters of what was pasted, that it was understood from
     * @param int|null $id the number that the line of the recipe has which it was read from; null where it is of none
     */
    private function __construct(
        public WrittenLineReport $written,
        public TakenForReport $taken,
        public ?BandReport $grams,
        public ?float $millilitres,
        public LineStatus $status,
        public ?int $id,
        public ?array $said,
    ) {}

    public static function of(ResolvedLine $line, ?Catalogue $catalogue): self
    {
        return new self(
            written: WrittenLineReport::of($line, $catalogue),
            taken: TakenForReport::of($line),
            grams: $line->grams === null ? null : BandReport::of($line->grams),
            millilitres: $line->millilitres,
            status: $line->status,
            id: $line->source?->id,
            said: $line->source?->said,
        );
    }
}
