<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** A piece of an ingredient line: a number, a word, or a mark of punctuation. */
final readonly class Token
{
    private function __construct(
        public TokenKind $kind,
        public string $text,
        public float $number,
        public bool $isFraction,
        public bool $isGlued,
        public int $offset,
    ) {}

    public static function number(string $text, float $number, bool $isFraction, bool $isGlued, int $offset): self
    {
        return new self(TokenKind::Number, $text, $number, $isFraction, $isGlued, $offset);
    }

    public static function word(string $text, bool $isGlued, int $offset): self
    {
        return new self(TokenKind::Word, $text, 0.0, false, $isGlued, $offset);
    }

    public static function mark(string $text, bool $isGlued, int $offset): self
    {
        return new self(TokenKind::Mark, $text, 0.0, false, $isGlued, $offset);
    }

    public function isWord(string ...$words): bool
    {
        return $this->kind === TokenKind::Word && ($words === [] || in_array(mb_strtolower($this->text), $words, true));
    }

    public function isMark(string ...$marks): bool
    {
        return $this->kind === TokenKind::Mark && in_array($this->text, $marks, true);
    }

    public function isNumber(): bool
    {
        return $this->kind === TokenKind::Number;
    }
}
