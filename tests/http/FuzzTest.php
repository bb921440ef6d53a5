<?php

declare(strict_types=1);

namespace Tests\http;

use App\Console\DemoKitchen;
use App\Plain\Door\Passphrase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Cooking\MethodReader;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

/** Structured random input, seeded and bounded: nothing answers 500, nothing swallows the memory. */
final class FuzzTest extends HttpTestCase
{
    use RightRequests;

    private const SEED = 20261124;
    private const MOST_BYTES = 128 * 1024 * 1024;
    private const PIECES = [
        '1',
        '½',
        '1/0',
        '-3',
        '1e9',
        '0.0000001',
        '٣',
        '²',
        'NaN',
        'cups',
        'tbsp',
        'g',
        'ml',
        'tin',
        'x',
        '×',
        '–',
        '/',
        '(',
        ')',
        '[',
        ']',
        '[cold]',
        '[20 min]',
        ',',
        ':',
        ';',
        '"',
        "'",
        '#',
        '%',
        '°C',
        'salt',
        'tomatoes',
        'honey',
        'juice of',
        'or',
        'and',
        'to',
        'half',
        'a',
        "\u{200B}",
        "\u{202E}",
        "\u{FEFF}",
        'é',
        '🌶️',
        "\t",
        '<b>',
        '&amp;',
        '{{',
        '../',
        '${x}',
        '%00',
        'simmer',
        'until it halves',
        'hours',
        'overnight',
        'For the pot:',
        '9999999999999999999',
        '1.2.3',
        '¼½¾',
        '00',
        '+',
        '=cmd',
    ];

