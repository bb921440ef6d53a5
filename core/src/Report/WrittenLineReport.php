<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Ingredient\Catalogue;
use Vinculum\Recipe\Resolution\Mend;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** A line as it is written: its words with the roles they have, and how it could be said more surely. */
final readonly class WrittenLineReport extends Report
{
    /**
     * @param array{int, int}|null $amount where in the text its amount stands, in UTF-16 units as a browser counts them
     * @param list<string> $tags
     * @param bool $optional it can be left out
     * @param list<string> $choices keys of the other ways that it names itself: "or maple syrup"
     * @param list<array{says: string, text: string}> $mends the line as it could read
     * @param list<string> $unread words of it that have no role
     * @param int|null $part which of several ingredients that the text names, from 1
     * @param string|null $alone that one as it would stand in a line of its own
     */
    private function __construct(
        public string $text,
        public string $writtenName,
        public ?array $amount,
        public array $tags,
        public bool $optional,
        public array $choices,
        public array $mends,
        public array $unread,
        public ?int $part,
        public ?string $alone,
    ) {}

    public static function of(ResolvedLine $line, ?Catalogue $catalogue): self
    {
        $mends = $catalogue === null ? [] : Mend::for($line, $catalogue);

        return new self(
            text: $line->text(),
            writtenName: $line->written->name,
            amount: self::span($line),
            tags: $line->written->tags,
            optional: in_array('optional', $line->written->tags, true),
            choices: $line->choices,
            mends: array_map(static fn(Mend $mend): array => ['says' => $mend->says, 'text' => $mend->text], $mends),
            unread: $line->unread,
            part: $line->part,
            alone: $line->part === null ? null : $line->written->text,
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
