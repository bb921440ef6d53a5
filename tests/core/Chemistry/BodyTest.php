<?php

declare(strict_types=1);

namespace Tests\core\Chemistry;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

/** How thick things are, as every cook knows them (common practice). */
final class BodyTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<string>, string}> lines, classes it may be, cause */
    public static function sauces(): iterable
    {
        yield 'soy sauce runs' => [['100 g soy sauce'], ['thin'], 'nothing'];
        yield 'vinegar runs' => [['100 g cider vinegar'], ['thin'], 'nothing'];
        yield 'mayonnaise stands' => [['100 g mayonnaise'], ['spooning'], 'emulsion'];
        yield 'oil and vinegar alone do not hold' => [['60 g olive oil', '40 g red wine vinegar'], ['thin'], 'nothing'];
        yield 'mustard holds them' => [
            ['60 g olive oil', '30 g red wine vinegar', '10 g Dijon mustard'],
            ['coating', 'spooning'],
            'emulsion',
        ];
        yield 'ketchup coats or stands' => [['100 g ketchup'], ['coating', 'spooning'], 'starch'];
        yield 'tomato paste stands' => [['100 g tomato paste'], ['coating', 'spooning'], 'solids'];
        yield 'peanut butter is a paste or near it' => [['100 g peanut butter'], ['spooning', 'paste'], 'solids'];
        yield 'honey coats' => [['100 g honey'], ['pouring', 'coating'], 'solids'];
    }

    /**
     * @param list<string> $lines
     * @param list<string> $classes
     */
    #[DataProvider('sauces')]
    public function test_consistencies_are_those_that_cooks_know(array $lines, array $classes, string $from): void
    {
        $body = Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us))->body;

        self::assertContains($body->class, $classes);
        self::assertSame($from, $body->from);
    }

    public function test_the_edges_rise(): void
    {
        foreach (FactsFile::named('body') as $cause => $row) {
            $edges = $row->numbers('edges');
            $sorted = $edges;
            sort($sorted);
            self::assertCount(4, $edges, $cause);
            self::assertSame($sorted, $edges, $cause);
        }
    }
}
