<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

use Vinculum\Recipe\Recipe;

/** A saved web page: what its scripts of linked data hold. */
final class WebPage
{
    private const TYPE = '~\btype\s*=\s*["\']?application/ld\+json["\']?(?=[\s>/]|$)~i';
    private const LONGEST_MARK = 2000;

    public static function holdsData(string $text): bool
    {
        return stripos($text, 'application/ld+json') !== false && stripos($text, '<script') !== false;
    }

    /**
     * @return non-empty-list<Recipe>
     *
     * @throws RecipeFault when none of its scripts holds a recipe
     */
    public static function recipes(string $html): array
    {
        $recipes = [];
        foreach (self::scripts($html) as $script) {
            // some pages wrap the data, or leave raw line breaks in its texts
            $json = preg_replace('/^\s*(?:<!--|<!\[CDATA\[)|(?:-->|\]\]>)\s*$/', '', $script) ?? $script;
            foreach ([$json, (string) preg_replace('/[\x00-\x1F]+/', ' ', $json)] as $try) {
                try {
                    array_push($recipes, ...JsonLdRecipe::readAll(trim($try)));
                    break;
                } catch (RecipeFault) {
                    continue;
                }
            }
        }

        return $recipes === [] ? throw RecipeFault::notARecipe() : $recipes;
    }

    /**
     * The contents of the scripts of linked data, found in one pass: a script that is never closed ends the search.
     *
     * @return list<string>
     */
    private static function scripts(string $html): array
    {
        [$scripts, $at] = [[], 0];
        while (($open = stripos($html, '<script', $at)) !== false) {
            $end = strpos($html, '>', $open);
            if ($end === false) {
                break;
            }
            $close = stripos($html, '</script', $end);
            if ($close === false) {
                break;
            }
            if (preg_match(self::TYPE, substr($html, $open, min($end - $open, self::LONGEST_MARK))) === 1) {
                $scripts[] = substr($html, $end + 1, $close - $end - 1);
            }
            $at = $close;
        }

        return $scripts;
    }
}
