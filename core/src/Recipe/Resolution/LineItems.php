<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Ingredient\NameWords;
use Vinculum\Recipe\Parser\LineGrammar;

/** The things that a list in a line names, and whether each is one by itself. */
final readonly class LineItems
{
    private const BETWEEN = '\s{0,8}(?:,\s{0,8}(?:and|&)\s{1,8}|(?:;|,(?!\d)|(?<!\d),)\s{0,8}|\s(?:and|&|plus)\s{1,8}|\+\s{0,8}|&\s{0,8})';

    public function __construct(private LineGrammar $grammar, private NameReading $names) {}

    /** @return list<string> */
    public static function listed(string $list): array
    {
        $items = [];
        foreach (preg_split('/' . self::BETWEEN . '/iu', trim($list, " \t.:")) ?: [] as $item) {
            $item = trim($item);
            $says = array_filter(
                NameWords::of($item),
                static fn(string $word): bool => !NameWords::isDescriptor($word),
            );
            if ($item !== '' && $says === [] && $items !== []) {
                // "2 onions and 4 tomatoes, chopped": what is done to them is none of them
                $items[count($items) - 1] .= ", {$item}";
            } elseif ($item !== '') {
                $items[] = $item;
            }
        }

        return $items;
    }

    /**
     * @param list<string> $items
     *
     * @return list<string>
     */
    public static function withEach(string $amount, array $items): array
    {
        return array_map(
            static fn(string $item): string => trim(preg_replace('/\s+of$/iu', '', $amount) . " {$item}"),
            $items,
        );
    }

    /**
     * "red and green pepper", "lemon and lime juice": an item that is nothing by itself leans on the last one's noun.
     *
     * @param list<string> $items
     *
     * @return list<string>
     */
    public function leaningOnTheLast(array $items, bool $withAmounts = false): array
    {
        $last = end($items);
        if ($last === false || count($items) < 2) {
            return $items;
        }
        $words = preg_split('/\s+/u', $withAmounts ? $this->grammar->read($last)->name : $last) ?: [];
        $noun = count($words) > 1 ? $words[count($words) - 1] : null;

        return array_map(
            // an amount leans on nothing: "1 tbsp + ½ tsp cider vinegar" is one of it
            fn(string $item): string => $noun !== null && $item !== $last && $this->grammar->read($item)->name !== ''
                && $this->isKnown("{$item} {$noun}")
                && (!$this->isKnown($item) || in_array(mb_strtolower($noun), ['juice', 'zest'], true))
                && !str_contains(mb_strtolower($item), mb_strtolower($noun))
                    ? "{$item} {$noun}"
                    : $item,
            $items,
        );
    }

    /** @param list<string> $items */
    public function areKnown(array $items): bool
    {
        foreach ($items as $item) {
            if (!$this->isKnown($item)) {
                return false;
            }
        }

        return true;
    }

    public function isKnown(string $text): bool
    {
        $line = $this->grammar->read($text);
        $says = array_filter(
            NameWords::of($line->name),
            static fn(string $word): bool => !NameWords::isDescriptor($word),
        );

        return $says !== [] && $this->names->understood($line, $this->names->match($line)) !== null;
    }
}
