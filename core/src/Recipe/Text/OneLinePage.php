<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Text;

use Vinculum\Facts\FactsFile;

/** A recipe that was pasted as one line: "Teriyaki: soy sauce 100 ml, mirin 50 ml. Simmer 10 minutes." */
final class OneLinePage
{
    private const SHORTEST = 60;

    /** @return list<string> its title, its list and its steps as lines; the line itself where it is short */
    public static function apart(string $text): array
    {
        if (mb_strlen($text) < self::SHORTEST) {
            return [$text];
        }
        $short = FactsFile::named('page')['abbreviations']->list('words');
        $sentences = [];
        foreach (preg_split('/(?<=[.!?])\s+(?=\p{Lu})/u', $text) ?: [$text] as $piece) {
            $last = count($sentences) - 1;
            $word = mb_strtolower((string) preg_replace('/^.*\s/us', '', $sentences[$last] ?? ''));
            if ($last >= 0 && in_array($word, $short, true)) {
                $sentences[$last] .= " {$piece}";
            } else {
                $sentences[] = $piece;
            }
        }
        $lines = [];
        foreach ($sentences as $sentence) {
            // a title, or the word for what follows
            $isLed = preg_match('/^(\pL[^:.,\d]{2,50}?)(?::|\s[–—-])\s+(\S.*)$/u', $sentence, $found) === 1;
            array_push($lines, ...($isLed ? [$found[1], $found[2]] : [$sentence]));
        }

        return $lines;
    }
}
