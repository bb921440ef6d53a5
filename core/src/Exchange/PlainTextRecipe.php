<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\Telling\Telling;
use Vinculum\Recipe\Text\PageReader;
use Vinculum\Recipe\Text\PageRecipe;

/**
 * A recipe in plain text: as the command-line contract has it (a title, keys, one ingredient a line, headings, and a
 * method), or as it stands on any page.
 */
final class PlainTextRecipe
{
    /** @var \WeakMap<Catalogue, PageReader>|null one for each catalogue: what its signs weigh is read once */
    private static ?\WeakMap $readers = null;

    /** Things that make a recipe of a text that is no list. */
    private const LEAST_TOLD = 3;
    private const KEYS = ['title', 'style', 'yield', 'serves', 'pan', 'without', 'aim', 'aside'];
    /** Marks that only the text of a whole page has. */
    private const OF_A_PAGE = '/^\s*(?:##|[-*•]\s|\*\*)/mu';

    public function __construct(private readonly Catalogue $catalogue) {}

    /** @throws RecipeFault where somebody talks of nothing that goes into a sauce */
    public function read(string $text): Recipe
    {
        if (!self::isFile($text) && Telling::isOne($text)) {
            $told = Telling::read($text, $this->catalogue);

            return $told->lines === [] ? throw RecipeFault::nothingTold() : $told;
        }

        return self::sayingWhatIsTooLong($text, self::isFile($text) ? $this->file($text) : $this->page($text));
    }

    /**
     * A web page without linked data.
     *
     * @throws RecipeFault
     */
    public function ofPage(string $html): Recipe
    {
        $marked = PageText::marked($html);

        return $marked === null
            ? $this->page(PageText::of($html))
            : JsonLdRecipe::recipe($marked);
    }

    /** A line that nobody can have written is kept, and said not to have been read. */
    private static function sayingWhatIsTooLong(string $text, Recipe $recipe): Recipe
    {
        $long = array_filter(preg_split('/\R/u', $text) ?: [], PageReader::isTooLong(...));

        return $long === [] ? $recipe : $recipe->withNotes([sprintf(
            '%d %s longer than %s letters and set aside unread: break it into lines where it is a recipe.',
            count($long),
            count($long) === 1 ? 'line is' : 'lines are',
            number_format(PageReader::LONGEST_LINE),
        )]);
    }

    /** What a page says that a recipe makes is rounded: it counts only where something is cooked, and water may leave. */
    private function page(string $text): Recipe
    {
        $recipe = PageRecipe::read($text, $this->reader());
        if ($recipe->ingredientLines() === [] && Telling::mayBeOne($text)) {
            // no list stands in it, but somebody may tell what goes in
            $told = Telling::read($text, $this->catalogue);
            $recipe = count($told->ingredientLines()) >= self::LEAST_TOLD ? $told : $recipe;
        }

        return $recipe->method !== [] && !$recipe->isCooked() ? $recipe->withoutYield() : $recipe;
    }

    /** Whether a text is written as the contract has it: it names its title or a key so, and has no marks of a page. */
    private static function isFile(string $text): bool
    {
        $isMarked = preg_match('/\A\s*#\s|^(?:title|style|pan|without|aim|aside):/miu', $text) === 1;

        return $isMarked && preg_match(self::OF_A_PAGE, $text) !== 1 && !self::hasHeadingsOfAPage($text);
    }

    /** "Method", "How to make it", "You will need": a file marks its headings with "#" or a colon. */
    private static function hasHeadingsOfAPage(string $text): bool
    {
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            if (self::isNamed($line, 'cue-method') || self::isNamed($line, 'cue-ingredients')) {
                return true;
            }
        }

        return false;
    }

    private function file(string $text): Recipe
    {
        $found = array_fill_keys(self::KEYS, null);
        [$lines, $method, $aside] = [[], [], []];
        [$stage, $inMethod, $isBesideFood] = [null, false, false];
        foreach (preg_split('/\R/u', $text) ?: [] as $line) {
            $line = trim($line);
            $key = self::key($line);
            if ($line === '') {
                continue;
            }
            if ($key === 'aside') {
                [$why, $said] = [...explode(':', trim(substr($line, strlen('aside:'))), 2), ''];
                $aside[] = ['text' => trim($said), 'why' => trim($why)];
            } elseif ($key !== null) {
                $found[$key] ??= trim(substr($line, strlen($key) + 1));
            } elseif (self::isHeading($line, 'cue-method')) {
                $inMethod = true;
            } elseif ($inMethod && !self::isHeading($line, 'cue-ingredients')) {
                $method[] = $line;
            } elseif (preg_match('/^#\s*(.+)$/u', $line, $title) === 1 && $found['title'] === null) {
                $found['title'] = $title[1];
            } elseif (preg_match('/^#+\s*(.+?):?$|^([^:]{2,60}):$/u', $line, $heading) === 1) {
                $inMethod = false;
                $stage = ($heading[2] ?? '') !== '' ? $heading[2] : $heading[1];
                $stage = preg_match('/^ingredients$/iu', $stage) === 1 ? null : $stage;
            } else {
                $other = $this->reader()->otherThanFood($line, $isBesideFood);
                $isBesideFood = $other === null;
                if ($other === null) {
                    $lines[] = [$line, $stage];
                } else {
                    $aside[] = ['text' => $line, 'why' => $other->aside() ?? 'note'];
                }
            }
        }

        return new Recipe(
            $found['title'] ?? '',
            $found['style'],
            Recipe::underHeadings($lines),
            $method,
            yield: $found['yield'],
            pan: $found['pan'],
            servings: is_numeric($found['serves'])
                ? (int) $found['serves']
                : PageRecipe::servingsIn(array_column($aside, 'text')),
            setAside: $aside,
            ignoredAxes: self::axes($found['without']),
            places: Places::read($found['aim'] ?? ''),
        );
    }

    /** @return list<string> the axes named, as they are keyed */
    private static function axes(?string $named): array
    {
        return $named === null ? [] : IgnoredAxes::axes($named);
    }

    private function reader(): PageReader
    {
        /** @var \WeakMap<Catalogue, PageReader> $readers */
        $readers = self::$readers ??= new \WeakMap();

        return $readers[$this->catalogue] ??= new PageReader($this->catalogue);
    }

    /** @return 'title'|'style'|'yield'|'serves'|'pan'|'without'|'aim'|'aside'|null */
    private static function key(string $line): ?string
    {
        foreach (self::KEYS as $key) {
            if (stripos($line, "{$key}:") === 0) {
                return $key;
            }
        }

        return null;
    }

    /** @param 'cue-method'|'cue-ingredients' $of */
    private static function isHeading(string $line, string $of): bool
    {
        return preg_match('/^(#+\s*)?([^#].*?)(\s*:)?$/u', $line, $found) === 1
            && ($found[1] !== '' || ($found[3] ?? '') !== '')
            && self::isNamed($found[2], $of);
    }

    /** @param 'cue-method'|'cue-ingredients' $of */
    private static function isNamed(string $line, string $of): bool
    {
        return in_array(mb_strtolower(trim($line)), FactsFile::named('page')[$of]->list('is'), true);
    }
}
