<?php

declare(strict_types=1);

namespace Tests\core;

use PHPUnit\Framework\TestCase;
use Vinculum\Facts\FactsFile;

final class ArchitectureTest extends TestCase
{
    /** The rooms of the core, from quantity outward: a room may use those before it, never those after it. */
    private const ORDER = [
        'Facts',
        'Quantity',
        'Chemistry',
        'Sensory',
        'Optimisation',
        'Ingredient',
        'Recipe',
        'Balance',
        'Keeping',
        'Exchange',
        'Cooking',
        'Family',
        'Palate',
        'Kitchen',
        'Comparison',
        'Correction',
        'Substitution',
        'Drafting',
        'Scaling',
        'CookSession',
        'Instrument',
        'Labelling',
        'Planning',
        'Report',
    ];

    public function test_rooms_depend_on_one_another_in_one_direction(): void
    {
        $checked = 0;
        foreach (self::files() as $room => $files) {
            self::assertContains($room, self::ORDER, "the room {$room} has no place in the order");
            foreach ($files as $file) {
                preg_match_all('/Vinculum\\\\(\w+)\\\\/', (string) file_get_contents($file), $used);
                foreach (array_unique($used[1]) as $other) {
                    self::assertLessThanOrEqual(
                        array_search($room, self::ORDER, true),
                        array_search($other, self::ORDER, true),
                        basename($file) . " of {$room} looks outward to {$other}",
                    );
                    ++$checked;
                }
            }
        }
        self::assertGreaterThan(60, $checked);
    }

    /** The app's folders, from what is shared outward. */
    private const APP = [
        'Plain', 'Database', 'Http', 'Auth', 'Hob', 'Instruments', 'Pantry', 'Palate', 'Kitchen', 'Recipes', 'Plans', 'Batches',
        'Exchange', 'Imports', 'Exports', 'Backups', 'Console', 'Description', 'Server', 'Providers',
    ];

    public function test_the_capabilities_of_the_app_depend_on_one_another_in_one_direction(): void
    {
        $seen = 0;
        $app = dirname(__DIR__, 2) . '/app/';
        foreach ([...(glob("{$app}*/*.php") ?: []), ...(glob("{$app}*/*/*.php") ?: [])] as $file) {
            $room = explode('/', substr($file, strlen($app)))[0];
            self::assertContains($room, self::APP, "the folder {$room} has no place in the order");
            preg_match_all('/\bApp\\\\(\w+)\\\\/', (string) file_get_contents($file), $used);
            foreach (array_unique($used[1]) as $other) {
                self::assertLessThanOrEqual(
                    array_search($room, self::APP, true),
                    array_search($other, self::APP, true),
                    basename($file) . " of {$room} looks outward to {$other}",
                );
                ++$seen;
            }
        }
        self::assertGreaterThan(60, $seen);
    }

    /** A call on a recipe file, copies and the door of a kitchen work where no package is installed. */
    public function test_what_is_plain_needs_nothing_but_php(): void
    {
        $root = dirname(__DIR__, 2);
        foreach (glob("{$root}/app/Plain/*/*.php") ?: [] as $file) {
            preg_match_all('/^use ([^;]+);/m', (string) file_get_contents($file), $uses);
            $others = array_filter($uses[1], static fn(string $use): bool => preg_match('/^(?:Vinculum|App\\\\Plain)\\\\/', $use) !== 1);
            self::assertSame([], array_values($others), basename($file));
        }
        $recipe = (string) tempnam(sys_get_temp_dir(), 'recipe');
        file_put_contents($recipe, "100 g honey\n50 ml cider vinegar\n");
        foreach ([['terminal.php', 'balance', $recipe], ['terminal.php', 'keep', $recipe], ['copies.php', 'is-nothing'], ['door.php', 'addresses']] as $call) {
            $says = 'register_shutdown_function(static fn() => fwrite(STDERR, implode("\n", get_included_files())));'
                . '$argv = array_slice($argv, 1); require "bin/" . $argv[0];';
            $process = proc_open(['php', '-r', $says, '--', ...$call], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes, $root);
            self::assertIsResource($process);
            stream_get_contents($pipes[1]);
            $included = (string) stream_get_contents($pipes[2]);
            proc_close($process);
            self::assertStringContainsString('/app/Plain/', $included, implode(' ', $call));
            self::assertStringNotContainsString('/vendor/', $included, implode(' ', $call));
        }
        unlink($recipe);
    }

