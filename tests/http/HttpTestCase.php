<?php

declare(strict_types=1);

namespace Tests\http;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase;
use Vinculum\Recipe\RecipeLine;

/** The application on a database in memory. */
abstract class HttpTestCase extends TestCase
{
    public function createApplication(): Application
    {
        /** @var Application $app */
        $app = require dirname(__DIR__, 2) . '/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->app?->make(Kernel::class)->call('migrate', ['--force' => true]);
    }

    /** @return list<array{id: int, text: string}> lines as they are sent, numbered from 1 */
    protected static function asNumbered(string ...$texts): array
    {
        return array_map(
            static fn(RecipeLine $line): array => $line->written(),
            RecipeLine::numbered(array_values($texts)),
        );
    }
}
