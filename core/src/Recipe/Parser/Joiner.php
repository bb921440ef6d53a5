<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** What stands between two clauses of a line. */
enum Joiner
{
    case None;
    case Comma;
    case Semicolon;
    case Colon;
    case Dash;
    case And;
    case Plus;
    case Or;
    case Slash;
    case Equals;

    public static function of(string $written): self
    {
        return match ($written) {
            ',' => self::Comma,
            ';', '•', '·', '|' => self::Semicolon,
            ':' => self::Colon,
            'and', '&' => self::And,
            '+', 'plus' => self::Plus,
            'or' => self::Or,
            '/' => self::Slash,
            '=' => self::Equals,
            default => self::Dash,
        };
    }

    /** Whether another thing follows as surely as the one before is one. */
    public function adds(): bool
    {
        return in_array($this, [self::And, self::Plus, self::Slash], true);
    }

    public function isChoice(): bool
    {
        return $this === self::Or || $this === self::Slash;
    }

    /** Whether what follows may say more of the name before: "vinegar, white". */
    public function turns(): bool
    {
        return in_array($this, [self::Comma, self::Dash, self::Colon], true);
    }
}
