<?php

declare(strict_types=1);

namespace Tests\http;

use App\Kitchen\DemoKitchen;
use Illuminate\Support\Facades\DB;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Cooking\MethodReader;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

/** Structured random input, seeded and bounded: nothing answers 500, nothing hangs, nothing swallows the memory. */
final class FuzzTest extends HttpTestCase
{
    private const SEED = 20261124;
    private const MOST_SECONDS = 2.0;
    private const MOST_BYTES = 128 * 1024 * 1024;
    private const PIECES = ['1', '½', '1/0', '-3', '1e9', '0.0000001', '٣', '²', 'NaN', 'cups', 'tbsp', 'g', 'ml', 'tin', 'x', '×', '–', '/', '(', ')', '[', ']', '[cold]', '[20 min]', ',', ':', ';', '"', "'", '#', '%', '°C', 'salt', 'tomatoes', 'honey', 'juice of', 'or', 'and', 'to', 'half', 'a', "\u{200B}", "\u{202E}", "\u{FEFF}", 'é', '🌶️', "\t", '<b>', '&amp;', '{{', '../', '${x}', '%00', 'simmer', 'until it halves', 'hours', 'overnight', 'For the pot:', '9999999999999999999', '1.2.3', '¼½¾', '00', '+', '=cmd'];

    private string $folder = '';

    protected function tearDown(): void
    {
        if ($this->folder !== '') {
            putenv('VINCULUM_DATABASE=:memory:');
            exec('rm -rf ' . escapeshellarg($this->folder));
        }
        parent::tearDown();
    }

    public function test_the_parsers_take_anything(): void
    {
        mt_srand(self::SEED);
        $catalogue = Catalogue::shipped();
        for ($round = 0; $round < 1500; ++$round) {
            $text = self::words(mt_rand(1, 14));
            memory_reset_peak_usage();
            $started = microtime(true);
            $balance = Balance::of(Formula::fromTexts([$text], $catalogue, Measures::Us, mt_rand(0, 3) === 0 ? self::words(3) : null));
            MethodReader::steps([$text]);
            self::assertLessThan(self::MOST_SECONDS, microtime(true) - $started, $text);
            self::assertTrue(is_finite($balance->mixture->grams()), $text);
        }
        for ($round = 0; $round < 300; ++$round) {
            $text = self::document();
            foreach ([static fn() => RecipeReader::readAll($text), static fn() => Csv::read($text)] as $read) {
                try {
                    $read();
                } catch (RecipeFault $fault) {
                    self::assertNotSame('', $fault->getMessage());
                }
            }
        }
        self::assertLessThan(self::MOST_BYTES, memory_get_peak_usage());
    }

