<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** A piece of an ingredient line, and where in the line it stands. */
final readonly class Token
{
    /**
     * @param string $lower its text in small letters, without a dot at its end
     * @param float $number of a number; NAN where it can be none ("1/0")
     * @param bool $isGlued nothing stands between it and the token before
     * @param int $offset of its first byte
     * @param int $end behind its last byte
     */
    private function __construct(
        public TokenKind $kind,
        public string $text,
        public string $lower,
        public float $number,
        public bool $isFraction,
        public bool $isGlued,
        public int $offset,
        public int $end,
    ) {}

    public static function number(string $text, float $number, bool $isFraction, bool $isGlued, int $offset): self
    {
        $end = $offset + strlen($text);

        return new self(TokenKind::Number, $text, $text, $number, $isFraction, $isGlued, $offset, $end);
    }

    public static function of(TokenKind $kind, string $text, bool $isGlued, int $offset): self
    {
        $lower = $kind === TokenKind::Word ? rtrim(mb_strtolower($text), '.') : $text;

        return new self($kind, $text, $lower, 0.0, false, $isGlued, $offset, $offset + strlen($text));
    }

    /** The same, standing for what is written at another place: of "s&p" all three words. */
    public function standingAt(int $offset, int $end): self
    {
        return new self(
            $this->kind,
            $this->text,
            $this->lower,
            $this->number,
            $this->isFraction,
            $this->isGlued,
            $offset,
            $end,
        );
    }

    public function isWord(string ...$words): bool
    {
        return $this->kind === TokenKind::Word && ($words === [] || in_array($this->lower, $words, true));
    }

    public function isMark(string ...$marks): bool
    {
        return $this->kind === TokenKind::Mark && ($marks === [] || in_array($this->text, $marks, true));
    }

    public function isNumber(): bool
    {
        return $this->kind === TokenKind::Number;
    }

    /** Whether it says something: a word or a number. */
    public function says(): bool
    {
        return $this->kind === TokenKind::Word || $this->kind === TokenKind::Number;
    }
}
