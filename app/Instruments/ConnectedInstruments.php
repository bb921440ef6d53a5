<?php

declare(strict_types=1);

namespace App\Instruments;

use Vinculum\Facts\FactsFile;
use Vinculum\Instrument\InstrumentFault;
use Vinculum\Instrument\PhMeter;
use Vinculum\Instrument\Probe;
use Vinculum\Instrument\Refractometer;
use Vinculum\Instrument\Scale;
use Vinculum\Instrument\Weight;

/** The instruments that speak the line protocol. The stand-in does; so may a box beside a real one. */
final readonly class ConnectedInstruments implements Scale, Probe
{
    public function __construct(private InstrumentLink $link) {}

    public function isConnected(): bool
    {
        return $this->link->isConnected();
    }

    /**
     * Who is there, and whether they only stand in for real ones.
     *
     * @return array{instruments: list<string>, stand_in: bool}
     *
     * @throws InstrumentFault
     */
    public function hello(): array
    {
        $said = $this->link->ask(['ask' => 'hello'], 'instruments');

        return [
            'instruments' => is_array($said['instruments'] ?? null)
                ? array_values(array_filter($said['instruments'], is_string(...)))
                : [],
            'stand_in' => ($said['stand_in'] ?? false) === true,
        ];
    }

    public function weigh(): Weight
    {
        return ScaleAnswer::weight($this->link->ask(['ask' => 'weight'], 'scale'));
    }

    public function tare(): void
    {
        $this->link->ask(['do' => 'tare'], 'scale');
    }

    public function celsius(): float
    {
        $facts = FactsFile::named('instruments')['probe'];
        $celsius = self::number($this->link->ask(['ask' => 'temperature'], 'probe'), 'celsius', 'probe');

        return $celsius >= $facts->number('lowest') && $celsius <= $facts->number('highest')
            ? $celsius
            : throw InstrumentFault::outOfRange('probe', sprintf('%.0f °C', $celsius));
    }

    public function electrode(): PhMeter
    {
        return new class ($this->link) implements PhMeter {
            public function __construct(private readonly InstrumentLink $link) {}

            public function sense(): array
            {
                $said = $this->link->ask(['ask' => 'ph'], 'pH meter');

                return [
                    'millivolts' => ConnectedInstruments::number($said, 'millivolts', 'pH meter'),
                    'celsius' => ConnectedInstruments::number($said, 'celsius', 'pH meter'),
                ];
            }
        };
    }

    public function refractometer(): Refractometer
    {
        return new class ($this->link) implements Refractometer {
            public function __construct(private readonly InstrumentLink $link) {}

            public function sense(): array
            {
                $said = $this->link->ask(['ask' => 'solids'], 'refractometer');

                return [
                    'percent' => ConnectedInstruments::number($said, 'percent', 'refractometer'),
                    'celsius' => ConnectedInstruments::number($said, 'celsius', 'refractometer'),
                ];
            }
        };
    }

    /**
     * Something that only a stand-in can do: pour, clear, dip.
     *
     * @param array<string, mixed> $deed
     *
     * @throws InstrumentFault
     */
    public function standIn(array $deed): void
    {
        $this->link->ask($deed, 'stand-in');
    }

    /** @param array<string, mixed> $said */
    public static function number(array $said, string $field, string $instrument): float
    {
        $value = $said[$field] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : throw InstrumentFault::notANumber($instrument);
    }
}
