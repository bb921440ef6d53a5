<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\Attributes\PreserveGlobalState;
use PHPUnit\Framework\Attributes\RunInSeparateProcess;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\StagedCook;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Keeping\Keep;
use Vinculum\Quantity\Measures;

/**
 * Every pattern that reading a recipe uses takes as long as the text is, whatever the text: twice the text, twice the
 * steps. Steps are counted by PCRE (its match limit), not by a clock.
 */
final class LinearPatternsTest extends TestCase
{
    private const LETTERS = 1500;
    /** Steps for a letter that the longest list of words may cost; a pattern that is quadratic takes LETTERS / 2 and more. */
    private const STEPS_FOR_A_LETTER = 150;
    private const REPEATED = [
        '9', 'a', 'A', ' ', '.', ',', '-', '/', '(', '[', '|', '½', "'", '&', '*', '1 ', 'a ', '9.', '9,', 'a,', ', ', '9/', '9-', '-a',
        'a-', 'x1', '1a', 'a1', '( ', '()', '[a]', 'a.', '12 ', ': ', 'a: ', 'to ', 'and ', 'a and ', 'or ', '1 to ', 'of ', '– ', '* ', '| ',
        '1½', '9 9', '&amp;', 'salt ', '1 g ', 'cup ', '<', '<a', '{"', '9 min ', 'by half ',
    ];

    #[RunInSeparateProcess]
    #[PreserveGlobalState(false)]
    public function test_no_pattern_takes_longer_than_the_text_is_long(): void
    {
        self::watchEveryPattern();
        self::readEverything();
        $patterns = array_keys(WatchedPatterns::$seen);
        self::assertGreaterThan(300, count($patterns), 'the patterns of recipes, methods and files');
        ini_set('pcre.jit', '0');
        ini_set('pcre.backtrack_limit', (string) (self::STEPS_FOR_A_LETTER * self::LETTERS));
        foreach ($patterns as $pattern) {
            foreach (self::REPEATED as $text) {
                $many = mb_substr(str_repeat($text, self::LETTERS), 0, self::LETTERS);
                @preg_match_all($pattern, $many);
                self::assertNotSame(PREG_BACKTRACK_LIMIT_ERROR, preg_last_error(), "\"{$text}\" again and again: {$pattern}");
                // what ends otherwise than it begins
                @preg_match_all($pattern, "{$many}~q");
                self::assertNotSame(PREG_BACKTRACK_LIMIT_ERROR, preg_last_error(), "\"{$text}\" … ~q: {$pattern}");
            }
        }
    }

    /** In each room of the core, the functions for patterns remember what they were asked. */
    private static function watchEveryPattern(): void
    {
        $core = dirname(__DIR__, 3) . '/core/src';
        foreach ([...(glob("{$core}/*", GLOB_ONLYDIR) ?: []), ...(glob("{$core}/*/*", GLOB_ONLYDIR) ?: [])] as $folder) {
            $room = 'Vinculum\\' . str_replace('/', '\\', substr($folder, strlen($core) + 1));
            $seen = '\\' . WatchedPatterns::class . '::$seen[$p] = true;';
            eval(<<<PHP
                namespace {$room};
                function preg_match(string \$p, string \$s, &\$m = null, int \$f = 0, int \$o = 0) { {$seen} return \\preg_match(\$p, \$s, \$m, \$f, \$o); }
                function preg_match_all(string \$p, string \$s, &\$m = null, int \$f = 0, int \$o = 0) { {$seen} return \\preg_match_all(\$p, \$s, \$m, \$f, \$o); }
                function preg_split(string \$p, string \$s, int \$l = -1, int \$f = 0) { {$seen} return \\preg_split(\$p, \$s, \$l, \$f); }
                function preg_replace(\$ps, \$r, \$s, int \$l = -1, &\$c = null) { foreach ((array) \$ps as \$p) { {$seen} } return \\preg_replace(\$ps, \$r, \$s, \$l, \$c); }
                function preg_replace_callback(\$ps, \$r, \$s, int \$l = -1, &\$c = null, int \$f = 0) { foreach ((array) \$ps as \$p) { {$seen} } return \\preg_replace_callback(\$ps, \$r, \$s, \$l, \$c, \$f); }
                PHP);
        }
    }

    private static function readEverything(): void
    {
        $data = __DIR__ . '/data';
        $texts = array_map(
            static fn(string $page): string => (string) file_get_contents($page),
            glob("{$data}/pages/*") ?: [],
        );
        $texts[] = '<html><body><h1>A</h1><ul><li>1 g salt</li></ul><p>Simmer &amp; stir.</p></body></html>';
        $texts[] = '<script type="application/ld+json">{"@type":"Recipe","recipeIngredient":["1 g salt"],"recipeYield":"2"}</script>';
        foreach ($texts as $text) {
            try {
                $recipe = RecipeReader::read($text);
            } catch (RecipeFault) {
                continue;
            }
            $formula = Formula::fromLines($recipe->lines, Catalogue::shipped(), Measures::Us, $recipe->yield);
            $cook = StagedCook::of($formula, null, $recipe->method, null);
            Keep::of(Balance::of($cook->formula, MethodReader::treatment($recipe->method, besides: $recipe->prose())));
        }
        Csv::read(Csv::write(['name', '=x'], [['name' => "a, 'b'", '=x' => '=1']]));
        foreach (['lines.tsv', 'written-lines.tsv', 'several.tsv', 'one.tsv', 'method.tsv'] as $file) {
            foreach (file("{$data}/{$file}", FILE_IGNORE_NEW_LINES) ?: [] as $row) {
                $text = explode("\t", $row)[0];
                $file === 'method.tsv'
                    ? MethodReader::steps([$text])
                    : Formula::fromTexts([$text], Catalogue::shipped(), Measures::Us);
            }
        }
    }
}
