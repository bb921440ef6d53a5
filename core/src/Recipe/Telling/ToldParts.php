<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Recipe\RecipeLine;

/** The parts of what was told, where there are several: "for the sauce you want …", later "for the relish it's …". */
final readonly class ToldParts
{
    private const OPENS = '(?:(?:so|then|and|right|okay|ok|now|next|first|second|finally|well|but)[,\s]+)*for (?:the|your|our|my) ';

    /** @param list<array{int, int, string}> $parts from and to, in bytes, of the words that open it, and its title */
    private function __construct(private array $parts) {}

    /** @param list<array{int, string}> $clauses */
    public static function in(array $clauses): self
    {
        $dish = TellingWords::pattern('dishes');
        $parts = [];
        foreach ($clauses as [$at, $clause]) {
            if (preg_match('/^\W*' . self::OPENS . "((?:[\\pL'-]+\\s)?{$dish})/iu", $clause, $found) === 1) {
                $parts[] = [$at, $at + strlen($found[0]), 'For the ' . mb_strtolower($found[1]) . ':'];
            }
        }

        return new self(count(array_unique(array_column($parts, 2))) < 2 ? [] : $parts);
    }

    /** The title of the part that a place of the text belongs to; '' before the first, and where there is but one. */
    public function at(int $place): string
    {
        $title = '';
        foreach ($this->parts as [$from, , $named]) {
            $title = $from <= $place ? $named : $title;
        }

        return $title;
    }

    /** @return array{int, int} where a part begins, in bytes */
    private function opening(string $title): array
    {
        foreach ($this->parts as [$from, $to, $named]) {
            if ($named === $title) {
                return [$from, $to];
            }
        }

        return [0, 0];
    }

    /**
     * Lines under the titles of their parts, each part together.
     *
     * @param list<array{string, string, array{int, int}}> $lines title, line, and where it was said
     *
     * @return list<RecipeLine> with titles among them, each with where it was said
     */
    public function titled(array $lines, SpokenText $spoken): array
    {
        $titles = array_values(array_unique(['', ...array_column($this->parts, 2)]));
        $titled = [];
        foreach ($titles as $title) {
            $of = array_filter($lines, static fn(array $line): bool => $line[0] === $title);
            if ($title !== '' && $of !== []) {
                $titled[] = [$title, $spoken->origin(...$this->opening($title))];
            }
            foreach ($of as [, $line, $where]) {
                $titled[] = [$line, $where];
            }
        }

        return array_map(
            static fn(RecipeLine $line, array $one): RecipeLine => $line->saidAt($one[1]),
            RecipeLine::numbered(array_column($titled, 0)),
            $titled,
        );
    }
}
