<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\CookSession\Event\Finished;
use Vinculum\CookSession\Event\HeatOff;
use Vinculum\CookSession\Event\Measured;
use Vinculum\CookSession\Event\NoteWritten;
use Vinculum\CookSession\Event\PanEmptyWeighed;
use Vinculum\CookSession\Event\PanRead;
use Vinculum\CookSession\Event\PhMeasured;
use Vinculum\CookSession\Event\Rebalanced;
use Vinculum\CookSession\Event\SolidsMeasured;
use Vinculum\CookSession\Event\StepDone;
use Vinculum\CookSession\Event\StepStarted;
use Vinculum\CookSession\Event\TemperatureRead;
use Vinculum\CookSession\Event\TimerStarted;
use Vinculum\CookSession\Event\TimerStopped;
use Vinculum\CookSession\Event\Undone;

/** Something that happened at the stove. Nothing is ever rubbed out: what was wrong is undone by a later event. */
abstract readonly class CookEvent
{
    /** @var string what it is called where it is stored and sent */
    public const KIND = '';
    /** @var list<string> the figures that come with it */
    public const NEEDS = [];

    private const ALL = [
        Measured::class,
        Rebalanced::class,
        StepStarted::class,
        StepDone::class,
        TimerStarted::class,
        TimerStopped::class,
        PanEmptyWeighed::class,
        PanRead::class,
        HeatOff::class,
        TemperatureRead::class,
        PhMeasured::class,
        SolidsMeasured::class,
        NoteWritten::class,
        Undone::class,
        Finished::class,
    ];

    /**
     * @param float $at seconds since the epoch
     * @param string|null $key what the page called it before it was stored
     *
     * @throws \DomainException where a figure cannot be
     */
    protected function __construct(public int $id, public float $at, public ?string $words, public ?string $key)
    {
        foreach ($this->figures() as $name => $value) {
            self::check($name, $value);
        }
    }

    /** @throws \DomainException */
    protected static function check(string $name, float $value): void
    {
        $figure = EventFigure::from($name);
        if (!$figure->isFit($value)) {
            throw new \DomainException($figure->says());
        }
    }

    /** @return array<string, class-string<self>> every event there is, by kind */
    public static function kinds(): array
    {
        return array_column(array_map(static fn(string $class): array => [$class::KIND, $class], self::ALL), 1, 0);
    }

    /**
     * An event as it was stored or sent.
     *
     * @param array<string, float> $figures by name: at least those it needs
     * @param array<int, float> $grams by line from 0, for a rebalancing
     *
     * @throws \InvalidArgumentException where there is no such kind
     * @throws \DomainException where a figure cannot be
     */
    public static function of(
        string $kind,
        int $id,
        float $at,
        array $figures,
        array $grams = [],
        ?string $words = null,
        ?string $key = null,
    ): self {
        $class = self::kinds()[$kind] ?? throw new \InvalidArgumentException(
            "Nothing that happens at the stove is called \"{$kind}\".",
        );

        $figures = [...array_fill_keys($class::NEEDS, 0.0), ...$figures];
        foreach ($class::NEEDS as $name) {
            self::check($name, $figures[$name]);
        }

        return $class::read($id, $at, $figures, $grams, $words, $key);
    }

    /**
     * @param array<string, float> $figures
     * @param array<int, float> $grams
     */
    abstract public static function read(
        int $id,
        float $at,
        array $figures,
        array $grams,
        ?string $words,
        ?string $key,
    ): static;

    /** @return array<string, float> by name, as they are stored and sent */
    abstract public function figures(): array;

    /**
     * What happened, for the record of the batch.
     *
     * @param list<string> $lines of the batch, as written
     */
    abstract public function says(array $lines): string;
}
