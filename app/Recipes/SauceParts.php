<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Support\Facades\DB;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** Sauces that go into other sauces: a line that names the whole title of one means that one. */
final class SauceParts
{
    private const SHORTEST_TITLE = 4;
    private const KEY = 'sauce-';

    /** @var list<array{int, string}>|null id and title in lower case */
    private ?array $titles = null;

    /**
     * The sauces that these lines name; those that would make a sauce part of itself are told apart.
     *
     * @param list<string> $texts
     *
     * @return array{array<string, Sauce>, list<string>} sauces by the key that they have as an ingredient, and refused
     *     titles
     */
    public function namedIn(array $texts, ?int $of): array
    {
        $ids = $this->idsNamedIn(mb_strtolower(implode("\n", $texts)), $of);
        if ($ids === []) {
            return [[], []];
        }
        $above = $of === null ? [] : [$of, ...$this->thoseMadeWith($of)];
        [$sauces, $refused] = [[], []];
        foreach (Sauce::query()->findMany($ids) as $sauce) {
            if (in_array($sauce->id, $above, true)) {
                $refused[] = $sauce->recipe->title;
            } else {
                $sauces[self::KEY . $sauce->id] = $sauce;
            }
        }

        return [$sauces, $refused];
    }

    /** @param list<string> $refused titles of sauces that are made with this one */
    public function without(array $refused, Formula $formula): Formula
    {
        return $formula->withLines(...array_map(static function (ResolvedLine $line) use ($refused): ResolvedLine {
            foreach ($line->status === LineStatus::Heading ? [] : $refused as $title) {
                if (mb_stripos($line->text(), $title) !== false) {
                    return ResolvedLine::unread(
                        $line->text(),
                        "\"{$title}\" is this sauce, or is made with it: a sauce cannot be part of itself. The line is left out.",
                    );
                }
            }

            return $line;
        }, $formula->lines));
    }

    /** Stores which sauces a sauce is made with. */
    public function replaceParts(Sauce $sauce, Balance $balance): void
    {
        $parts = [];
        foreach ($balance->formula->lines as $line) {
            $key = $line->ingredient->key ?? '';
            if (str_starts_with($key, self::KEY)) {
                $parts[] = (int) substr($key, strlen(self::KEY));
            }
        }
        $sauce->timestamps = false;
        $sauce->save();
        $sauce->timestamps = true;
        DB::table('sauce_parts')->where('sauce_id', $sauce->id)->delete();
        DB::table('sauce_parts')->insert(
            array_map(
                static fn(int $part): array => ['sauce_id' => $sauce->id, 'part_id' => $part],
                array_values(array_unique($parts)),
            ),
        );
        if ($this->titles !== null) {
            $title = mb_strtolower(trim($sauce->recipe->title));
            $isNamed = mb_strlen($title) >= self::SHORTEST_TITLE;
            $this->titles = [
                ...array_values(array_filter($this->titles, static fn(array $one): bool => $one[0] !== $sauce->id)),
                ...($isNamed ? [[$sauce->id, $title]] : []),
            ];
        }
    }

    /** @return list<int> every sauce that has this one in it, directly or through others, the nearest first */
    public function thoseMadeWith(int $sauce): array
    {
        [$found, $next] = [[], [$sauce]];
        while ($next !== []) {
            $next = array_values(
                array_diff(
                    array_map(
                        static fn(mixed $id): int => is_numeric($id) ? (int) $id : 0,
                        DB::table('sauce_parts')->whereIn('part_id', $next)->pluck('sauce_id')->all(),
                    ),
                    $found,
                    [$sauce],
                ),
            );
            array_push($found, ...$next);
        }

        return $found;
    }

    /** @return list<string> titles that begin with these letters */
    public function titlesStartingWith(string $letters, ?int $except): array
    {
        $letters = mb_strtolower($letters);
        $found = array_filter(
            $this->titles(),
            static fn(array $one): bool => $one[0] !== $except && str_starts_with($one[1], $letters),
        );

        return array_slice(array_map(static fn(array $one): string => $one[1], array_values($found)), 0, 3);
    }

    /** @return list<int> */
    private function idsNamedIn(string $text, ?int $of): array
    {
        $named = array_filter($this->titles(), static fn(array $one): bool => str_contains($text, $one[1]));

        return array_map(static fn(array $one): int => $one[0], array_values($named));
    }

    /** @return list<array{int, string}> */
    private function titles(): array
    {
        if ($this->titles === null) {
            $this->titles = [];
            $named = Sauce::query()->where('recipe->title', '!=', '')->pluck('recipe->title as title', 'id');
            foreach ($named as $id => $title) {
                $title = mb_strtolower(trim(is_string($title) ? $title : ''));
                if (mb_strlen($title) >= self::SHORTEST_TITLE) {
                    $this->titles[] = [(int) $id, $title];
                }
            }
        }

        return $this->titles;
    }
}