    public function test_every_address_takes_anything(): void
    {
        mt_srand(self::SEED + 1);
        $this->app?->make(DemoKitchen::class)->load();
        $copy = $this->kitchenToCopy();
        $routes = array_values(array_filter($this->app?->make('router')->getRoutes()->getRoutes() ?? [], static fn($route): bool => str_starts_with($route->uri(), 'api/')));
        $asked = 0;
        foreach ($routes as $route) {
            $method = $route->methods()[0];
            for ($round = 0; $round < (str_starts_with($route->uri(), 'api/imports') ? 60 : 14); ++$round) {
                $path = (string) preg_replace_callback('/\{\w+\}/', static fn(): string => ['1', '8', '6', '0', '999999', 'ketchup', 'text', 'salt', 'products', $copy, '..%2Fkitchen'][mt_rand(0, 10)], $route->uri());
                $body = mt_rand(0, 5) === 0 ? self::words(6) : (string) json_encode(str_starts_with($path, 'api/imports') ? ['contents' => self::document(), 'keep_both' => (bool) mt_rand(0, 1)] : self::body(), JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
                memory_reset_peak_usage();
                [$started, $held] = [microtime(true), memory_get_usage()];
                $answer = $this->call($method, "/{$path}", [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $method === 'GET' ? null : $body);
                self::assertLessThan(500, $answer->getStatusCode(), "{$method} {$path} {$body} " . substr((string) ($answer->baseResponse->exception ?? ''), 0, 700));
                self::assertLessThan(4 * self::MOST_SECONDS, microtime(true) - $started, "{$method} {$path} {$body}");
                self::assertLessThan(self::MOST_BYTES, memory_get_peak_usage() - $held, "{$method} {$path} {$body}");
                ++$asked;
            }
        }
        self::assertGreaterThan(700, $asked);
    }

    /**
     * A file with the same kitchen in it, which is copied and put back while this one in memory is asked.
     *
     * @return string the name of a copy of it
     */
    private function kitchenToCopy(): string
    {
        $this->folder = sys_get_temp_dir() . '/vinculum-fuzz-' . getmypid();
        mkdir($this->folder);
        DB::statement("VACUUM INTO '{$this->folder}/kitchen.sqlite'");
        putenv("VINCULUM_DATABASE={$this->folder}/kitchen.sqlite");

        return (string) $this->postJson('/api/copies')->assertCreated()->json('copies.0.name');
    }

    private static function words(int $count): string
    {
        $words = [];
        for ($word = 0; $word < $count; ++$word) {
            $words[] = self::PIECES[mt_rand(0, count(self::PIECES) - 1)];
        }

        return implode([' ', '', ' '][mt_rand(0, 2)], $words);
    }

    /** Something that looks like a file of ours, and is not quite. */
    private static function document(): string
    {
        $lines = [];
        for ($line = 0; $line < mt_rand(1, 12); ++$line) {
            $lines[] = self::words(mt_rand(0, 8));
        }
        $text = implode("\n", $lines);

        return match (mt_rand(0, 4)) {
            0 => (string) json_encode(['@type' => 'Recipe', 'name' => self::value(2), 'recipeIngredient' => self::value(3), 'recipeInstructions' => self::value(3), 'recipeYield' => self::value(2), 'cookTime' => self::value(1)], JSON_PARTIAL_OUTPUT_ON_ERROR),
            1 => "<script type=\"application/ld+json\">{$text}</script>",
            2 => substr((string) json_encode(['@graph' => [['@type' => 'Recipe', 'recipeIngredient' => $lines]]]), 0, mt_rand(5, 200)),
            3 => ['name,like,price,salt,ingredients', 'title,made,lines,pan_grams', 'key,name,like,water,salt'][mt_rand(0, 2)] . "\n{$text}\n" . implode(',', ['white-sugar', 'salt', '2026-11-24', self::words(2), (string) mt_rand(-1, 3)]),
            default => $text,
        };
    }

    /** @return array<string, mixed> fields that the addresses know, holding what they do not expect */
    private static function body(): array
    {
        $fields = ['lines', 'title', 'style', 'measures', 'yield', 'pan', 'method', 'part_ml', 'revision', 'line', 'to', 'factor', 'have', 'serves', 'portion', 'by', 'value', 'heat', 'consistency', 'says', 'additions', 'scores', 'good', 'kind', 'figures', 'rebalanced', 'words', 'at', 'key', 'contents', 'keep_both', 'ready', 'zone', 'rings', 'items', 'uses', 'kilograms', 'people', 'ml', 'count', 'went_to', 'finished', 'axis', 'level', 'right', 'on', 'before', 'name', 'like', 'label', 'stands_in', 'in_stock', 'price', 'pack_grams', 'do', 'grams', 'buffer', 'complaint', 'with', 'most', 'target', 'move', 'text', 'direction', 'diets', 'batch_grams', 'pan_grams', 'capacity_ml'];
        $body = ['lines' => mt_rand(0, 2) === 0 ? self::value(3) : [self::words(4), self::words(3), '100 g sugar']];
        for ($field = 0; $field < 9; ++$field) {
            $body[$fields[mt_rand(0, count($fields) - 1)]] = self::value(3);
        }
        if (mt_rand(0, 2) === 0) {
            $body['kind'] = ['measured', 'rebalanced', 'note', 'ph', 'undone', 'timer-started'][mt_rand(0, 5)];
            $body['figures'] = ['line' => self::value(0), 'grams' => self::value(0), 'ph' => self::value(0), 'event' => self::value(0), 'minutes' => self::value(0)];
        }

        return $body;
    }

    private static function value(int $depth): mixed
    {
        return match (mt_rand(0, $depth > 0 ? 9 : 6)) {
            0 => null,
            1 => mt_rand(-5, 20),
            2 => mt_rand() / mt_getrandmax() * 10 ** mt_rand(-12, 15),
            3 => (bool) mt_rand(0, 1),
            4 => ['', 'ketchup', 'metric', 'salt', '2026-11-28 18:00', 'UTC', 'up', 'solids', 'vegan', 'too-salty', '24 cm', '6 x 250 ml', 'line'][mt_rand(0, 12)],
            5 => -PHP_INT_MAX,
            6 => self::words(mt_rand(0, 5)),
            7 => array_map(static fn(): mixed => self::value($depth - 1), range(1, mt_rand(1, 4))),
            8 => ['@type' => ['HowToStep', 'Recipe', 'HowToSection'][mt_rand(0, 2)], 'text' => self::value($depth - 1), 'itemListElement' => self::value($depth - 1), 'sauce' => self::value(0), 'size' => self::value(0), 'line' => self::value(0), 'grams' => self::value(0), 'ingredient' => 'salt', 'complaint' => self::value(0), 'strength' => self::value(0)],
            default => ['salt' => self::value($depth - 1), self::words(1) => self::value($depth - 1)],
        };
    }
}