    /** Values of the core that hold more than ten things, until they are parted too. */
    private const LARGE = ['Balance', 'Ingredient', 'Item', 'KitchenBasics', 'Mention', 'MethodStep', 'Recipe', 'ResolvedLine', 'Swap'];

    public function test_no_constructor_takes_more_than_ten_things(): void
    {
        $larger = [];
        $root = dirname(__DIR__, 2);
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$root}/core/src"));
        foreach ([...iterator_to_array($files), ...(glob("{$root}/app/*/*.php") ?: [])] as $file) {
            $isOne = preg_match('/function __construct\(((?:[^()]|\([^()]*\))*)\)/', (string) @file_get_contents((string) $file), $found) === 1;
            if ($isOne && preg_match_all('/\$\w+/', $found[1]) > 10) {
                $larger[] = basename((string) $file, '.php');
            }
        }
        sort($larger);
        self::assertSame(self::LARGE, $larger);
    }

    /** The pages' rooms: what is shared, then what several rooms of a sauce need, then places of their own. */
    private const WEB = [
        'base', 'api', 'ui', 'sauce', 'imports', 'auth', 'tools', 'bench', 'shelf', 'typical', 'comparison',
        'cook-sessions',
        'batches', 'plans', 'pantry', 'palate', 'settings', 'backups', 'look',
    ];

    public function test_the_rooms_of_the_pages_depend_on_one_another_in_one_direction(): void
    {
        $root = dirname(__DIR__, 2) . '/web';
        $seen = 0;
        foreach (['/*/*.ts*', '/*/*/*.ts*'] as $pattern) {
            foreach (glob($root . $pattern) ?: [] as $file) {
                $room = self::roomOf(substr($file, strlen($root)));
                preg_match_all('/(?:from|import\() ?\'(\.[^\']+)\'/', (string) file_get_contents($file), $used);
                foreach (str_contains($file, '.test.') ? [] : $used[1] as $import) {
                    $other = self::roomOf('/' . self::joined(dirname(substr($file, strlen($root) + 1)), $import));
                    if ($room === null || $other === null) {
                        continue;
                    }
                    self::assertContains($room, self::WEB, "the room {$room} has no place in the order");
                    self::assertLessThanOrEqual(
                        array_search($room, self::WEB, true),
                        array_search($other, self::WEB, true),
                        basename($file) . " of {$room} looks outward to {$other}",
                    );
                    ++$seen;
                }
            }
        }
        self::assertGreaterThan(300, $seen);
    }

    private static function roomOf(string $path): ?string
    {
        return preg_match('~^/(?:features/)?([a-z-]+)/~', $path, $found) === 1 && $found[1] !== 'testing'
            ? $found[1]
            : null;
    }

    private static function joined(string $folder, string $import): string
    {
        $parts = explode('/', $folder);
        foreach (explode('/', $import) as $part) {
            if ($part === '..') {
                array_pop($parts);
            } elseif ($part !== '.') {
                $parts[] = $part;
            }
        }

        return implode('/', $parts);
    }

    public function test_the_core_knows_no_framework_no_clock_and_no_chance(): void
    {
        foreach (self::files() as $files) {
            foreach ($files as $file) {
                $code = (string) file_get_contents($file);
                self::assertDoesNotMatchRegularExpression(
                    '/\b(Illuminate|Laravel|Symfony|App)\\\\/',
                    $code,
                    basename($file),
                );
                self::assertDoesNotMatchRegularExpression(
                    '/\b(time|microtime|date|rand|mt_rand|random_int|shuffle)\(|new \\\\?DateTime/',
                    $code,
                    basename($file),
                );
                self::assertStringContainsString('declare(strict_types=1);', $code, basename($file));
            }
        }
    }

    public function test_facts_stand_in_data_and_name_their_source(): void
    {
        $named = 0;
        foreach (['axes', 'body', 'cautions', 'masking', 'styles'] as $name) {
            foreach (FactsFile::named($name) as $row) {
                self::assertNotSame('', $row->text('source'), "{$name} [{$row->key}]");
                ++$named;
            }
        }
        self::assertGreaterThan(40, $named);
    }

    public function test_no_fact_is_cut_short_by_a_comment_mark(): void
    {
        foreach (glob(FactsFile::folder() . '/{*,*/*}.ini', GLOB_BRACE) ?: [] as $file) {
            foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $number => $line) {
                self::assertTrue(
                    str_starts_with($line, ';') || !str_contains($line, ';'),
                    basename($file) . ' line ' . ($number + 1) . ': what follows a semicolon is a comment',
                );
            }
        }
    }

    /** Code is read in columns of 120; only a sentence, or the shape of an array, may run on. */
    /** trim() takes bytes: a dash among its marks takes the first byte of "⅓" away. */
    public function test_nothing_is_trimmed_by_a_mark_of_several_bytes(): void
    {
        foreach (self::files() as $files) {
            foreach ($files as $file) {
                self::assertDoesNotMatchRegularExpression(
                    '/\b[lr]?trim\([^();]*,\s*["\'][^"\']*[^\x00-\x7F]/',
                    (string) file_get_contents($file),
                    basename($file),
                );
            }
        }
    }

    /** Whether there is a scale is the kitchen's to know: nobody else measures by spoons of his own. */
    public function test_spoons_come_from_the_kitchen(): void
    {
        $allowed = ['Kitchen.php', 'CookPlan.php', 'CorrectionLimits.php', 'AmountWriter.php', 'Tools.php'];
        $checked = 0;
        foreach (['core/src', 'app'] as $room) {
            $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(dirname(__DIR__, 2) . "/{$room}"));
            foreach ($files as $file) {
                if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                    $asks = str_contains((string) file_get_contents($file->getPathname()), 'Spoons::of(');
                    self::assertTrue(!$asks || in_array($file->getFilename(), $allowed, true), $file->getPathname());
                    $checked += $asks ? 1 : 0;
                }
            }
        }
        self::assertSame(count($allowed), $checked);
    }

    public function test_no_line_of_code_runs_beyond_column_120(): void
    {
        $read = 0;
        foreach (['core/src', 'app', 'database', 'routes', 'config'] as $folder) {
            $root = dirname(__DIR__, 2) . '/' . $folder;
            $files = new \RecursiveIteratorIterator(
                new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS),
            );
            foreach ($files as $file) {
                foreach (str_ends_with((string) $file, '.php') ? file(
                    (string) $file,
                    FILE_IGNORE_NEW_LINES,
                ) ?: [] : [] as $number => $line) {
                    ++$read;
                    $isSentence = preg_match('/([\'"])(?:(?!\1).){40,}/u', $line) === 1;
                    $isShape = preg_match('/^\s*(\/\*)?\*/', $line) === 1;
                    self::assertTrue(
                        mb_strlen($line) <= 120 || $isSentence || $isShape,
                        "{$file} line " . ($number + 1),
                    );
                }
            }
        }
        self::assertGreaterThan(1000, $read);
    }

    /** @return array<string, list<string>> files by room */
    private static function files(): array
    {
        $files = [];
        $core = dirname(__DIR__, 2) . '/core/src/';
        foreach (glob($core . '{*,*/*}/*.php', GLOB_BRACE) ?: [] as $file) {
            $files[explode('/', substr($file, strlen($core)))[0]][] = $file;
        }

        return $files;
    }
}
