<?php

declare(strict_types=1);

namespace Tests\http;

use App\Description\ApiDescription;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\HttpFoundation\Response;

/** The answers are what the description of the API says, and the pages' types are made from it. */
final class DescriptionTest extends HttpTestCase
{
    /** @var array{paths: array<string, array<string, mixed>>, components: array<string, mixed>}|null */
    private ?array $made = null;

    public function test_answers_agree_with_the_description(): void
    {
        $formula = [
            'title' => 'Dip',
            'style' => 'fish-sauce-dip',
            'lines' => ['5 tbsp fish sauce', '3 tbsp lime juice', '1 tbsp sugar', '3 tbsp zorp', 'salt'],
            'yield' => null,
        ];
        $this->agrees('Balance', $this->postJson('/api/balance', $formula));
        $this->agrees('Balance', $this->postJson('/api/balance', ['lines' => []]));
        $this->agrees('Balance', $this->postJson('/api/balance', ['lines' => ['100 g oil'], 'yield' => '50 ml']));
        $advice = $this->postJson('/api/advise', $formula);
        self::assertNotSame([], $advice->json('corrections'));
        $this->agrees('Advice', $advice);
        $this->agrees(
            'Advice',
            $this->postJson(
                '/api/advise',
                [
                    ...$formula,
                    'style' => null,
                    'complaint' => 'too-salty',
                    'with' => ['water'],
                    'most' => 1,
                    'capacity_ml' => 500,
                ],
            ),
        );
        $this->agrees('Kitchen', $this->getJson('/api/kitchen'));
        $sauce = $this->postJson('/api/sauces', $formula);
        $this->agrees('Sauce', $sauce);
        $this->agrees('Shelf', $this->getJson('/api/sauces'));
        $this->agrees(
            'Conflict',
            $this->putJson('/api/sauces/' . $sauce->json('id'), [...$formula, 'title' => 'Another', 'revision' => 9]),
        );
        $this->agrees(
            'Advice',
            $this->postJson(
                '/api/advise',
                [
                    'lines' => ['500 g tomatoes', '60 g sugar', '40 g salt'],
                    'style' => 'ketchup',
                    'with' => ['white-sugar'],
                    'move' => 'a little sharper',
                ],
            ),
        );
        $this->agrees(
            'Advice',
            $this->postJson('/api/advise', ['lines' => ['100 g water', '3 g salt'], 'target' => ['salt' => [1, 2]]]),
        );
        $this->agrees(
            'Design',
            $this->postJson(
                '/api/design',
                ['lines' => ['60 g fish sauce [lock]'], 'style' => 'fish-sauce-dip', 'batch_grams' => 300],
            ),
        );
        $product = $this->postJson(
            '/api/products',
            [
                'name' => 'My vinegar',
                'like' => 'white-vinegar',
                'stands_in' => true,
                'in_stock' => false,
                'price' => null,
                'pack_grams' => 500,
                'label' => ['acidity' => 7],
            ],
        );
        $this->agrees('Product', $product);
        $this->agrees('PantryList', $this->getJson('/api/pantry'));
        $this->agrees('Suggestions', $this->postJson('/api/suggest', ['text' => '2 tbsp cid']));
        $this->agrees(
            'Nudged',
            $this->postJson('/api/nudge', [...$formula, 'line' => 1, 'direction' => 'up', 'by' => 'step']),
        );
        $this->agrees('Swaps', $this->postJson('/api/swap', [...$formula, 'line' => 1]));
        $this->agrees(
            'Conversion',
            $this->postJson('/api/convert', [...$formula, 'diets' => ['vegan', 'no-added-sugar']]),
        );
        $this->agrees(
            'Reduction',
            $this->postJson(
                '/api/reduce',
                [...$formula, 'by' => 'weight', 'value' => 100, 'pan' => '24 cm', 'heat' => 'boiling'],
            ),
        );
        $this->agrees('Thickenings', $this->postJson('/api/thicken', [...$formula, 'consistency' => 'coating']));
        $this->agrees(
            'Scale',
            $this->postJson(
                '/api/scale',
                [...$formula, 'to' => '6 x 250 ml', 'yield' => '200 ml', 'pan' => '24 cm', 'hold_back' => true],
            ),
        );
        $this->agrees(
            'Comparison',
            $this->postJson('/api/compare', [...$formula, 'before' => ['lines' => ['1 tbsp honey', 'zorp']]]),
        );
        $id = $sauce->json('id');
        $this->agrees('Version', $this->postJson("/api/sauces/{$id}/versions"));
        $this->agrees('Versions', $this->getJson("/api/sauces/{$id}/versions"));
        $batch = $this->postJson("/api/sauces/{$id}/batches", ['pan_grams' => 300])->json('id');
        $this->agrees(
            'Advice',
            $this->postJson(
                "/api/batches/{$batch}/advise",
                ['says' => [['complaint' => 'too-salty', 'strength' => 'far']]],
            ),
        );
        $this->postJson("/api/batches/{$batch}/tastings", ['good' => true, 'temperature' => 'cold']);
        $this->agrees(
            'BatchSummary & PanNow',
            $this->postJson(
                "/api/batches/{$batch}/doses",
                [
                    'additions' => [['ingredient' => 'water', 'grams' => 10, 'measure' => '2 tsp']],
                    'says' => [['complaint' => 'too-salty', 'strength' => 'far']],
                ],
            ),
        );
        $this->agrees('Batches', $this->getJson("/api/sauces/{$id}/batches"));
        $this->agrees('Palates', $this->getJson('/api/palate'));
        $cook = $this->postJson("/api/sauces/{$id}/cooks", ['to' => '4 x 100 ml']);
        $this->agrees('Cook & CookedBatch', $cook);
        $this->agrees(
            'Cook & CookedBatch',
            $this->postJson(
                '/api/batches/' . $cook->json('id') . '/cook',
                ['kind' => 'measured', 'figures' => ['line' => 1, 'grams' => 900]],
            ),
        );
        $this->agrees(
            'Balance',
            $this->postJson(
                '/api/balance',
                [
                    ...$formula,
                    'pan' => '24 cm',
                    'method' => ['Simmer 10 minutes', 'Rub through a sieve', 'Rest overnight'],
                ],
            ),
        );
        $this->agrees(
            'BatchRecord',
            $this->postJson('/api/batches/' . $cook->json('id') . '/jars', ['ml' => 20, 'count' => 2]),
        );
        $this->agrees(
            'Split',
            $this->postJson('/api/batches/' . $cook->json('id') . '/split', ['uses' => ['table'], 'people' => 4]),
        );
        $this->agrees('SauceLog', $this->getJson("/api/sauces/{$id}/log"));
        $this->agrees('Comparison & TastedBetween', $this->getJson("/api/batches/{$batch}/against/" . $cook->json('id')));
        $this->agrees('Keep', $this->postJson('/api/keep', $formula));
        $this->agrees(
            'PlanAnswer',
            $this->postJson(
                '/api/plans',
                [
                    'ready' => now()->addDays(5)->format('Y-m-d H:i'),
                    'zone' => 'UTC',
                    'items' => [['sauce' => $id, 'size' => '4 x 100 ml']],
                ],
            ),
        );
        $this->agrees('Plans', $this->getJson('/api/plans'));
        $this->agrees('Trainer', $this->getJson('/api/trainer'));
        $this->agrees('Instruments', $this->getJson('/api/instruments'));
        $this->agrees('InstrumentReading', $this->getJson('/api/instruments/scale'));
        $this->agrees('Balance', $this->postJson('/api/balance', $formula));
        $this->agrees('Fault', $this->postJson('/api/balance', []));
        $this->agrees('Fault', $this->getJson('/api/sauces/4711'));
    }

