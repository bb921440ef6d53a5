<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Ingredient\Ingredient;

/** What no number holds of an ingredient: aromas, colour, texture (characters.ini). */
final readonly class AromaProfile
{
    /**
     * @param list<string> $aromas
     * @param list<string> $colours
     * @param list<string> $textures
     */
    private function __construct(public array $aromas, public array $colours, public array $textures) {}

    public static function of(Ingredient $ingredient): self
    {
        $index = self::index()[$ingredient->kind()] ?? [];

        return new self($index['aroma'] ?? [], $index['colour'] ?? [], $index['texture'] ?? []);
    }

    /** How far two things smell alike: aromas they share over aromas either has, from 0 to 1. */
    public function similarity(self $other): float
    {
        $either = count(array_unique([...$this->aromas, ...$other->aromas]));

        return $either === 0 ? 0.0 : count(array_intersect($this->aromas, $other->aromas)) / $either;
    }

    /**
     * What is lost and what comes when another takes its place, in words; empty when nothing is known to change.
     *
     * @return list<string>
     */
    public function changesTo(self $other): array
    {
        $changes = [];
        $lost = array_diff($this->aromas, $other->aromas);
        $gained = array_diff($other->aromas, $this->aromas);
        if ($lost !== []) {
            $changes[] = 'loses the aroma of ' . Words::listed($lost);
        }
        if ($gained !== []) {
            $changes[] = 'brings that of ' . Words::listed($gained);
        }
        foreach ([
            'colour' => [$this->colours, $other->colours],
            'texture' => [$this->textures, $other->textures],
        ] as $sense => [$from, $to]) {
            if ($from !== [] && $to !== [] && array_intersect($from, $to) === []) {
                $changes[] = "{$sense}: " . Words::listed($to) . ' instead of ' . Words::listed($from);
            }
        }

        return $changes;
    }

    /** @return array<string, array<string, list<string>>> names by kind and ingredient */
    private static function index(): array
    {
        /** @var array<string, array<string, list<string>>>|null $index */
        static $index = null;
        if ($index === null) {
            $index = [];
            foreach (FactsFile::named('characters') as $name => $row) {
                foreach (array_unique($row->list('of')) as $key) {
                    $index[$key][$row->text('kind')][] = $name;
                }
            }
        }

        return $index;
    }
}
