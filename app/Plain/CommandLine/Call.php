<?php

declare(strict_types=1);

namespace App\Plain\CommandLine;

use Vinculum\Correction\Complaint;
use Vinculum\Exchange\IgnoredAxes;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\NameSearch;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Measures;
use Vinculum\Scaling\RequestedSize;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaleFault;
use Vinculum\Substitution\DietaryNeeds;
use Vinculum\Substitution\SwapReason;

/** A command line, taken apart and checked. */
final readonly class Call
{
    private const MOST_BYTES = 5_000_001;

    /** Options of every answer about a recipe, each with whether it takes a value. */
    private const OF_A_RECIPE = [
        '--json' => false,
        '--stdin' => false,
        '--mixed' => false,
        '--style' => true,
        '--measures' => true,
        '--let-go' => true,
    ];
    private const OF_A_SIZE = [
        '--to' => true,
        '--factor' => true,
        '--have' => true,
        '--serves' => true,
        '--portion' => true,
    ];
    /** What a size may be said by; the portion goes with the servings. */
    private const SIZES = ['--to', '--factor', '--have', '--serves'];

    /** Options by command, each with whether it takes a value. */
    private const OPTIONS = [
        'balance' => self::OF_A_RECIPE,
        'advise' => [
            ...self::OF_A_RECIPE,
            '--with' => true,
            '--most' => true,
            '--complaint' => true,
            '--capacity' => true,
        ],
        'swap' => [...self::OF_A_RECIPE, '--line' => true, '--for' => true, '--without' => true],
        'convert' => [...self::OF_A_RECIPE, '--for' => true],
        'scale' => [...self::OF_A_RECIPE, ...self::OF_A_SIZE],
        'cook' => [...self::OF_A_RECIPE, ...self::OF_A_SIZE, '--no-scale' => false],
        'keep' => [...self::OF_A_RECIPE, '--ph' => true, '--water-activity' => true],
        'ingredients' => ['--json' => false, '--search' => true],
        'styles' => ['--json' => false],
    ];

    /**
     * @param array<string, string> $values of the options that take one
     * @param array<string, true> $flags of those that take none
     */
    private function __construct(
        public string $command,
        public bool $isJson,
        private bool $isStdin,
        private ?string $file,
        private array $values,
        private array $flags = [],
    ) {}

    /**
     * @param list<string> $arguments
     *
     * @throws WrongCall
     */
    public static function parse(array $arguments): self
    {
        $command = array_shift($arguments) ?? '';
        $options = self::OPTIONS[$command] ?? throw WrongCall::unknownCommand($command);
        $values = [];
        $flags = [];
        $file = null;
        while ($arguments !== []) {
            $argument = array_shift($arguments);
            $parts = explode('=', $argument, 2);
            [$option, $attached] = [$parts[0], $parts[1] ?? null];
            if (!str_starts_with($argument, '--')) {
                $file = $file === null ? $argument : throw WrongCall::unknownOption($argument, $command);
            } elseif (!isset($options[$option])) {
                throw WrongCall::unknownOption($option, $command);
            } elseif ($options[$option]) {
                $values[$option] = $attached ?? array_shift($arguments) ?? throw WrongCall::missingValue($option);
            } else {
                $flags[$option] = true;
            }
        }

        return new self($command, isset($flags['--json']), isset($flags['--stdin']), $file, $values, $flags);
    }

    /** @throws WrongCall */
    public function contents(): string
    {
        if ($this->isStdin) {
            return (string) stream_get_contents(STDIN, self::MOST_BYTES);
        }
        $file = $this->file ?? throw WrongCall::noFile($this->command);
        $contents = is_file($file) ? @file_get_contents($file, false, null, 0, self::MOST_BYTES) : false;

        return $contents === false ? throw WrongCall::unreadableFile($file) : $contents;
    }

    /** @throws WrongCall */
    public function measures(): Measures
    {
        $value = $this->values['--measures'] ?? Measures::Us->value;

        return Measures::tryFrom($value) ?? throw WrongCall::badValue(
            '--measures',
            $value,
            'use us, metric, imperial, au, uk or jp',
        );
    }

    /**
     * The axes that do not count for this sauce.
     *
     * @return list<string>
     *
     * @throws WrongCall
     */
    public function ignoredAxes(): array
    {
        $value = $this->values['--let-go'] ?? null;
        $axes = $value === null ? [] : IgnoredAxes::axes($value);

        return $value !== null && $axes === []
            ? throw WrongCall::badValue('--let-go', $value, 'name axes such as "salt, heat"')
            : $axes;
    }

    /** @throws WrongCall */
    public function style(): ?string
    {
        $value = $this->values['--style'] ?? null;
        if ($value !== null && !FamilyBook::has($value)) {
            throw WrongCall::badValue('--style', $value, './vinculum styles lists the ones there are');
        }

        return $value;
    }

    /**
     * @return list<string>|null ingredient keys that may be added
     *
     * @throws WrongCall
     */
    public function with(Catalogue $catalogue): ?array
    {
        if (!isset($this->values['--with'])) {
            return null;
        }
        $names = array_filter(
            array_map(trim(...), explode(',', $this->values['--with'])),
            static fn(string $name): bool => $name !== '',
        );

        return array_values(
            array_unique(
                array_map(static fn(string $name): string => self::ingredient($catalogue, '--with', $name), $names),
            ),
        );
    }

    /**
     * A measured figure between two limits; null where none is given.
     *
     * @throws WrongCall
     */
    public function measured(string $option, float $least, float $most): ?float
    {
        $value = $this->values[$option] ?? null;
        if ($value === null) {
            return null;
        }
        $number = str_replace(',', '.', $value);

        return is_numeric($number) && (float) $number >= $least && (float) $number <= $most
            ? (float) $number
            : throw WrongCall::badValue($option, $value, "a measured figure lies between {$least} and {$most}");
    }

    /**
     * The line to replace, and which of the things that it names: "8" and "8.2" are the first and the second of line 8.
     *
     * @return array{int, int} both from 1
     *
     * @throws WrongCall
     */
    public function line(): array
    {
        $value = $this->values['--line'] ?? throw WrongCall::badValue(
            '--line',
            '',
            'name the ingredient line to replace, counted from 1',
        );

        return preg_match('/^([1-9]\d{0,5})(?:\.([1-9]\d?))?$/', $value, $found) === 1
            ? [(int) $found[1], (int) ($found[2] ?? 1)]
            : throw WrongCall::badValue(
                '--line',
                $value,
                'use a whole number, counted from 1 over the ingredient lines, or "8.2" for the second thing in line 8',
            );
    }

    /**
     * The ingredient to use instead, or null.
     *
     * @throws WrongCall
     */
    public function substitute(Catalogue $catalogue): ?string
    {
        return isset($this->values['--for'])
            ? self::ingredient($catalogue, '--for', trim($this->values['--for']))
            : null;
    }

    /**
     * What a whole recipe is to be made fit for.
     *
     * @return non-empty-list<SwapReason>
     *
     * @throws WrongCall
     */
    public function needs(): array
    {
        $said = $this->values['--for'] ?? throw WrongCall::badValue('--for', '', 'say what for, as in --for "vegan, without soya"');
        try {
            return DietaryNeeds::parse($said);
        } catch (\InvalidArgumentException $fault) {
            throw WrongCall::because('--for', $said, $fault);
        }
    }

    /**
     * Why something is replaced: because it is missing, or because of allergens and diets after --without.
     *
     * @throws WrongCall
     */
    public function reason(): SwapReason
    {
        $said = $this->values['--without'] ?? '';
        try {
            return trim($said) === '' ? SwapReason::missing() : DietaryNeeds::ofOneSwap($said);
        } catch (\InvalidArgumentException $fault) {
            throw WrongCall::because('--without', $said, $fault);
        }
    }

    /** Whether another size is asked for. */
    public function isResized(): bool
    {
        return array_intersect(self::SIZES, array_keys($this->values)) !== [];
    }

    /** Whether the cook cannot weigh. */
    public function hasNoScale(): bool
    {
        return isset($this->flags['--no-scale']);
    }

    /** Whether the figures are to be of everything mixed, whatever the method boils away. */
    public function isMixed(): bool
    {
        return isset($this->flags['--mixed']);
    }

    /**
     * A sauce at the size that is wanted: by exactly one of --to, --factor, --have, or --serves, with --portion where the
     * recipe does not say how many it serves.
     *
     * @throws WrongCall
     */
    public function scale(Sauce $sauce): Scale
    {
        $given = array_values(array_intersect(self::SIZES, array_keys($this->values)));
        if (count($given) !== 1) {
            throw WrongCall::badValue(
                '--to',
                $this->values['--to'] ?? '',
                'say how much with exactly one of --to "6 x 250 ml", --factor 2.5, --have "gooseberries 340 g", or --serves 12 --portion "30 ml"',
            );
        }
        $said = fn(string $option): ?string => $this->values[$option] ?? null;
        $size = new RequestedSize(
            $said('--to'),
            $said('--have'),
            $said('--serves'),
            $said('--portion'),
            $said('--factor'),
        );
        if ($said('--serves') !== null && $said('--portion') === null && $sauce->recipe->servings === null) {
            throw WrongCall::missingValue('--portion');
        }
        try {
            return $size->scale($sauce);
        } catch (ScaleFault $fault) {
            throw WrongCall::because($given[0], $this->values[$given[0]], $fault);
        }
    }

    /** @throws WrongCall */
    private static function ingredient(Catalogue $catalogue, string $option, string $name): string
    {
        $match = $catalogue->names()->find($name, 1)[0] ?? null;

        return match (true) {
            $catalogue->has($name) => $name,
            $match !== null && $match->score >= NameSearch::ACCEPTED => $match->key,
            default => throw WrongCall::badValue(
                $option,
                $name,
                'no such ingredient; ./vinculum ingredients --search finds it',
            ),
        };
    }

    /** @throws WrongCall */
    public function most(): int
    {
        $value = $this->values['--most'] ?? '3';

        return in_array($value, ['1', '2', '3'], true)
            ? (int) $value
            : throw WrongCall::badValue('--most', $value, 'use 1, 2 or 3');
    }

    /** @throws WrongCall */
    public function complaint(): ?Complaint
    {
        $value = $this->values['--complaint'] ?? null;
        if ($value === null) {
            return null;
        }
        $keys = Complaint::keys();

        return in_array($value, $keys, true)
            ? Complaint::named($value)
            : throw WrongCall::badValue('--complaint', $value, 'use one of ' . implode(', ', $keys));
    }

    public function capacity(): ?string
    {
        return $this->values['--capacity'] ?? null;
    }

    public function search(): ?string
    {
        return $this->values['--search'] ?? null;
    }
}