    public function test_every_address_is_described_with_what_it_takes_and_answers(): void
    {
        $routes = 0;
        foreach ($this->app->make('router')->getRoutes() as $route) {
            if (!str_starts_with($route->uri(), 'api/') || $route->uri() === 'api/idle') {
                continue;
            }
            ++$routes;
            $operation = $this->description()['paths']["/{$route->uri()}"][strtolower($route->methods()[0])] ?? null;
            self::assertIsArray($operation, $route->uri());
            self::assertArrayHasKey('responses', $operation);
            if ($route->methods()[0] === 'GET') {
                self::assertArrayHasKey(200, $operation['responses'], "{$route->uri()} does not say what it answers");
            }
        }
        self::assertGreaterThan(60, $routes);
    }

    public function test_rules_and_docblocks_become_schemas(): void
    {
        $schemas = $this->description()['components']['schemas'];
        $edit = $schemas['EditRequest'];

        self::assertSame(['lines', 'revision'], $edit['required']);
        self::assertSame(['us', 'metric', 'imperial', 'au', 'jp', 'uk', null], $edit['properties']['measures']['enum']);
        self::assertSame(['type' => ['number', 'string', 'null']], $edit['properties']['part_ml']);
        self::assertSame('array', $schemas['CompareRequest']['properties']['before']['properties']['lines']['type']);
        self::assertSame(
            ['sweet', 'sour', 'salt', 'umami', 'heat'],
            array_keys($schemas['AdviceRequest']['properties']['target']['properties']),
        );
        self::assertSame(['sweet', 'sour', 'salt', 'umami', 'heat'], $schemas['Aim']['properties']['axes']['required']);
        self::assertSame(
            ['anyOf' => [['$ref' => '#/components/schemas/Estimate'], ['type' => 'null']]],
            $schemas['Safety']['properties']['ph'],
        );
        self::assertSame('in 100 g', $schemas['Batch']['properties']['nose_heat']['description']);
        self::assertSame(['info', 'warn', 'stop'], $schemas['Caution']['properties']['severity']['enum']);
        self::assertSame('#/components/schemas/AxisFigure', $schemas['Axis']['allOf'][0]['$ref']);
        self::assertSame(2, $schemas['Axis']['allOf'][1]['properties']['window']['minItems']);
        self::assertSame('#/components/schemas/Swap', $schemas['ConvertedLine']['properties']['candidate']['$ref']);
        self::assertSame(['type' => 'number'], $schemas['CookEvent']['properties']['figures']['additionalProperties']);
    }

