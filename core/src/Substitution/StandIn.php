<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Shops;

/** What cooks take in place of a thing: how near it is, and how much of it (core/data/stand-ins.ini). */
final readonly class StandIn
{
    /** The same thing in another form or strength. */
    public const SAME = 1;
    /** What cooks usually take. */
    public const USUAL = 2;
    /** The same work with another taste. */
    public const WORK = 3;
    /** What the arithmetic alone can make equal. */
    public const NUMBERS = 4;

    private const FIELDS = ['same' => self::SAME, 'usual' => self::USUAL, 'work' => self::WORK];

    /**
     * @param string $kind ingredient key
     * @param int $class one of those above
     * @param float|null $ratio grams that usually take the place of a gram; null where nobody takes it usually
     * @param int $place among those of its class, in the order that a cook would think of them
     */
    public function __construct(
        public string $kind,
        public int $class,
        public ?float $ratio,
        public int $place = 0,
    ) {}

    /**
     * @return list<self> the nearest first; the same thing from a special shop is no nearer than what cooks usually take
     *     (handbook, "Substituting": lemon before key lime)
     */
    public static function of(Ingredient $gone): array
    {
        $row = FactsFile::named('stand-ins')[$gone->kind()] ?? null;
        // another product of the same kind is the same thing
        $found = [new self($gone->kind(), self::SAME, 1.0)];
        foreach (self::FIELDS as $field => $class) {
            foreach ($row?->has($field) === true ? $row->amounts($field) : [] as $kind => $ratio) {
                $isRare = Shops::ofKey($kind) === Shops::Special && Shops::ofKey($gone->kind()) !== Shops::Special;
                $found[] = new self($kind, $isRare ? max($class, self::USUAL) : $class, $ratio, count($found));
            }
        }

        return $found;
    }

    /** What stands in for the one as the other; by numbers alone where nobody takes it. */
    public static function for(Ingredient $gone, Ingredient $candidate): self
    {
        foreach (self::of($gone) as $standIn) {
            if ($standIn->kind === $candidate->kind()) {
                return $standIn;
            }
        }

        return new self($candidate->kind(), self::NUMBERS, null);
    }

    /** What to mind where a thing is replaced; null where there is nothing. */
    public static function mind(Ingredient $gone): ?string
    {
        $row = FactsFile::named('stand-ins')[$gone->kind()] ?? null;

        return $row?->has('mind') === true ? $row->text('mind') : null;
    }
}
