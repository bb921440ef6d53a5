<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** Text as it comes, with everything taken off that only a screen, a list or a keyboard put on it. */
final class WrittenText
{
    private const BULLETS = '/^(?:[\s\p{So}\p{Sk}•·▪◦‣➤➢✓✔☐☑✅✗*]|[–—-]\s+|\[[ xX]?\]\s*|\x{FE0F})+/u';
    /** A line without the bullet, box or emoji before it. */
    public static function withoutBullet(string $text): string
    {
        $plain = trim((string) preg_replace(self::BULLETS, '', trim(self::named(mb_scrub($text)))));

        return $plain === '' ? trim($text) : $plain;
    }

    /** "🧄 3 cloves" are of garlic: the picture is the name. */
    private static function named(string $text): string
    {
        return str_contains($text, '🧄') && preg_match('/garlic/iu', $text) !== 1
            ? (string) preg_replace('/\bcloves?\b/iu', '$0 garlic', $text, 1)
            : $text;
    }
}