    public function test_the_parsers_take_anything(): void
    {
        mt_srand(self::SEED);
        $catalogue = Catalogue::shipped();
        for ($round = 0; $round < 1500; ++$round) {
            $text = self::words(mt_rand(1, 14));
            memory_reset_peak_usage();
            $balance = Balance::of(
                Formula::fromTexts([$text], $catalogue, Measures::Us, mt_rand(0, 3) === 0 ? self::words(3) : null),
            );
            MethodReader::steps([$text]);
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
        $routes = array_values(
            array_filter(
                $this->app?->make('router')->getRoutes()->getRoutes() ?? [],
                static fn($route): bool => str_starts_with($route->uri(), 'api/'),
            ),
        );
        $asked = 0;
        foreach ($routes as $route) {
            $method = $route->methods()[0];
            for ($round = 0; $round < (str_starts_with($route->uri(), 'api/imports') ? 60 : 14); ++$round) {
                $path = (string) preg_replace_callback(
                    '/\{\w+\}/',
                    static fn(): string => [
                        '1',
                        '8',
                        '6',
                        '0',
                        '999999',
                        'ketchup',
                        'text',
                        'salt',
                        'products',
                        $copy,
                        '..%2Fkitchen',
                    ][mt_rand(0, 10)],
                    $route->uri(),
                );
                $body = mt_rand(0, 5) === 0
                    ? self::words(6)
                    : (string) json_encode(
                        str_starts_with($path, 'api/imports')
                            ? ['contents' => self::document(), 'keep_both' => (bool) mt_rand(0, 1)]
                            : self::body(),
                        JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
                    );
                memory_reset_peak_usage();
                $held = memory_get_usage();
                $answer = $this->call(
                    $method,
                    "/{$path}",
                    [],
                    [],
                    [],
                    ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
                    $method === 'GET' ? null : $body,
                );
                self::assertLessThan(
                    500,
                    $answer->getStatusCode(),
                    "{$method} {$path} {$body} " . substr((string) ($answer->baseResponse->exception ?? ''), 0, 700),
                );
                self::assertLessThan(self::MOST_BYTES, memory_get_peak_usage() - $held, "{$method} {$path} {$body}");
                ++$asked;
            }
        }
        self::assertGreaterThan(700, $asked);
    }

    /**
     * From bodies that are right, and then a little wrong: every address is reached past its door.
     */
    public function test_every_address_succeeds_and_takes_what_is_almost_right(): void
    {
        mt_srand(self::SEED + 2);
        $door = sys_get_temp_dir() . '/vinculum-fuzz-' . getmypid() . '/door';
        config([
            'door.folder' => $door,
            'session.files' => "{$door}/sessions",
            'cache.stores.door.path' => "{$door}/tries",
        ]);
        $this->app?->make(DemoKitchen::class)->load();
        $copy = $this->kitchenToCopy();
        $standIn = new StandIn();
        (new Passphrase("{$door}/passphrase"))->set('four plums in a pot');
        $succeeded = [];
        foreach ($this->valid($copy) as [$method, $path, $body]) {
            foreach ([$body, ...array_map(static fn(): array => self::bent($body), range(1, 4))] as $round => $sent) {
                $sent = array_map(
                    static fn(mixed $value): mixed => $value instanceof \Closure ? $value() : $value,
                    $sent,
                );
                $place = (string) preg_replace_callback(
                    '/\{(\w+)\}/',
                    fn(array $found): string => $this->numbered($found[1], $copy),
                    $path,
                );
                memory_reset_peak_usage();
                $held = memory_get_usage();
                $answer = $this->call(
                    $method,
                    "/api/{$place}",
                    $method === 'GET' ? $sent : [],
                    [],
                    [],
                    ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
                    $method === 'GET'
                        ? null
                        : (string) json_encode(
                            $sent,
                            JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_FORCE_OBJECT * (int) ($sent === []),
                        ),
                );
                $said = "{$method} {$place} " . json_encode($sent, JSON_PARTIAL_OUTPUT_ON_ERROR);
                self::assertLessThan(
                    500,
                    $answer->getStatusCode(),
                    $said . substr((string) ($answer->baseResponse->exception ?? ''), 0, 500),
                );
                self::assertLessThan(self::MOST_BYTES, memory_get_peak_usage() - $held, $said);
                if ($answer->isSuccessful()) {
                    $succeeded[] = self::anyNumber("{$method} {$path}");
                } elseif ($round === 0) {
                    self::fail("{$said}: {$answer->getStatusCode()} " . substr((string) $answer->getContent(), 0, 300));
                }
            }
        }
        $routes = array_filter(
            $this->app?->make('router')->getRoutes()->getRoutes() ?? [],
            static fn($route): bool => str_starts_with($route->uri(), 'api/'),
        );
        $all = array_map(static fn($route): string => "{$route->methods()[0]} " . substr($route->uri(), 4), $routes);
        $standIn->stop();
        self::assertSame(
            [],
            array_values(array_diff(array_map(self::anyNumber(...), $all), $succeeded)),
            'every address succeeded at least once',
        );
    }

    public function test_kitchen_files_long_methods_and_headers_are_taken_as_they_come(): void
    {
        mt_srand(self::SEED + 3);
        $this->app?->make(DemoKitchen::class)->load();
        $file = json_decode($this->get('/api/export/kitchen')->streamedContent(), true);
        for ($round = 0; $round < 60; ++$round) {
            $bent = $file;
            $table = array_rand($bent);
            if (is_array($bent[$table]) && $bent[$table] !== []) {
                $row = array_rand($bent[$table]);
                $column = array_rand($bent[$table][$row]);
                $bent[$table][$row][$column] = self::value(2);
            } else {
                $bent[$table] = self::value(2);
            }
            $answer = $this->postJson(
                '/api/imports',
                ['contents' => json_encode($bent, JSON_PARTIAL_OUTPUT_ON_ERROR), 'keep_both' => true],
            );
            self::assertContains(
                $answer->getStatusCode(),
                [201, 422],
                "{$table} " . substr((string) ($answer->baseResponse->exception ?? ''), 0, 300),
            );
            if ($answer->getStatusCode() === 201) {
                foreach (['/api/sauces', '/api/plans', '/api/pantry', '/api/palate'] as $list) {
                    self::assertLessThan(500, $this->getJson($list)->getStatusCode(), "after {$table}");
                }
                $this->deleteJson('/api/imports/' . $answer->json('id'))->assertOk();
            }
        }
        foreach ([
            'a. ',
            'x then ',
            '[',
            '[a] ',
            'an hour and a half ',
            '1-',
            "\u{200B}",
            'simmer until it halves; ',
        ] as $piece) {
            $method = array_fill(0, 500, mb_substr(str_repeat($piece, 2000), 0, 2000));
            $this->postJson(
                '/api/balance',
                ['lines' => ['100 g sugar', '200 g water'], 'method' => $method, 'pan' => '24 cm'],
            )->assertOk();
        }
        foreach ([
            'HTTP_ACCEPT',
            'HTTP_ORIGIN',
            'HTTP_X_KITCHEN_EPOCH',
            'HTTP_COOKIE',
            'HTTP_IF_NONE_MATCH',
            'HTTP_RANGE',
            'HTTP_X_FORWARDED_FOR',
            'CONTENT_TYPE',
            'HTTP_X_HTTP_METHOD_OVERRIDE',
        ] as $header) {
            for ($round = 0; $round < 10; ++$round) {
                $value = self::words(mt_rand(0, 6));
                self::assertLessThan(
                    500,
                    $this->call(
                        'POST',
                        '/api/sauces',
                        [],
                        [],
                        [],
                        ['CONTENT_TYPE' => 'application/json', $header => $value],
                        '{"lines": []}',
                    )->getStatusCode(),
                    "{$header}: {$value}",
                );
            }
        }
    }

    /**
     * One field of it taken away, doubled or put to something else.
     *
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed>
     */
    private static function bent(array $body): array
    {
        $field = $body === [] ? 'lines' : array_rand($body);
        match (mt_rand(0, 3)) {
            0 => $body = array_diff_key($body, [$field => 1]),
            1 => $body[$field] = [$body[$field] ?? 1, $body[$field] ?? 1],
            2 => is_array($body[$field] ?? null) && $body[$field] !== []
                ? $body[$field][array_rand($body[$field])] = self::value(2)
                : $body[$field] = self::value(1),
            default => $body[$field] = self::value(2),
        };

        return array_map(
            static fn(mixed $value): mixed => is_array($value)
                ? array_map(static fn(mixed $one): mixed => $one instanceof \Closure ? 1 : $one, $value)
                : $value,
            $body,
        );
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
            0 => (string) json_encode(
                [
                    '@type' => 'Recipe',
                    'name' => self::value(2),
                    'recipeIngredient' => self::value(3),
                    'recipeInstructions' => self::value(3),
                    'recipeYield' => self::value(2),
                    'cookTime' => self::value(1),
                ],
                JSON_PARTIAL_OUTPUT_ON_ERROR,
            ),
            1 => "<script type=\"application/ld+json\">{$text}</script>",
            2 => substr(
                (string) json_encode(['@graph' => [['@type' => 'Recipe', 'recipeIngredient' => $lines]]]),
                0,
                mt_rand(5, 200),
            ),
            3 => [
                'name,like,price,salt,ingredients',
                'title,made,lines,pan_grams',
                'key,name,like,water,salt',
            ][mt_rand(0, 2)] . "\n{$text}\n" . implode(
                ',',
                ['white-sugar', 'salt', '2026-11-24', self::words(2), (string) mt_rand(-1, 3)],
            ),
            default => $text,
        };
    }

