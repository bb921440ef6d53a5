<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Writing;

use Vinculum\Quantity\KitchenNumber;
use Vinculum\Recipe\Parser\ParsedLine;
use Vinculum\Recipe\Parser\WrittenAmount;

/** Writes a line as it was understood, in words that read back as the same. */
final class LinePrinter
{
    public static function print(ParsedLine $line): string
    {
        $text = $line->measured === null ? '' : self::amount($line->measured) . ' ';
        $text .= $line->name;
        foreach ($line->alternatives as $alternative) {
            $text .= " or {$alternative}";
        }
        $text .= $line->second === null ? '' : ' (' . self::amount($line->second) . ')';
        $text .= $line->preparation === '' ? '' : ", {$line->preparation}";
        foreach ($line->tags as $tag) {
            $text .= " [{$tag}]";
        }

        return ($line->part === null ? '' : "{$line->part} of ") . $text;
    }

    private static function amount(WrittenAmount $measured): string
    {
        $number = self::number($measured->low * $measured->fill);
        if ($measured->isRange()) {
            $number .= ' to ' . self::number($measured->high * $measured->fill);
        }
        $size = $measured->size === null ? '' : "{$measured->size} ";
        if ($measured->unit !== null) {
            return $measured->pack === null
                ? "{$number} {$size}{$measured->unit->name}"
                : "1 × {$number} {$measured->unit->name} {$measured->pack}";
        }

        return "{$number} {$size}" . (
            $measured->counted === 'whole'
            || $measured->counted === null ? '' : $measured->counted
        );
    }

    private static function number(float $value): string
    {
        return KitchenNumber::plain($value, 7);
    }
}
