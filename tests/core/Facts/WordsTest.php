<?php

declare(strict_types=1);

namespace Tests\core\Facts;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;

final class WordsTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>, bool}> */
    public static function texts(): iterable
    {
        yield 'a word' => ['Simmer gently', ['simmer'], true];
        yield 'not a part of a word' => ['a shimmering glaze', ['shimmer'], false];
        yield 'whatever its case' => ['OFF THE HEAT', ['off the heat'], true];
        yield 'a phrase, not its words apart' => ['take the lid off and heat it', ['off the heat'], false];
        yield 'one of several' => ['rest overnight', ['cool', 'rest', 'chill'], true];
        yield 'none of several' => ['stir it in', ['cool', 'rest', 'chill'], false];
        yield 'beside a mark' => ['(simmer), then rest.', ['rest'], true];
        yield 'with letters of other tongues about it' => ['crème fraîche', ['crème'], true];
        yield 'what looks like a pattern is none' => ['a.c', ['a.c'], true];
        yield 'and matches nothing else' => ['abc', ['a.c'], false];
        yield 'no words at all' => ['anything', [], false];
        yield 'an empty text' => ['', ['salt'], false];
        yield 'broken text' => ["salt\xC3 water", ['salt'], true];
    }

    /** @param list<string> $words */
    #[DataProvider('texts')]
    public function test_whole_words_in_a_text(string $text, array $words, bool $isThere): void
    {
        self::assertSame($isThere, Words::areIn($text, $words));
    }

    public function test_the_longest_is_taken_first(): void
    {
        preg_match('/' . Words::pattern(['soy', 'soy sauce', 'sauce']) . '/iu', 'dark Soy Sauce', $found);
        self::assertSame('Soy Sauce', $found[0]);
    }

    /** A word of the facts that no text could ever hold would never do its work. */
    public function test_every_word_of_the_facts_is_found_in_itself(): void
    {
        foreach ([
            'times' => 'words',
            'step-cautions' => 'words',
            'heats' => 'words',
            'allergens' => 'words',
            'states' => 'words',
        ] as $file => $field) {
            foreach (FactsFile::named($file) as $row) {
                foreach ($row->list($field) as $word) {
                    self::assertTrue(Words::areIn("before {$word} after", [$word]), "{$file}: {$word}");
                }
            }
        }
    }
}
