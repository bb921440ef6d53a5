<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Telling;

use Vinculum\Ingredient\Catalogue;

/** A piece of what was told, in the order in which it was: a thing that is named, or the words between two. */
final readonly class Passage
{
    /**
     * @param MentionUse|null $use what the thing is named for; null of words between
     * @param string|null $key of the ingredient, or its own words where none is known
     * @param string|null $line as a cook would write it
     * @param int $from where it begins, in characters of what was pasted
     */
    private function __construct(
        public string $text,
        public ?MentionUse $use,
        public ?string $key,
        public ?string $line,
        public int $from,
    ) {}

    /** @return list<self> that put together are what was pasted, letter by letter */
    public static function of(string $pasted, Catalogue $catalogue): array
    {
        $spoken = SpokenText::of($pasted);
        $passages = [];
        $at = 0;
        foreach ((new Mentions($catalogue))->in($spoken->text, Clauses::of($spoken->text)) as $one) {
            [$from, $to] = $spoken->origin(...$one->span);
            if ($from < $at) {
                continue;
            }
            $passages[] = self::between(mb_substr($pasted, $at, $from - $at), $at);
            $passages[] = new self(mb_substr($pasted, $from, $to - $from), $one->use, $one->key, $one->line, $from);
            $at = $to;
        }
        $passages[] = self::between(mb_substr($pasted, $at), $at);

        return array_values(array_filter($passages, static fn(self $one): bool => $one->text !== ''));
    }

    private static function between(string $text, int $from): self
    {
        return new self($text, null, null, null, $from);
    }
}