    /** @return array<string, mixed> fields that the addresses know, holding what they do not expect */
    private static function body(): array
    {
        $fields = [
            'lines',
            'title',
            'style',
            'measures',
            'yield',
            'pan',
            'method',
            'part_ml',
            'revision',
            'line',
            'to',
            'factor',
            'have',
            'serves',
            'portion',
            'by',
            'value',
            'heat',
            'consistency',
            'says',
            'additions',
            'scores',
            'good',
            'kind',
            'figures',
            'rebalanced',
            'words',
            'at',
            'key',
            'contents',
            'keep_both',
            'ready',
            'zone',
            'rings',
            'items',
            'uses',
            'kilograms',
            'people',
            'ml',
            'count',
            'went_to',
            'finished',
            'axis',
            'level',
            'right',
            'on',
            'before',
            'name',
            'like',
            'label',
            'stands_in',
            'in_stock',
            'price',
            'pack_grams',
            'do',
            'grams',
            'buffer',
            'complaint',
            'with',
            'most',
            'target',
            'move',
            'text',
            'direction',
            'diets',
            'batch_grams',
            'pan_grams',
            'capacity_ml',
        ];
        $body = ['lines' => mt_rand(0, 2) === 0 ? self::value(3) : [self::words(4), self::words(3), '100 g sugar']];
        for ($field = 0; $field < 9; ++$field) {
            $body[$fields[mt_rand(0, count($fields) - 1)]] = self::value(3);
        }
        if (mt_rand(0, 2) === 0) {
            $body['kind'] = ['measured', 'rebalanced', 'note', 'ph', 'undone', 'timer-started'][mt_rand(0, 5)];
            $body['figures'] = [
                'line' => self::value(0),
                'grams' => self::value(0),
                'ph' => self::value(0),
                'event' => self::value(0),
                'minutes' => self::value(0),
            ];
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
            4 => [
                '',
                'ketchup',
                'metric',
                'salt',
                '2026-11-28 18:00',
                'UTC',
                'up',
                'solids',
                'vegan',
                'too-salty',
                '24 cm',
                '6 x 250 ml',
                'line',
            ][mt_rand(0, 12)],
            5 => -PHP_INT_MAX,
            6 => self::words(mt_rand(0, 5)),
            7 => array_map(static fn(): mixed => self::value($depth - 1), range(1, mt_rand(1, 4))),
            8 => [
                '@type' => ['HowToStep', 'Recipe', 'HowToSection'][mt_rand(0, 2)],
                'text' => self::value($depth - 1),
                'itemListElement' => self::value($depth - 1),
                'sauce' => self::value(0),
                'size' => self::value(0),
                'line' => self::value(0),
                'grams' => self::value(0),
                'ingredient' => 'salt',
                'complaint' => self::value(0),
                'strength' => self::value(0),
            ],
            default => ['salt' => self::value($depth - 1), self::words(1) => self::value($depth - 1)],
        };
    }
}
