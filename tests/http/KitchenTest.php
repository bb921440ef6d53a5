<?php

declare(strict_types=1);

namespace Tests\http;

use App\Console\DemoKitchen;
use App\Recipes\HomeKitchen;
use App\Recipes\Sauce;
use Illuminate\Support\Facades\DB;
use Vinculum\Facts\FactsFile;

final class KitchenTest extends HttpTestCase
{
    public function test_the_demo_sauces_are_all_understood_and_loaded_once(): void
    {
        $demo = $this->app->make(DemoKitchen::class);
        self::assertSame(8, $demo->load());
        self::assertSame(0, $demo->load(), 'a shelf that holds something is left alone');
        foreach (Sauce::query()->get() as $sauce) {
            $answer = $this->postJson(
                '/api/balance',
                [
                    'lines' => $sauce->recipe->texts(),
                    'style' => $sauce->recipe->style,
                    'yield' => $sauce->recipe->yield,
                    'measures' => $sauce->recipe->measures->value,
                ],
            );
            foreach ($answer->json('lines') as $line) {
                self::assertContains($line['status'], ['measured', 'assumed'], "{$sauce->recipe->title}: {$line['text']}");
            }
        }
    }

    public function test_the_database_keeps_what_it_acknowledges(): void
    {
        $path = tempnam(sys_get_temp_dir(), 'kitchen');
        config(['database.connections.sqlite.database' => $path]);
        DB::purge('sqlite');
        $pragma = static fn(string $name): mixed
            => ((array) DB::selectOne("PRAGMA {$name}"))[$name === 'busy_timeout' ? 'timeout' : $name];

        self::assertSame('wal', $pragma('journal_mode'));
        self::assertSame(2, $pragma('synchronous'), 'FULL');
        self::assertSame(1, $pragma('foreign_keys'));
        self::assertSame(5000, $pragma('busy_timeout'));
        DB::purge('sqlite');
        array_map(unlink(...), glob("{$path}*") ?: []);
        config(['database.connections.sqlite.database' => ':memory:']);
    }

    public function test_a_database_that_cannot_be_written_is_said_plainly_and_nothing_is_acknowledged(): void
    {
        DB::statement('DROP TABLE versions');
        $answer = $this->postJson('/api/sauces', ['lines' => ['1 g salt']])->assertStatus(503);

        self::assertStringContainsString('Nothing was stored', (string) $answer->json('message'));
        self::assertSame(0, DB::table('sauces')->count());
    }

    public function test_the_page_is_served_for_every_place(): void
    {
        foreach (['/', '/sauce/3', '/anything'] as $place) {
            $this->get($place)->assertOk()->assertHeader(
                'X-Content-Type-Options',
                'nosniff',
            )->assertSee('id="root"', false);
        }
        self::assertStringNotContainsString(
            'http://',
            (string) $this->get('/')->getContent(),
            'the page asks nobody else for anything',
        );
        self::assertStringNotContainsString('https://', (string) $this->get('/')->getContent());
    }

    public function test_the_compiled_facts_are_the_facts(): void
    {
        $compiled = tempnam(sys_get_temp_dir(), 'facts');
        file_put_contents($compiled, FactsFile::compile());
        $facts = require $compiled;
        unlink($compiled);

        self::assertSame('Salt', $facts['ingredients/salts']['salt']['name']);
        self::assertSame(count(glob(FactsFile::folder() . '/{*,*/*}.ini', GLOB_BRACE) ?: []), count($facts));
        self::assertTrue($this->app->make(HomeKitchen::class)->catalogue()->has('salt'));
    }
}
