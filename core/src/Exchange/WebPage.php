<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

/** A saved web page: what its scripts of linked data hold. */
final class WebPage
{
    private const SCRIPT = '~<script\b[^>]*\btype\s*=\s*["\']?application/ld\+json["\']?[^>]*>(.*?)</script\s*>~is';

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
        preg_match_all(self::SCRIPT, $html, $found);
        $recipes = [];
        foreach ($found[1] as $script) {
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
}
