<?php

declare(strict_types=1);

namespace Tests\core\Ingredient;

use PHPUnit\Framework\TestCase;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\RowCheck;

final class RowCheckTest extends TestCase
{
    /** Energy and sodium are held against national tables (USDA, from memory) where those are known. */
    public function test_every_row_that_ships_holds_together(): void
    {
        self::assertSame([], RowCheck::findings(Catalogue::shipped()));
    }

    public function test_what_is_published_is_of_rows_that_there_are(): void
    {
        $checked = 0;
        foreach (FactsFile::named('published') as $figures) {
            foreach (array_keys($figures->amounts('of')) as $key) {
                self::assertTrue(Catalogue::shipped()->has($key), $key);
                ++$checked;
            }
        }
        self::assertGreaterThan(80, $checked);
    }

    /** The checker run on a copy of the facts in which one figure is wrong, in another process. */
    public function test_what_does_not_hold_together_is_found_and_named(): void
    {
        $core = dirname(__DIR__, 3) . '/core';
        $copy = sys_get_temp_dir() . '/vinculum-facts-' . getmypid();
        exec('mkdir -p ' . escapeshellarg("{$copy}/bin") . ' && cp -r ' . escapeshellarg($core) . ' '
            . escapeshellarg("{$copy}/core") . ' && cp ' . escapeshellarg("{$core}/../bin/check-facts") . ' '
            . escapeshellarg("{$copy}/bin/"));
        $spoil = static function (string $file, string $right, string $wrong) use ($copy): string {
            $path = "{$copy}/core/data/ingredients/{$file}.ini";
            $text = (string) file_get_contents($path);
            self::assertStringContainsString($right, $text);
            file_put_contents($path, str_replace($right, $wrong, $text));
            exec(PHP_BINARY . ' ' . escapeshellarg("{$copy}/bin/check-facts"), $said, $status);
            file_put_contents($path, $text);
            self::assertSame(1, $status);

            return implode("\n", $said);
        };
        try {
            self::assertStringContainsString(
                'bacon: holds 9.00 g salt',
                $spoil('salts-and-umami', 'of = water 44, fat 38, protein 13, salt 3,', 'of = water 38, fat 38, protein 13, salt 9,'),
            );
            self::assertStringContainsString(
                'white-vinegar: its figures come to 45.0 g',
                $spoil('vinegars-and-acids', 'of = water 95, acetic 5', 'of = water 40, acetic 5'),
            );
            self::assertStringContainsString(
                'jalapeno: a large one weighs less',
                $spoil('spices', 'small 10, medium 14, large 20', 'small 10, medium 14, large 5'),
            );
        } finally {
            exec('rm -rf ' . escapeshellarg($copy));
        }
    }
}
