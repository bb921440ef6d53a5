<?php

declare(strict_types=1);

namespace Vinculum\Recipe;

use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * A line of a recipe as it is written, with a number of its own that it keeps wherever it moves and however it is edited.
 *
 * @phpstan-type NumberedLine array{id: int, text: string, apart?: bool, said?: array{int, int}}
 */
final readonly class RecipeLine
{
    /**
     * @param int $id from 1, no other line of its recipe has it
     * @param bool $isApart it names one thing: several were taken apart before
     * @param array{int, int}|null $said of a telling: from and to, in characters of it, that the line was understood from
     */
    private function __construct(
        public int $id,
        public string $text,
        public bool $isApart = false,
        public ?array $said = null,
    ) {}

    /**
     * @param array{int, int}|null $said
     *
     * @throws \InvalidArgumentException where no line can have that number, or the telling no such place
     */
    public static function of(int $id, string $text, bool $isApart = false, ?array $said = null): self
    {
        if ($id < 1) {
            throw new \InvalidArgumentException("A line is numbered from 1, not {$id}.");
        }
        if ($said !== null && ($said[0] < 0 || $said[1] < $said[0])) {
            throw new \InvalidArgumentException("No words of a telling stand from {$said[0]} to {$said[1]}.");
        }

        return new self($id, $text, $isApart, $said);
    }

    /**
     * Lines that nobody has numbered yet.
     *
     * @param list<string> $texts
     *
     * @return list<self> from 1, in their order
     */
    public static function numbered(array $texts): array
    {
        return array_map(
            static fn(string $text, int $at): self => new self($at + 1, $text),
            $texts,
            array_keys($texts),
        );
    }

    /**
     * Lines as they were sent or stored: each a text, or a text with its number.
     *
     * @param list<mixed> $written
     *
     * @return list<self> those without a number have those above the others', in their order
     *
     * @throws \InvalidArgumentException where one is neither, or two have one number
     */
    public static function parse(array $written): array
    {
        $next = 1 + max([0, ...array_filter(array_column(array_filter($written, is_array(...)), 'id'), is_int(...))]);
        $lines = [];
        foreach ($written as $one) {
            $line = is_array($one) ? $one : ['id' => $next++, 'text' => $one ?? ''];
            [$id, $text] = [$line['id'] ?? null, $line['text'] ?? null];
            if (!is_int($id) || !is_string($text) || isset($lines[$id])) {
                $number = count($lines) + 1;
                throw new \InvalidArgumentException("Line {$number} is no text, or has no number of its own.");
            }
            $lines[$id] = self::of($id, $text, ($line['apart'] ?? false) === true, self::place($line['said'] ?? null));
        }

        return array_values($lines);
    }

    /**
     * @param list<self> $lines
     *
     * @return list<string> how they read
     */
    public static function texts(array $lines): array
    {
        return array_map(static fn(self $line): string => $line->text, $lines);
    }

    /** @return array{int, int}|null */
    private static function place(mixed $said): ?array
    {
        return is_array($said) && is_int($said[0] ?? null) && is_int($said[1] ?? null) ? [$said[0], $said[1]] : null;
    }

    /** @return NumberedLine as it is sent and stored */
    public function written(): array
    {
        return [
            'id' => $this->id,
            'text' => $this->text,
            ...($this->isApart ? ['apart' => true] : []),
            ...($this->said === null ? [] : ['said' => $this->said]),
        ];
    }

    /** The same line, reading otherwise now. */
    public function reading(string $text): self
    {
        return $text === $this->text ? $this : new self($this->id, $text, $this->isApart, $this->said);
    }

    /** The same line, naming one thing whatever its words name: several were taken apart before. */
    public function apart(): self
    {
        return new self($this->id, $this->text, true, $this->said);
    }

    /**
     * The same line, understood from these words of a telling.
     *
     * @param array{int, int} $said
     */
    public function saidAt(array $said): self
    {
        return self::of($this->id, $this->text, $this->isApart, $said);
    }

    /** Whether it names a stage, or nothing: no ingredient is in it. */
    public function isHeading(): bool
    {
        return ResolvedLine::isHeading($this->text);
    }
}
