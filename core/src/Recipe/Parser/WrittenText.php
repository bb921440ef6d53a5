<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

/** Text as it comes, with everything taken off that only a screen, a list or a keyboard put on it. */
final class WrittenText
{
    private const BULLETS = '/^(?:[\s\p{So}\p{Sk}•·▪◦‣➤➢✓✔☐☑✅✗*]|[–—-]\s+|\[[ xX]?\]\s*|\x{FE0F})+/u';
    /** "1 - 15 oz can" is one can of 15 oz. */
    private const PACK_AFTER_DASH = '/^(\d+)\s+[-–]\s*(\d[\d.]*(?:\s?\d\/\d)?\s*-?\s*(?:oz|ounces?|g|ml|lb)\b\.?)\s+(?=(?:can|tin|jar|bottle|pack|bag|box)\w*\b)/iu';

    /** One line: its entities, odd spaces, digits, bullets and leaders of dots as plain writing. */
    public static function line(string $text): string
    {
        $text = mb_scrub($text);
        if (str_contains($text, '&')) {
            $text = html_entity_decode($text, ENT_QUOTES | ENT_HTML5);
        }
        if (preg_match('/[^\x20-\x7E]/', $text) === 1) {
            $text = mb_convert_kana(self::named($text), 'as');
            $text = (string) preg_replace(
                ['/[\x{200B}-\x{200D}\x{2060}\x{FEFF}\x{00AD}\x{FE0F}]/u', '/[\x{00A0}\x{2000}-\x{200A}\x{202F}\x{3000}\t]/u'],
                ['', ' '],
                $text,
            );
            $text = str_replace(['‘', '’', 'ʼ', '“', '”'], ["'", "'", "'", '"', '"'], $text);
        }
        $text = trim((string) preg_replace(self::BULLETS, '', trim($text)));
        // a row of a table: "| Egg yolks | 3 |"
        if (str_starts_with($text, '|') && substr_count($text, '|') > 1) {
            $text = trim((string) preg_replace('/\s*\|\s*/u', ' ', $text));
        }
        $text = (string) preg_replace(
            [
                "/(?<=\d)'(?=\d{3}\b)/",
                '/\s{0,8}(?:\.{3,}|…+|(?:\s\.){2,})\s{0,8}(?=\S)/u',
                '/^([\pL][^\d]*?)\s+[x×]\s?(\d[\d.\/½¼¾⅓⅔]*)$/iu',
                // "a scant half teaspoon"
                '/^an?\s+(scant|good|generous|heaped|rounded)\s+(half|quarter|third|½|¼|⅓|1\/[234])\s+(?=\pL)/iu',
                // "(keep the juice)" does not say that the juice goes in
                '/\s*\((?:keep|keeping|reserve|reserving|save|saving|discard)\b[^)]*\)/iu',
                '/,\s*(?:keeping|reserving|saving|discarding) (?:the |its |their )?\pL+$/iu',
                // "rhubarb in 2 cm lengths": how it is cut is no part of its name
                '/(?<=[\pL)])\s+(?=(?:cut )?in(?:to)? (?:\d[\d.½¼\/-]*\s?-?(?:cm|mm|inch(?:es)?|in)\b\s*|small |large |thin |thick |bite-size[d]? )*(?:lengths|chunks|pieces|slices|strips|dice|cubes|rings|wedges|batons|rounds|halves|quarters)\b)/iu',
                // "onion 1, chopped"
                '/^(?!(?:step|day|part|stage)\b)(\pL[\pL \'-]*?) (\d{1,2}(?:[\/.]\d+)?|[½¼¾⅓⅔]), (?=\pL)/iu',
                self::PACK_AFTER_DASH,
            ],
            ['', ' – ', '$1, $2', '$1 $2 ', '', '', ', ', '$2 $1, ', '$1 ($2) '],
            $text,
        );

        return self::rewritten($text);
    }

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

    /** Abbreviations written out. */
    private static function rewritten(string $text): string
    {
        foreach (WritingFacts::rewritten() as $short => [$pattern, $long]) {
            if (stripos($text, $short) !== false) {
                $text = (string) preg_replace($pattern, $long, $text);
            }
        }

        return $text;
    }
}
