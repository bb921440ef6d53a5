<?php

declare(strict_types=1);

namespace Tests\core\Facts;

use PHPUnit\Framework\TestCase;
use Vinculum\Cooking\CookingFacts;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Scaling\HoldBackFacts;
use Vinculum\Sensory\UmamiFacts;

final class FactsTest extends TestCase
{
    public function test_a_row_is_read_with_the_type_that_is_asked_for(): void
    {
        $row = new Row(
            'example',
            [
                'name' => 'Example',
                'count' => '12.5',
                'list' => 'a, b , ,c',
                'numbers' => '1, 2.5',
                'amounts' => 'water 94, acetic acid 5.5',
            ],
        );

        self::assertSame('Example', $row->text('name'));
        self::assertSame('none', $row->textOr('other', 'none'));
        self::assertSame(12.5, $row->number('count'));
        self::assertNull($row->numberOrNull('other'));
        self::assertSame(['a', 'b', 'c'], $row->list('list'));
        self::assertSame([], $row->list('other'));
        self::assertSame([1.0, 2.5], $row->numbers('numbers'));
        self::assertSame(['water' => 94.0, 'acetic acid' => 5.5], $row->amounts('amounts'));
        self::assertSame(['name', 'count', 'list', 'numbers', 'amounts'], $row->fields());
    }

    /** Every class of facts takes each field of its file, and a field that none takes is told. */
    public function test_every_file_that_has_a_class_holds_what_that_takes_and_nothing_else(): void
    {
        $read = 0;
        foreach (self::classes() as $class) {
            Facts::of($class);
            ++$read;
        }
        self::assertGreaterThanOrEqual(17, $read);
    }

    /** @return iterable<class-string> */
    private static function classes(): iterable
    {
        $core = dirname(__DIR__, 3) . '/core/src';
        foreach ([...(glob("{$core}/*/*Facts.php") ?: []), ...(glob("{$core}/*/*/*Facts.php") ?: [])] as $path) {
            $class = 'Vinculum' . str_replace('/', '\\', substr($path, strlen($core), -strlen('.php')));
            if (class_exists($class) && (new \ReflectionClass($class))->hasConstant('FILE')) {
                yield $class;
            }
        }
    }

    public function test_a_slip_in_the_facts_names_its_row_and_field(): void
    {
        $row = new Row('odd', ['number' => 'twelve', 'amounts' => 'water']);
        $slips = [
            '[odd] has no "name"' => static fn(): string => $row->text('name'),
            '[odd] number: "twelve" is not a number' => static fn(): float => $row->number('number'),
            '[odd] amounts: "water" is not a number' => static fn(): array => $row->amounts('amounts'),
            'cannot be read' => static fn(): array => FactsFile::named('no-such-file'),
        ];
        foreach ($slips as $says => $slip) {
            try {
                $slip();
                self::fail("accepted: {$says}");
            } catch (FactsFault $fault) {
                self::assertStringContainsString($says, $fault->getMessage());
            }
        }
    }

    public function test_every_file_reads_and_the_compiled_copy_says_the_same(): void
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'facts');
        file_put_contents($path, FactsFile::compile());
        $compiled = require $path;
        unlink($path);
        self::assertIsArray($compiled);
        foreach ([
            'axes',
            'components',
            'units',
            'counts',
            'words',
            'styles',
            'windows',
            'cautions',
            'complaints',
            'allergens',
            'moves',
            'masking',
            'states',
            'sources',
            'sweeteners',
            'umami',
            'reference-batch',
        ] as $name) {
            self::assertNotSame([], FactsFile::named($name), $name);
            self::assertSame(array_keys(FactsFile::named($name)), array_keys($compiled[$name]), $name);
        }
        self::assertGreaterThan(300, count(FactsFile::folderNamed('ingredients')));
        self::assertGreaterThan(1_500_000_000, FactsFile::lastChange());
    }

    public function test_every_source_says_of_what_kind_it_is(): void
    {
        foreach (FactsFile::named('sources') as $key => $source) {
            self::assertNotSame('', $source->text('title'), $key);
            self::assertContains($source->text('kind'), ['reachable', 'memory', 'common practice'], $key);
        }
    }

    public function test_facts_come_typed_from_their_file_and_what_is_missing_is_named(): void
    {
        self::assertSame(21.0, Facts::of(CookingFacts::class)->cooling->first, 'degrees of the first stage');
        self::assertSame([0.0, 15.0, 30.0, 60.0, 90.0, 120.0, 150.0], Facts::of(CookingFacts::class)->ethanol->minutes);
        self::assertSame(['glutamate' => 1.0, 'aspartate' => 0.077], Facts::of(UmamiFacts::class)->aminoAcids->weights);
        self::assertContains('garlic', Facts::of(HoldBackFacts::class)->of);
        $lacking = new class (0.0) {
            public const FILE = 'planning';
            public const SECTION = 'usual';

            public function __construct(public float $noSuchFigure) {}
        };
        $this->expectException(FactsFault::class);
        $this->expectExceptionMessage('no_such_figure');
        Facts::of($lacking::class);
    }
}
