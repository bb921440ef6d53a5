<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Cooking\Cooling;
use Vinculum\CookSession\Event\Finished;
use Vinculum\CookSession\Event\HeatOff;
use Vinculum\CookSession\Event\PhMeasured;
use Vinculum\CookSession\Event\SolidsMeasured;
use Vinculum\CookSession\Event\TemperatureRead;

/** What was read once a cook was off the heat. */
final readonly class CookReadings
{
    /**
     * @param float|null $heatOff seconds
     * @param list<array{float, float}> $temperatures seconds, °C
     * @param float|null $solids dissolved solids, %
     * @param float|null $finished seconds
     */
    private function __construct(
        public ?float $heatOff,
        public array $temperatures,
        public ?float $ph,
        public ?float $solids,
        public ?float $finished,
    ) {}

    /** @param list<CookEvent> $events those that stand, in order */
    public static function of(array $events): self
    {
        [$heatOff, $temperatures, $ph, $solids, $finished] = [null, [], null, null, null];
        foreach ($events as $event) {
            match (true) {
                $event instanceof HeatOff => $heatOff = $event->at,
                $event instanceof TemperatureRead => $temperatures[] = [$event->at, $event->celsius],
                $event instanceof PhMeasured => $ph = $event->ph,
                $event instanceof SolidsMeasured => $solids = $event->percent,
                $event instanceof Finished => $finished = $event->at,
                default => null,
            };
        }

        return new self($heatOff, $temperatures, $ph, $solids, $finished);
    }

    /** How the cooling goes at a moment; null while the heat is on. */
    public function cooling(float $now): ?Cooling
    {
        if ($this->heatOff === null) {
            return null;
        }
        $off = $this->heatOff;
        $since = array_values(array_filter($this->temperatures, static fn(array $one): bool => $one[0] >= $off));

        return Cooling::at(
            array_map(static fn(array $one): array => [($one[0] - $off) / 60.0, $one[1]], $since),
            ($now - $off) / 60.0,
        );
    }
}
