<?php

declare(strict_types=1);

namespace Vinculum\Recipe;

use Vinculum\Quantity\Measures;

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
     * @param list<RecipeLine> $lines headings among them, each with a number of its own
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
     *
     * @throws \InvalidArgumentException where two lines have one number
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
        public ?int $servings = null,
        public array $setAside = [],
        public array $ignoredAxes = [],
        public array $places = [],
    ) {
        $ids = array_map(static fn(RecipeLine $line): int => $line->id, $lines);
        if (count(array_unique($ids)) < count($ids)) {
            throw new \InvalidArgumentException('Two lines of a recipe have the same number.');
        }
    }

    /**
     * Lines with a heading before each stage.
     *
     * @param list<array{string, string|null}> $lines each with the stage it belongs to
     *
     * @return list<RecipeLine>
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

        return RecipeLine::numbered($texts);
    }

    /** @return list<string> its lines as they read, headings among them */
    public function texts(): array
    {
        return RecipeLine::texts($this->lines);
    }

    /** @return list<RecipeLine> the lines that name something, without headings */
    public function ingredientLines(): array
    {
        return array_values(array_filter(array_column($this->staged(), 0)));
    }

    /** @return list<string> how those read */
    public function ingredientTexts(): array
    {
        return RecipeLine::texts($this->ingredientLines());
    }

    /** @return array<int, string|null> the stage that each of them belongs to, by its number */
    public function stages(): array
    {
        return array_column(
            array_map(static fn(array $one): array => [$one[0]->id, $one[1]], $this->staged()),
            1,
            0,
        );
    }

    /**
     * The same with other lines.
     *
     * @param list<RecipeLine> $lines
     */
    public function withLines(array $lines, ?string $yield): self
    {
        return $this->with(['lines' => $lines, 'yield' => $yield]);
    }

    /**
     * The same with more lines at its end.
     *
     * @param list<string> $texts
     */
    public function withMore(array $texts, ?string $yield): self
    {
        return $this->withLines(RecipeLine::parse([
            ...array_map(static fn(RecipeLine $line): array => $line->written(), $this->lines),
            ...$texts,
        ]), $yield);
    }

    /** The same with one heading before each stage, and nothing empty. */
    public function tidied(): self
    {
        [$lines, $heading, $last] = [[], null, null];
        foreach ($this->lines as $line) {
            if (trim($line->text) === '') {
                continue;
            }
            if ($line->isHeading()) {
                $heading = $line->reading(self::stageOf($line) . ':');
                continue;
            }
            if ($heading !== null && $heading->text !== $last) {
                $lines[] = $heading;
                $last = $heading->text;
            }
            $lines[] = $line;
        }

        return $this->with(['lines' => $lines]);
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

    /** @return list<array{RecipeLine, string|null}> the lines that name something, each with its stage */
    private function staged(): array
    {
        [$lines, $stage] = [[], null];
        foreach ($this->lines as $line) {
            if (trim($line->text) === '') {
                continue;
            }
            if ($line->isHeading()) {
                $stage = self::stageOf($line);
            } else {
                $lines[] = [$line, $stage];
            }
        }

        return $lines;
    }

    private static function stageOf(RecipeLine $heading): string
    {
        return trim($heading->text, ": \t");
    }

    /** @param array<string, mixed> $other */
    private function with(array $other): self
    {
        /** @phpstan-ignore argument.type */
        return new self(...[...get_object_vars($this), ...$other]);
    }
}
