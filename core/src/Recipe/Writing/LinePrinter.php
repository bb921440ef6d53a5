<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Writing;

use Vinculum\Recipe\Parser\Item;

/** Writes a line as it was understood, in words that read back as the same. */
final class LinePrinter
{
    public static function print(Item $line): string
    {
        $text = $line->measured === null ? '' : $line->measured->written() . ' ';
        $text .= $line->name;
        foreach ($line->alternatives as $alternative) {
            $text .= " or {$alternative}";
        }
        foreach ($line->offers as $offer) {
            $text .= " ({$offer} will do)";
        }
        foreach ($line->forms as $form) {
            $text .= " ({$form->written()})";
        }
        $text .= $line->preparation === '' ? '' : ", {$line->preparation}";
        foreach ($line->tags as $tag) {
            $text .= " [{$tag}]";
        }

        return ($line->part === null ? '' : "{$line->part} of ") . $text;
    }
}
