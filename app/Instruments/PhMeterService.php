<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Database\Setting;
use Illuminate\Support\Carbon;
use Vinculum\Instrument\InstrumentFault;
use Vinculum\Instrument\PhCalibration;

/** The pH meter with its calibration, which outlives a visit. */
final readonly class PhMeterService
{
    private const POINT = 'ph_buffer';
    private const CALIBRATION = 'ph_calibration';

    public function __construct(private ConnectedInstruments $instruments) {}

    /**
     * @return array{value: float, celsius: float, says: string|null}
     *
     * @throws InstrumentFault when the meter is silent or was never calibrated
     */
    public function read(): array
    {
        $calibration = self::calibration() ?? throw InstrumentFault::notCalibrated();
        $sensed = $this->instruments->electrode()->sense();
        $ph = $calibration->ph($sensed);
        if (!is_finite($ph) || $ph < 0.0 || $ph > 14.0) {
            throw InstrumentFault::outOfRange('pH meter', sprintf('pH %.1f', $ph));
        }

        return [
            'value' => round($ph, 2),
            'celsius' => $sensed['celsius'],
            'says' => $calibration->isStale(self::now())
                ? 'It was calibrated more than a day ago: dip it in the buffers again before anything depends on it.'
                : sprintf(
                    '± %.2f, calibrated %s ago.',
                    1.645 * $calibration->deviation(self::now()),
                    self::ago(self::now() - $calibration->at),
                ),
        ];
    }

    /**
     * The electrode stands in a buffer: the second of two makes a calibration.
     *
     * @return array{value: float, celsius: float, says: string}
     *
     * @throws InstrumentFault when no sound electrode reads like that
     */
    public function standIn(float $buffer): array
    {
        $sensed = $this->instruments->electrode()->sense();
        $point = ['ph' => $buffer, ...$sensed];
        $kept = json_decode(Setting::read(self::POINT) ?? 'null', true);
        /** @var array{ph: float, millivolts: float, celsius: float}|null $first */
        $first = is_array($kept) && isset($kept['ph'], $kept['millivolts'], $kept['celsius']) ? $kept : null;
        if ($first === null || abs($first['ph'] - $buffer) < 1.0) {
            Setting::write(self::POINT, (string) json_encode($point));

            return [
                'value' => $buffer,
                'celsius' => $sensed['celsius'],
                'says' => sprintf('Buffer %.2f is taken. Rinse it, and dip it in the other.', $buffer),
            ];
        }
        Setting::write(self::POINT, null);
        $calibration = PhCalibration::between($first, $point, self::now());
        Setting::write(
            self::CALIBRATION,
            (string) json_encode([
                'slope' => $calibration->slope,
                'offset' => $calibration->offset,
                'at' => $calibration->at,
            ]),
        );

        return [
            'value' => $buffer,
            'celsius' => $sensed['celsius'],
            'says' => sprintf(
                'Calibrated: slope %.0f %%, %.0f mV at pH 7.',
                100.0 * $calibration->slope,
                $calibration->offset,
            ),
        ];
    }

    /** @return array{slope_percent: float, at: float, stale: bool}|null */
    public function standing(): ?array
    {
        $calibration = self::calibration();

        return $calibration === null
            ? null
            : [
                'slope_percent' => round(100.0 * $calibration->slope, 1),
                'at' => $calibration->at,
                'stale' => $calibration->isStale(self::now()),
            ];
    }

    public static function calibration(): ?PhCalibration
    {
        $kept = json_decode(Setting::read(self::CALIBRATION) ?? 'null', true);

        return is_array($kept)
            && is_numeric($kept['slope'] ?? null)
            && is_numeric($kept['offset'] ?? null)
            && is_numeric($kept['at'] ?? null)
            ? PhCalibration::kept((float) $kept['slope'], (float) $kept['offset'], (float) $kept['at'])
            : null;
    }

    private static function now(): float
    {
        return (float) Carbon::now()->getTimestamp();
    }

    private static function ago(float $seconds): string
    {
        return $seconds < 5400.0
            ? sprintf('%d minutes', (int) round($seconds / 60.0))
            : sprintf('%d hours', (int) round($seconds / 3600.0));
    }
}
