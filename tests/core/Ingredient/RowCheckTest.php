<?php

declare(strict_types=1);

namespace Tests\core\Ingredient;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\FactsLines;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\IngredientFields;
use Vinculum\Ingredient\RowCheck;

final class RowCheckTest extends TestCase
{
    public function test_every_line_of_the_facts_is_in_shape(): void
    {
        $lines = FactsLines::read();

        self::assertSame([], $lines->faults());
        self::assertSame([], IngredientFields::faults($lines));
        self::assertMatchesRegularExpression('~^ingredients/[a-z-]+\.ini:\d+$~', $lines->place('ingredients', 'salt', 'density'));
    }

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

    /**
     * Each of two hundred rows with one slip of the pen: a letter of a field wrong, a word that is in no list, a figure out
     * of its range, a row or a field twice. All are told, with the file and the line.
     */
    public function test_no_slip_of_the_pen_goes_unseen(): void
    {
        $copy = sys_get_temp_dir() . '/vinculum-slips-' . getmypid();
        $root = dirname(__DIR__, 3);
        exec('mkdir -p ' . escapeshellarg("{$copy}/bin") . ' && cp -r ' . escapeshellarg("{$root}/core") . ' '
            . escapeshellarg("{$copy}/core") . ' && cp ' . escapeshellarg("{$root}/bin/check-facts") . ' ' . escapeshellarg("{$copy}/bin/"));
        $dice = new Randomizer(new Mt19937(30));
        $expected = [];
        foreach (glob("{$copy}/core/data/ingredients/*.ini") ?: [] as $path) {
            $lines = file($path, FILE_IGNORE_NEW_LINES) ?: [];
            foreach ($lines as $number => $line) {
                if (preg_match('/^(roles|kind|ph|density|grades|sources|texture|of|units|allergens) = (.*)$/', $line, $found) !== 1 || $dice->getInt(0, 24) !== 0) {
                    continue;
                }
                $lines[$number] = match ($found[1]) {
                    'ph', 'density' => $dice->getInt(0, 1) === 0 ? "{$found[1]} = 99" : "{$found[1]}h = {$found[2]}",
                    'of' => "of = waterr 12, {$found[2]}",
                    'units' => "units = {$found[2]}, {$found[2]}",
                    default => $dice->getInt(0, 1) === 0 ? "{$found[1]} = no such word" : "{$found[1]}d = {$found[2]}",
                };
                $expected[] = 'ingredients/' . basename($path) . ':' . ($number + 1) . ':';
            }
            file_put_contents($path, implode("\n", $lines) . "\n");
        }
        file_put_contents("{$copy}/core/data/ingredients/spices.ini", "[salt]\nname = Again\nname = And again\nnonsense\n", FILE_APPEND);
        try {
            exec(PHP_BINARY . ' ' . escapeshellarg("{$copy}/bin/check-facts"), $said, $status);
        } finally {
            exec('rm -rf ' . escapeshellarg($copy));
        }
        $said = implode("\n", $said);

        self::assertSame(1, $status);
        self::assertGreaterThan(200, count($expected));
        foreach ($expected as $place) {
            self::assertStringContainsString($place, $said);
        }
        self::assertStringContainsString('[salt] stands already at ingredients/', $said);
        self::assertStringContainsString('"name" of [salt] stands already', $said);
        self::assertStringContainsString('neither a section nor a field: nonsense', $said);
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
                $spoil('meat', 'of = water 44, fat 38, protein 13, salt 3,', 'of = water 38, fat 38, protein 13, salt 9,'),
            );
            self::assertStringContainsString(
                'white-vinegar: its figures come to 45.0 g',
                $spoil('vinegars-and-acids', 'of = water 95, acetic 5', 'of = water 40, acetic 5'),
            );
            self::assertStringContainsString(
                'jalapeno: a large one weighs less',
                $spoil('chillies', 'small 10, medium 14, large 20', 'small 10, medium 14, large 5'),
            );
        } finally {
            exec('rm -rf ' . escapeshellarg($copy));
        }
    }
}
