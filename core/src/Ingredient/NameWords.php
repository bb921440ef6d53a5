<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\FactsFile;

/** The words of a name as names are compared by them. */
final class NameWords
{
    /** Letters of Latin scripts with their marks, by the letter without. */
    private const MARKED = [
        'a' => 'àáâãäåāăąǎǟǡǻȁȃȧḁạảấầẩẫậắằẳẵặ',
        'b' => 'ḃḅḇ',
        'c' => 'çćĉċčḉ',
        'd' => 'ďḋḍḏḑḓ',
        'e' => 'èéêëēĕėęěȅȇȩḕḗḙḛḝẹẻẽếềểễệ',
        'f' => 'ḟ',
        'g' => 'ĝğġģǧǵḡ',
        'h' => 'ĥȟḣḥḧḩḫẖ',
        'i' => 'ìíîïĩīĭįǐȉȋḭḯỉị',
        'j' => 'ĵǰ',
        'k' => 'ķǩḱḳḵ',
        'l' => 'ĺļľḷḹḻḽ',
        'm' => 'ḿṁṃ',
        'n' => 'ñńņňǹṅṇṉṋ',
        'o' => 'òóôõöōŏőơǒǫǭȍȏȫȭȯȱṍṏṑṓọỏốồổỗộớờởỡợ',
        'p' => 'ṕṗ',
        'r' => 'ŕŗřȑȓṙṛṝṟ',
        's' => 'śŝşšșṡṣṥṧṩ',
        't' => 'ţťțṫṭṯṱẗ',
        'u' => 'ùúûüũūŭůűųưǔǖǘǚǜȕȗṳṵṷṹṻụủứừửữự',
        'v' => 'ṽṿ',
        'w' => 'ŵẁẃẅẇẉẘ',
        'x' => 'ẋẍ',
        'y' => 'ýÿŷȳẏẙỳỵỷỹ',
        'z' => 'źżžẑẓẕ',
    ];
    /** What is one letter elsewhere is written with others here. */
    private const LETTERS = [
        'œ' => 'oe',
        'æ' => 'ae',
        'ø' => 'o',
        'đ' => 'd',
        'ł' => 'l',
        'ß' => 'ss',
        'ı' => 'i',
        '’' => "'",
    ];

    /**
     * The words of a name as they are compared: lower case, no accents, singular, one spelling each.
     *
     * @return list<string>
     */
    public static function of(string $name): array
    {
        /** @var array<string, list<string>> $known */
        static $known = [];
        /** @var array<string, string> $one by the word as it is written */
        static $one = [];
        if (isset($known[$name])) {
            return $known[$name];
        }
        $plain = preg_match('/[^\x00-\x7E]/', $name) === 1
            ? self::unaccented(mb_strtolower($name))
            : strtolower($name);
        $plain = (string) preg_replace(["/'s\b|'/", '/[^a-z0-9%.]+/'], ['', ' '], str_replace('&', ' and ', $plain));
        $words = [];
        foreach (explode(' ', trim($plain)) as $word) {
            $word = trim($word, '.');
            if ($word !== '') {
                $words[] = $one[$word] ??= self::synonyms()[$word]
                    ?? self::synonyms()[self::singular($word)]
                    ?? self::singular($word);
            }
        }
        if (count($known) > 5000) {
            [$known, $one] = [[], []];
        }

        return $known[$name] = $words;
    }

    /** Whether a word says how a thing is, not which: fresh, large, chopped. */
    public static function isDescriptor(string $word): bool
    {
        /** @var array<string, true>|null $descriptors */
        static $descriptors = null;
        $descriptors ??= array_fill_keys(FactsFile::named('words')['descriptors']->list('words'), true);

        return isset($descriptors[$word]);
    }

    /** "nước mắm" is written "nuoc mam" here, as most keyboards write it. */
    private static function unaccented(string $text): string
    {
        /** @var array<string, string>|null $plain */
        static $plain = null;
        if ($plain === null) {
            $plain = self::LETTERS;
            foreach (self::MARKED as $letter => $marked) {
                $plain += array_fill_keys(mb_str_split($marked), $letter);
            }
        }

        return strtr((string) preg_replace('/\p{Mn}/u', '', $text), $plain);
    }

    private static function singular(string $word): string
    {
        return match (true) {
            strlen($word) < 4 || preg_match('/(ss|us|(?<![cnlkh])is|anis)$/', $word) === 1 => $word,
            str_ends_with($word, 'ies') && strlen($word) > 4 => substr($word, 0, -3) . 'y',
            str_ends_with($word, 'leaves') => substr($word, 0, -6) . 'leaf',
            str_ends_with($word, 'halves') => 'half',
            preg_match('/(oes|ches|shes|sses|xes)$/', $word) === 1 => substr($word, 0, -2),
            str_ends_with($word, 's') => substr($word, 0, -1),
            default => $word,
        };
    }

    /** @return array<string, string> */
    private static function synonyms(): array
    {
        /** @var array<string, string>|null $synonyms */
        static $synonyms = null;
        if ($synonyms === null) {
            $synonyms = [];
            foreach (self::sameWords() as $word => $others) {
                foreach ($others as $other) {
                    $synonyms[$other] = $word;
                }
            }
        }

        return $synonyms;
    }

    /** @return array<string, list<string>> */
    private static function sameWords(): array
    {
        $row = FactsFile::named('words')['same'];
        $same = [];
        foreach ($row->fields() as $word) {
            $same[$word] = $row->list($word);
        }

        return $same;
    }
}
