<?php

declare(strict_types=1);

namespace Tests\http;

use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** A request that every address takes, on the demo kitchen. */
trait RightRequests
{
    private string $folder = '';

    protected function tearDown(): void
    {
        if ($this->folder !== '') {
            putenv('VINCULUM_DATABASE=:memory:');
            exec('rm -rf ' . escapeshellarg($this->folder));
        }
        parent::tearDown();
    }

    /**
     * A request that succeeds for every address; a closure stands for what must be made first.
     *
     * @return list<array{string, string, array<string, mixed>}>
     */
    private function valid(string $copy): array
    {
        $formula = [
            'lines' => ['200 g ketchup', '2 tbsp cider vinegar', '1 tsp salt'],
            'style' => 'ketchup',
            'measures' => 'metric',
            'method' => ['Simmer 10 minutes'],
            'pan' => '24 cm',
        ];
        $product = [
            'name' => 'Fuzzed',
            'like' => 'white-vinegar',
            'stands_in' => false,
            'in_stock' => true,
            'label' => ['acidity' => 7],
        ];
        $plan = [
            'ready' => Carbon::now()->addDays(9)->format('Y-m-d H:i'),
            'zone' => 'UTC',
            'items' => [['sauce' => 8, 'size' => '']],
        ];
        $said = [['complaint' => 'too-salty', 'strength' => 'clear']];

        return [
            ['GET', 'idle', []], ['GET', 'session', []], [
                'POST',
                'session',
                ['passphrase' => 'four plums in a pot'],
            ], ['DELETE', 'session', []], ['GET', 'kitchen', []], ['PUT', 'kitchen', ['has_scale' => true]],
            ['POST', 'balance', $formula], ['POST', 'advise', $formula], [
                'POST',
                'design',
                ['lines' => ['60 g fish sauce [lock]'], 'style' => 'fish-sauce-dip', 'batch_grams' => 300],
            ],
            ['POST', 'suggest', ['text' => '2 tbsp cid']], [
                'POST',
                'nudge',
                [...$formula, 'line' => 1, 'direction' => 'up', 'by' => 'step'],
            ], ['POST', 'ratio', [...$formula, 'sweet_to_sour' => 14]], ['POST', 'swap', [...$formula, 'line' => 2]], [
                'POST',
                'convert',
                [...$formula, 'diets' => ['vegan', 'no-added-sugar']],
            ],
            ['POST', 'scale', [...$formula, 'factor' => 2]], ['POST', 'sheet', [...$formula, 'to' => '2 x 100 ml']], [
                'POST',
                'reduce',
                [...$formula, 'by' => 'weight', 'value' => 150],
            ], ['POST', 'thicken', [...$formula, 'consistency' => 'coating']], [
                'POST',
                'compare',
                [...$formula, 'before' => ['lines' => ['1 tbsp honey']]],
            ],
            ['GET', 'palate', []], [
                'PUT',
                'palate',
                ['on' => true],
            ], ['DELETE', 'palate/{style}', []], ['GET', 'pantry', []], ['POST', 'products', $product], [
                'PUT',
                'products/{product}',
                $product,
            ], ['DELETE', 'products/{product}', []],
            ['GET', 'sauces', ['named' => 'd', 'page' => '1']], ['POST', 'sauces', $formula], [
                'POST',
                'sauces/written',
                ['text' => "# Dip\n1 tsp salt"],
            ], ['POST', 'pages', ['text' => "Relish\n1 kg tomatoes\nSimmer an hour."]], ['GET', 'sauces/{sauce}', []], [
                'PUT',
                'sauces/{sauce}',
                [
                    ...$formula,
                    'revision' => fn(): int => (int) DB::table('sauces')->where(
                        'id',
                        $this->numbered('sauce', $copy),
                    )->value('revision'),
                ],
            ], ['DELETE', 'sauces/{sauce}', []], ['POST', 'sauces/{sauce}/return', []],
            ['GET', 'sauces/{sauce}/told', []], ['GET', 'families/{style}/known', []],
            ['GET', 'sauces/{sauce}/spoonfuls', []], ['GET', 'sauces/{sauce}/versions', []], ['POST', 'sauces/{sauce}/versions', []], [
                'GET',
                'sauces/{sauce}/versions/{version}',
                [],
            ],
            ['GET', 'sauces/{sauce}/batches', []], [
                'POST',
                'sauces/{sauce}/batches',
                ['pan_grams' => 300],
            ], ['GET', 'batches/{batch}', []], ['PUT', 'batches/{batch}', ['pan_grams' => 500]], [
                'POST',
                'batches/{batch}/advise',
                ['says' => $said],
            ],
            [
                'POST',
                'batches/{batch}/doses',
                ['additions' => [['ingredient' => 'salt', 'grams' => 1, 'measure' => 'a pinch']], 'says' => $said],
            ], ['DELETE', 'batches/{batch}/doses', []], [
                'POST',
                'batches/{batch}/tastings',
                ['good' => true],
            ], ['POST', 'batches/{batch}/into-the-sauce', []],
            ['POST', 'sauces/{sauce}/cooks', ['factor' => 1]], ['GET', 'batches/{cook}/cook', []], [
                'POST',
                'batches/{cook}/cook',
                ['kind' => 'measured', 'figures' => ['line' => 1, 'grams' => 20]],
            ],
            ['GET', 'instruments', []], ['GET', 'instruments/scale', []], ['GET', 'instruments/scale/live', []], [
                'POST',
                'instruments/scale/tare',
                [],
            ], ['GET', 'instruments/probe', []], [
                'GET',
                'instruments/refractometer',
                [],
            ], ['GET', 'instruments/ph-meter', []], [
                'POST',
                'instruments/stand-in',
                ['do' => 'dip', 'ph' => 7, 'percent' => 0, 'celsius' => 25],
            ], ['POST', 'instruments/ph-meter/buffer', ['buffer' => 7]],
            ['POST', 'keep', $formula], ['GET', 'sauces/{sauce}/log', []], ['GET', 'batches/{cook}/record', []], [
                'POST',
                'batches/{cook}/record',
                ['kind' => 'note', 'words' => 'thick'],
            ], ['POST', 'batches/{cook}/jars', ['ml' => 1, 'count' => 1]], [
                'POST',
                'batches/{cook}/split',
                ['uses' => ['table'], 'people' => 4],
            ], ['GET', 'batches/{batch}/against/{cook}', []], ['PUT', 'jars/{jar}', ['finished' => true]],
            ['GET', 'plans', []], ['POST', 'plans', $plan], [
                'POST',
                'plans/draft',
                $plan,
            ], ['GET', 'plans/{plan}', []], [
                'GET',
                'plans/{plan}/calendar',
                [],
            ], ['DELETE', 'plans/{plan}', []],
            ['GET', 'trainer', []], [
                'POST',
                'trainer',
                ['axis' => 'salt', 'level' => 2, 'right' => true],
            ], ['DELETE', 'trainer/{axis}', []],
            ['POST', 'uploads', []], [
                'PUT',
                'uploads/{upload}',
                ['at' => 0, 'bytes' => base64_encode('1 tsp salt')],
            ], ['GET', 'uploads/{upload}', []], ['DELETE', 'uploads/{upload}', []],
            ['POST', 'imports/preview', ['contents' => '1 tsp salt']], [
                'POST',
                'imports',
                ['contents' => "# Taken\n1 tsp salt", 'keep_both' => true],
            ], ['DELETE', 'imports/{import}', []],
            ['GET', 'export/kitchen', []], ['GET', 'export/schema', []], ['GET', 'export/{table}', []], [
                'GET',
                'sauces/{sauce}/export/{form}',
                [],
            ], ['GET', 'backups', []], ['POST', 'backups', []], ['POST', 'backups/{name}/restore', []],
        ];
    }

    private static function anyNumber(string $address): string
    {
        return (string) preg_replace('/\{\w+\}/', '{}', $address);
    }

    /** A name that stands in the address: of something that is there. */
    private function numbered(string $name, string $copy): string
    {
        $last = static fn(string $table): string => (string) (int) DB::table($table)->max('id');

        return match ($name) {
            'style' => 'ketchup', 'axis' => 'salt', 'table' => 'products', 'form' => 'text', 'version' => '1', 'name' => $copy, 'jar' => $last('jars'), 'plan' => $last('plans'), 'import' => $last('imports'), 'product' => (string) (int) DB::table('products')
                ->whereNull('deleted_at')
                ->max('id'),
            'upload' => (string) $this->postJson('/api/uploads')->json('upload'),
            'cook' => (string) (int) DB::table('batches')->whereNotNull('wish')->max('id'),
            'batch' => (string) (int) DB::table('batches')->whereNull('wish')->max('id'),
            default => (string) (int) DB::table('sauces')->whereNull('deleted_at')->min('id'),
        };
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

        return (string) $this->postJson('/api/backups')->assertCreated()->json('copies.0.name');
    }
}
