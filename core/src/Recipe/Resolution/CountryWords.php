<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Facts\Words;
use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Item;

/** Words that mean one thing here and another there: "tomato sauce", "cider". */
final readonly class CountryWords
{
    /**
     * @param string $key of the ingredient that it means here
     * @param list<string> $others keys of what it means elsewhere
     */
    private function __construct(public string $key, public array $others) {}

    /** What the name means where these measures are used; null where it means one thing everywhere, or nobody says. */
    public static function in(Measures $measures, Item $line): ?self
    {
        $country = $measures->country();
        $words = array_diff(NameWords::of($line->name), FactsFile::named('words')['says-nothing']->list('words'));
        $row = $country === null ? null : self::rows()[implode(' ', $words)] ?? null;
        $pack = $line->measured->pack ?? $line->measured->counted ?? '';
        if (
            $row === null
            || !$row->has((string) $country)
            || in_array($pack, $row->list('unless'), true)
            || $row->isSaidIn($line->preparation, 'told')
        ) {
            return null;
        }
        $key = $row->text((string) $country);
        $keys = array_map($row->text(...), array_diff($row->fields(), ['unless', 'told']));

        return new self($key, array_values(array_unique(array_diff($keys, [$key]))));
    }

    /** @return array<string, Row> by the words of a name as they are compared */
    private static function rows(): array
    {
        /** @var array<string, Row>|null $rows */
        static $rows = null;
        if ($rows === null) {
            $rows = [];
            foreach (FactsFile::named('countries') as $name => $row) {
                $rows[implode(' ', NameWords::of($name))] = $row;
            }
        }

        return $rows;
    }
}
