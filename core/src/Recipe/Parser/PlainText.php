<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** A line in plain characters, as any keyboard writes them, and where each of them stands in the line as it came. */
final readonly class PlainText
{
    private const BULLETS = '/^(?:[\s\p{So}\p{Sk}•·▪◦‣➤➢✓✔☐☑✅✗*]|[–—-]\s+|\[[ xX]?\]\s*|\x{FE0F})+/u';

    /** @param list<int>|null $offsets in the line as it came, by byte of the plain text; null where they are the same */
    private function __construct(public string $text, private ?array $offsets) {}

    /** Its entities, odd spaces, digits and quotes as plain writing; no more letters than so many. */
    public static function of(string $text, int $longest = PHP_INT_MAX): self
    {
        if (preg_match('/^[\x20-\x25\x27-\x7E]*$/', $text) === 1) {
            return new self(self::unquoted(substr($text, 0, $longest)), null);
        }
        $text = mb_scrub($text);
        $pattern = '/&(?:#\d{1,6}|#x[0-9a-f]{1,6}|[a-z]{2,8}\d{0,2});|./ius';
        preg_match_all($pattern, mb_substr($text, 0, $longest), $found, PREG_OFFSET_CAPTURE);
        [$plain, $offsets] = ['', []];
        foreach ($found[0] as [$character, $offset]) {
            $one = self::plain($character);
            $plain .= $one;
            for ($byte = strlen($one); $byte > 0; --$byte) {
                $offsets[] = $offset;
            }
        }
        $offsets[] = strlen($text);

        return new self(self::unquoted($plain), $offsets);
    }

    /** Where in the line as it came a place of the plain text stands, both in bytes. */
    public function offsetOf(int $offset): int
    {
        return $this->offsets[$offset] ?? $offset;
    }

    /** A number in quotes is a part of a name, and no amount: "00" flour. */
    private static function unquoted(string $text): string
    {
        return str_contains($text, '"') ? (string) preg_replace('/"(\d{2,4})"(?=\s\pL)/u', ' $1 ', $text) : $text;
    }

    private static function plain(string $character): string
    {
        if (strlen($character) === 1) {
            return $character < ' ' ? ' ' : $character;
        }
        if ($character[0] === '&') {
            $decoded = html_entity_decode($character, ENT_QUOTES | ENT_HTML5);
            $character = $decoded === $character ? $character : $decoded;
        }

        return match (true) {
            preg_match('/^[\x{200B}-\x{200D}\x{2060}\x{FEFF}\x{00AD}]$/u', $character) === 1 => '',
            preg_match('/^[\x{00A0}\x{2000}-\x{200A}\x{202F}\x{3000}]$/u', $character) === 1 => ' ',
            preg_match('/^[\x{FF01}-\x{FF5E}]$/u', $character) === 1 => mb_chr(mb_ord($character) - 0xFEE0),
            in_array($character, ['‘', '’', 'ʼ', '′'], true) => "'",
            in_array($character, ['“', '”', '″'], true) => '"',
            default => $character,
        };
    }

    /** A line without the bullet, box or picture before it. */
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
