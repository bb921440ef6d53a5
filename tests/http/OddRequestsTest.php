<?php

declare(strict_types=1);

namespace Tests\http;

use App\Batches\Batch;
use App\Console\DemoKitchen;
use App\Palate\Tasting;

/**
 * Whatever a person or a file can send: an answer or a reason, never a fault of ours. And a demo kitchen with something
 * in it.
 */
final class OddRequestsTest extends HttpTestCase
{
    private const ODD = [
        null,
        '',
        ' ',
        0,
        -1,
        1e308,
        'zorp',
        '0',
        "\u{0}",
        "\u{FFFD}\u{1F336}",
        [],
        [[]],
        ['lines' => []],
        true,
        '1/0',
        'NaN',
        '9999999999999999999999',
        "'; drop table sauces; --",
    ];

    public function test_no_odd_value_in_any_field_is_a_fault_of_ours(): void
    {
        $sauce = $this->postJson(
            '/api/sauces',
            ['title' => 'Odd', 'style' => 'ketchup', 'lines' => ['100 g ketchup', '2 tbsp vinegar']],
        )->json('id');
        $batch = $this->postJson("/api/sauces/{$sauce}/batches", [])->json('id');
        $formula = [
            'lines' => ['100 g ketchup', '2 tbsp soy sauce', '1 cup water', '50 g sugar'],
            'style' => 'ketchup',
        ];
        $routes = [
            '/api/suggest' => ['text' => '2 tbsp cid', 'measures' => 'us', 'sauce' => $sauce],
            '/api/nudge' => [...$formula, 'line' => 1, 'direction' => 'up', 'by' => 'step'],
            '/api/swap' => [
                ...$formula,
                'line' => 2,
                'reason' => 'missing',
                'allergens' => ['soya'],
                'diets' => ['vegan'],
                'month' => 3,
                'for' => 'honey',
            ],
            '/api/convert' => [...$formula, 'allergens' => ['soya'], 'diets' => ['vegan']],
            '/api/compare' => [...$formula, 'before' => ['lines' => ['1 g salt']]],
            '/api/scale' => [
                ...$formula,
                'factor' => 2,
                'to' => null,
                'have' => null,
                'serves' => null,
                'portion' => '30 ml',
                'pan' => '24 cm',
                'head_space' => 0.05,
                'loss' => 0,
                'hold_back' => true,
            ],
            '/api/reduce' => [...$formula, 'by' => 'volume', 'value' => 100, 'pan' => '24 cm', 'heat' => 'boiling'],
            '/api/thicken' => [...$formula, 'consistency' => 'coating'],
            '/api/design' => [...$formula, 'batch_grams' => 400, 'base' => 'water', 'may_grow' => true],
            '/api/balance' => [...$formula, 'yield' => '200 ml', 'part_ml' => 50, 'sauce' => $sauce],
            "/api/sauces/{$sauce}/batches" => ['pan_grams' => 300],
            "/api/batches/{$batch}/advise" => [
                'says' => [['complaint' => 'flat', 'strength' => 'clear']],
                'way_back' => false,
                'capacity_ml' => 900,
            ],
            "/api/batches/{$batch}/doses" => [
                'additions' => [['ingredient' => 'water', 'grams' => 1, 'measure' => '1 g']],
                'says' => [],
            ],
            "/api/batches/{$batch}/tastings" => [
                'scores' => ['sour' => 1],
                'temperature' => 'warm',
                'food' => 'bread',
                'words' => 'good',
                'good' => true,
                'close' => false,
            ],
        ];
        $asked = 0;
        foreach ($routes as $path => $body) {
            foreach (array_keys($body) as $field) {
                foreach (self::ODD as $odd) {
                    $answer = $this->postJson($path, [...$body, $field => $odd]);
                    self::assertLessThan(
                        500,
                        $answer->status(),
                        "{$path} {$field} " . json_encode($odd) . ': ' . mb_substr(
                            (string) $answer->getContent(),
                            0,
                            300,
                        ),
                    );
                    if ($answer->status() >= 400) {
                        self::assertNotSame('', $answer->json('message'), "{$path} {$field}");
                    }
                    ++$asked;
                }
            }
        }
        self::assertGreaterThan(900, $asked);
    }

    public function test_what_is_too_large_or_no_text_is_said_to_be(): void
    {
        $large = $this->call(
            'POST',
            '/api/imports/preview',
            [],
            [],
            [],
            [
                'CONTENT_TYPE' => 'application/json',
                'HTTP_ACCEPT' => 'application/json',
                'CONTENT_LENGTH' => (string) (1024 ** 3),
            ],
            '{}',
        );
        self::assertSame(413, $large->getStatusCode());
        self::assertStringContainsString('split it', (string) $large->json('message'));
        foreach ([
            'a picture' => "\x89PNG\r\n\x1A\n\0\0\0\rIHDR",
            'an archive' => "PK\x03\x04\x14\0\x06\0",
            'a database' => "SQLite format 3\0",
        ] as $what => $bytes) {
            foreach (['/api/imports/preview', '/api/imports'] as $path) {
                $answer = $this->postJson($path, ['contents' => mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252')]);
                self::assertSame(422, $answer->getStatusCode(), $what);
                self::assertStringContainsString(
                    'not a text file',
                    (string) $answer->json('message'),
                    "{$what}: what it is, is seen from what is in it",
                );
            }
        }
    }

    public function test_the_demo_kitchen_has_versions_batches_and_a_palate(): void
    {
        self::assertSame(8, $this->app->make(DemoKitchen::class)->load());
        self::assertSame(0, $this->app->make(DemoKitchen::class)->load(), 'once is enough');
        $sauces = array_column($this->getJson('/api/sauces')->json('sauces'), 'id', 'title');
        $versions = $this->getJson("/api/sauces/{$sauces['Damson ketchup']}/versions")->json('versions');

        self::assertCount(3, $versions);
        self::assertStringContainsString('less cloves', $versions[0]['says']);
        self::assertGreaterThanOrEqual(5, Batch::query()->count());
        self::assertSame(0, Batch::query()->whereNull('closed_at')->count(), 'no pan is left open');
        self::assertLessThan(now()->subDay(), Tasting::query()->max('tasted_at'));
        self::assertContains('fruit-ketchup', array_column($this->getJson('/api/palate')->json('families'), 'style'));
        foreach ($sauces as $id) {
            $this->getJson("/api/sauces/{$id}")->assertOk();
        }
    }
}
