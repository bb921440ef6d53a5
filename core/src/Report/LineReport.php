<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\Mend;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** A line as it was understood: what it is, how much, how sure, and how it could be said more surely. */
final readonly class LineReport extends Report
{
    /**
     * @param string|null $ingredient key in the catalogue
     * @param list<string> $alternatives keys
     * @param list<string> $tags
     * @param array{int, int}|null $amount where in the text its amount stands, in UTF-16 units as a browser counts them
     * @param list<string> $choices keys of the other ways that it names itself: "or maple syrup"
     * @param list<array{says: string, text: string}> $mends the line as it could read
     * @param list<string> $unread words of it that have no role
     * @param bool $optional it can be left out
     * @param int|null $part which of several ingredients that the text names, from 1
     * @param string|null $alone that one as it would stand in a line of its own
     * @param array{int, int}|null $said of a telling: from and to, in characters of what was pasted, that it was understood from
     * @param int $row the text of the recipe that it was read from, from 0, headings counted
     */
    private function __construct(
        public string $text,
        public ?string $ingredient,
        public ?BandReport $grams,
        public ?float $millilitres,
        public LineStatus $status,
        public ?string $sure,
        public ?string $note,
        public ?string $name,
        public array $alternatives,
        public array $tags,
        public string $writtenName,
        public ?array $amount,
        public array $choices,
        public array $mends,
        public array $unread,
        public bool $optional,
        public ?int $part,
        public ?string $alone,
        public int $row,
        public ?array $said,
    ) {}

    /** @param list<array{int, int}> $said of a telling, by row */
    public static function of(ResolvedLine $line, ?Catalogue $catalogue, array $said = []): self
    {
        return new self(
            $line->text(),
            $line->ingredient?->key,
            $line->grams === null ? null : BandReport::of($line->grams),
            $line->millilitres,
            $line->status,
            $line->sure?->value,
            $line->note,
            $line->ingredient?->name,
            $line->alternatives,
            $line->written->tags,
            $line->written->name,
            self::span($line),
            $line->choices,
            $catalogue === null
                ? []
                : array_map(
                    static fn(Mend $mend): array => ['says' => $mend->says, 'text' => $mend->text],
                    Mend::for($line, $catalogue),
                ),
            $line->unread,
            in_array('optional', $line->written->tags, true),
            $line->place->part,
            $line->place->part === null ? null : $line->written->text,
            $line->place->row ?? -1,
            $said[$line->place->row ?? -1] ?? null,
        );
    }

    /** @return array{int, int}|null */
    private static function span(ResolvedLine $line): ?array
    {
        $span = $line->written->lineSpan;
        if ($span === null) {
            return null;
        }
        $units = static fn(string $text): int => intdiv(strlen(mb_convert_encoding($text, 'UTF-16LE', 'UTF-8')), 2);

        return [$units(substr($line->text(), 0, $span[0])), $units(substr($line->text(), 0, $span[1]))];
    }
}
