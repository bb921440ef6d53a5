<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

/** A recipe as it was written: nothing in it is understood yet. */
final readonly class Recipe
{
    /**
     * @param list<RecipeLine> $lines
     * @param list<string>     $method
     * @param list<string>     $notes what was found odd while reading
     */
    public function __construct(
        public ?string $title,
        public ?string $style,
        public ?string $yield,
        public ?string $pan,
        public array $lines,
        public array $method,
        public array $notes = [],
    ) {}

    /** @return list<string> the ingredient lines alone */
    public function texts(): array
    {
        return array_map(static fn(RecipeLine $line): string => $line->text, $this->lines);
    }

    /** @return list<string|null> the stage of each ingredient line */
    public function stages(): array
    {
        return array_map(static fn(RecipeLine $line): ?string => $line->stage, $this->lines);
    }

    /** @return list<string> the ingredient lines with a heading before each stage */
    public function textsWithHeadings(): array
    {
        [$texts, $stage] = [[], null];
        foreach ($this->lines as $line) {
            if ($line->stage !== null && $line->stage !== $stage) {
                $texts[] = "{$line->stage}:";
            }
            $stage = $line->stage;
            $texts[] = $line->text;
        }

        return $texts;
    }

    /** @param list<string> $notes what was found out about it besides */
    public function withNotes(array $notes): self
    {
        return new self(
            $this->title,
            $this->style,
            $this->yield,
            $this->pan,
            $this->lines,
            $this->method,
            [...$this->notes, ...$notes],
        );
    }

    /** Whether the method boils water off that no yield accounts for. */
    public function isCookedWithoutYield(): bool
    {
        return $this->yield === null
            && preg_match('/\b(?:simmer|boil|reduce|cook down|bubble)/iu', implode(' ', $this->method)) === 1;
    }
}