    public function test_the_types_of_the_pages_are_made_from_the_description(): void
    {
        $root = dirname(__DIR__, 2);
        $made = (string) shell_exec(
            'cd '
                . escapeshellarg($root)
                . ' && php artisan api:describe | node_modules/.bin/openapi-typescript 2>/dev/null',
        );

        self::assertStringContainsString('export interface components', $made);
        self::assertSame((string) file_get_contents("{$root}/web/api/generated.d.ts"), $made, 'run npm run types');
    }

    /** @param TestResponse<Response> $response */
    private function agrees(string $schemas, TestResponse $response): void
    {
        $description = json_decode((string) json_encode($this->description()));
        $validator = new Validator();
        $validator->resolver()?->registerRaw(
            (string) json_encode(['$id' => 'https://vinculum.local/api', 'components' => $description->components]),
        );
        $result = $validator->validate(
            json_decode((string) $response->getContent()),
            (string) json_encode([
                'allOf' => array_map(
                    static fn(string $one): array => ['$ref' => "https://vinculum.local/api#/components/schemas/{$one}"],
                    explode(' & ', $schemas),
                ),
            ]),
        );
        $error = $result->error();

        self::assertTrue(
            $result->isValid(),
            $schemas . ': ' . ($error === null ? '' : json_encode((new ErrorFormatter())->format($error))),
        );
    }

    /** @return array{paths: array<string, array<string, mixed>>, components: array<string, mixed>} */
    private function description(): array
    {
        return $this->made ??= json_decode((string) json_encode($this->app->make(ApiDescription::class)->made()), true);
    }
}
