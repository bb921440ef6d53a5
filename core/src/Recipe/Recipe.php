<?php

declare(strict_types=1);

namespace Vinculum\Recipe;

use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * A recipe as a person has written it: the first of three stages. Its lines are parsed one by one (Parser\LineGrammar),
 * and become a formula once each is an ingredient with grams (Balance\Formula). Every way in makes one of these: the
 * bench, the shelf, a file, a table, a stored sauce, version or batch.
 */
final readonly class Recipe
{
    /** Kinds of what was set aside that tell of the sauce. */
    private const PROSE = ['title', 'blurb', 'note', 'talked-about', 'served-with', 'keeping'];
    private const IN_PASSING = '/(?:^|[.!,;]\s+(?:and\s+)?)((?:this |it )?(?:makes|yields|fills)\b[^.!?]{0,80}?\b(?:\d+|two|three|four|five|six|a)\b[^.!?]{0,60})/iu';
    private const BEHIND_THE_TIMES = '/\b(?:makes|yields?)\b:?\s.*\d.*/iu';

    /**
     * @param list<string> $lines as written, headings among them
     * @param list<string> $method one step a line
     * @param string|null $yield as written
     * @param float|null $partMillilitres the vessel that a "part" is
     * @param string|null $pan as a cook names it
     * @param int|null $sauce the stored sauce that it is a state of
     * @param list<string> $notes what was found odd while reading
     * @param int|null $servings portions that it makes
     * @param list<array{text: string, why: string, sure?: bool}> $setAside what else stood on its page, and what that is
     * @param list<string> $ignoredAxes axes that do not count for this sauce
     * @param array<string, float> $places where the cook wants this sauce to stand, whatever its family, in steps by axis
     * @param list<array{int, int}> $said of a telling: from and to, in characters of it, that each line was understood from
     * @param bool $areLinesApart each line names one ingredient: several were taken apart before
     */
    public function __construct(
        public string $title = '',
        public ?string $style = null,
        public array $lines = [],
        public array $method = [],
        public Measures $measures = Measures::Us,
        public ?string $yield = null,
        public ?float $partMillilitres = null,
        public ?string $pan = null,
        public ?int $sauce = null,
        public array $notes = [],
        public bool $areLinesApart = false,
        public ?int $servings = null,
        public array $setAside = [],
        public array $ignoredAxes = [],
        public array $places = [],
        public array $said = [],
    ) {}

    /**
     * Lines with a heading before each stage.
     *
     * @param list<array{string, string|null}> $lines each with the stage it belongs to
     *
     * @return list<string>
     */
    public static function underHeadings(array $lines): array
    {
        [$texts, $last] = [[], null];
        foreach ($lines as [$text, $stage]) {
            if ($stage !== null && $stage !== $last) {
                $texts[] = "{$stage}:";
            }
            $last = $stage;
            $texts[] = $text;
        }

        return $texts;
    }

    /** @return list<string> the lines that name something, without headings */
    public function ingredientTexts(): array
    {
        return array_column($this->staged(), 0);
    }

    /** @return list<string|null> the stage that each of them belongs to */
    public function stages(): array
    {
        return array_column($this->staged(), 1);
    }

    /** @return list<string> the lines with one heading before each stage, and nothing empty */
    public function tidyLines(): array
    {
        return self::underHeadings($this->staged());
    }

    /**
     * The same with other lines.
     *
     * @param list<string> $lines
     */
    public function withLines(array $lines, ?string $yield): self
    {
        return $this->with(['lines' => $lines, 'yield' => $yield]);
    }

    /** The same where headings are no lines: where each thing was said follows the things. */
    public function saidOfIngredients(): self
    {
        $isThing = array_map(
            static fn(string $text): bool => trim($text) !== '' && !ResolvedLine::isHeading($text),
            $this->lines,
        );

        return $this->with(['said' => array_values(array_intersect_key($this->said, array_filter($isThing)))]);
    }

    /** The same with one heading before each stage, and nothing empty. */
    public function tidied(): self
    {
        return $this->with(['lines' => $this->tidyLines()]);
    }

    public function in(Measures $measures): self
    {
        return $this->with(['measures' => $measures]);
    }

    public function inStyle(?string $style): self
    {
        return $this->with(['style' => $style]);
    }

    /** The same as a state of a stored sauce. */
    public function of(int $sauce): self
    {
        return $this->with(['sauce' => $sauce]);
    }

    /** @param list<string> $notes what was found out about it besides */
    public function withNotes(array $notes): self
    {
        return $this->with(['notes' => [...$this->notes, ...$notes]]);
    }

    /** What its page says that it makes, where that cannot be measured: "Makes about 6 jars." */
    public function saidYield(): ?string
    {
        foreach ($this->setAside as $line) {
            // it may stand behind the times, in one line with them
            $begins = $line['why'] === 'yield' ? '/^\W*(?:makes|yields?|fills|produces)\b.*/iu' : self::BEHIND_THE_TIMES;
            if (
                in_array($line['why'], ['yield', 'time'], true)
                && preg_match($begins, $line['text'], $found) === 1
            ) {
                return $found[0];
            }
        }
        foreach ($this->setAside as $line) {
            // "My neighbour swears by it. Makes 2 bottles."
            if ($line['why'] === 'blurb' && preg_match(self::IN_PASSING, $line['text'], $found) === 1) {
                return $found[1];
            }
        }

        return null;
    }

    /** The same without what a page says that it makes: where nothing is cooked, all that is mixed is there. */
    public function withoutYield(): self
    {
        return $this->with(['yield' => null]);
    }

    /** The same with what another says besides its lines: servings, what was set aside, axes let go of. */
    public function withExtras(self $other): self
    {
        return $this->with([
            'servings' => $other->servings,
            'setAside' => $other->setAside,
            'ignoredAxes' => $other->ignoredAxes,
            'places' => $other->places,
        ]);
    }

    /**
     * The same with more axes that do not count.
     *
     * @param list<string> $axes
     */
    public function ignoring(array $axes): self
    {
        return $this->with(['ignoredAxes' => array_values(array_unique([...$this->ignoredAxes, ...$axes]))]);
    }

    /** Whether the method boils water off that no yield accounts for. */
    public function isCookedWithoutYield(): bool
    {
        return $this->yield === null && $this->isCooked();
    }

    /** Whether the words of its method boil water off. */
    public function isCooked(): bool
    {
        return preg_match('/\b(?:simmer|boil|reduce|cook|bubble|thicken)/iu', implode(' ', $this->method)) === 1;
    }

    /** @return list<string> what it says besides its lines and its method: title, stages, and the prose of its page */
    public function prose(): array
    {
        $aside = array_filter(
            $this->setAside,
            static fn(array $one): bool => in_array($one['why'], self::PROSE, true),
        );

        return [
            ...($this->title === '' ? [] : [$this->title]),
            ...array_values(array_unique(array_filter($this->stages()))),
            ...array_column($aside, 'text'),
        ];
    }

    /** @return list<string> its method, and all that was set aside */
    public function told(): array
    {
        return [...$this->method, ...array_column($this->setAside, 'text')];
    }

    /** @return list<array{string, string|null}> */
    private function staged(): array
    {
        [$lines, $stage] = [[], null];
        foreach ($this->lines as $text) {
            if (trim($text) === '') {
                continue;
            }
            if (ResolvedLine::isHeading($text)) {
                $stage = trim($text, ": \t");
            } else {
                $lines[] = [$text, $stage];
            }
        }

        return $lines;
    }

    /** @param array<string, mixed> $other */
    private function with(array $other): self
    {
        /** @phpstan-ignore argument.type */
        return new self(...[...get_object_vars($this), ...$other]);
    }
}
