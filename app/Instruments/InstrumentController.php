<?php

declare(strict_types=1);

namespace App\Instruments;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\RedirectResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Vinculum\Instrument\InstrumentFault;
use Vinculum\Instrument\SolidsReading;
use Vinculum\Report\Report;

/**
 * The instruments beside the stove. One that gives no reading says why, and the cook goes on by hand.
 *
 * @phpstan-type Instruments array{
 *     there: list<string>,
 *     stand_in: bool,
 *     calibration: array{slope_percent: float, at: float, stale: bool}|null,
 *     says: string|null,
 * }
 * @phpstan-type InstrumentReading array{
 *     value: float|null,
 *     settled: bool,
 *     celsius: float|null,
 *     says: string|null,
 * }
 */
final readonly class InstrumentController
{
    private const LIVE_SECONDS = 10.0;
    private const LIVE_EVERY_MICROSECONDS = 100_000;

    public function __construct(private ConnectedInstruments $instruments, private PhMeterService $meter) {}

    #[Answers('Instruments')]
    public function index(): JsonResponse
    {
        try {
            $hello = $this->instruments->hello();
        } catch (InstrumentFault $fault) {
            return new JsonResponse([
                'there' => [],
                'stand_in' => false,
                'calibration' => $this->meter->standing(),
                'says' => $this->instruments->isConnected() ? $fault->getMessage() : null,
            ]);
        }

        return new JsonResponse([
            'there' => $hello['instruments'],
            'stand_in' => $hello['stand_in'],
            'calibration' => $this->meter->standing(),
            'says' => null,
        ]);
    }

    #[Answers('InstrumentReading')]
    public function scale(): JsonResponse
    {
        return self::reading(function (): array {
            $weight = $this->instruments->weigh();

            return ['value' => $weight->grams, 'settled' => $weight->isSettled, 'says' => $weight->says];
        });
    }

    /**
     * Weights as they change, as server-sent events. Where a process of its own tells them (ScaleFeed), whoever is let in
     * is sent there; else PHP's own server, which answers few, tells them here for a while: a page comes back by itself.
     */
    #[Answers('InstrumentReading')]
    public function live(): Response
    {
        $ticket = FeedTicket::here();
        if ($ticket !== null) {
            return new RedirectResponse($ticket->address(time()), 307, ['Cache-Control' => 'no-store']);
        }

        return new StreamedResponse(function (): void {
            $end = microtime(true) + self::LIVE_SECONDS;
            echo "retry: 200\n\n";
            do {
                echo 'data: ' . $this->scale()->getContent() . "\n\n";
                ob_get_level() > 0 && ob_flush();
                flush();
                usleep(self::LIVE_EVERY_MICROSECONDS);
            } while (microtime(true) < $end && connection_aborted() === 0);
        }, 200, ['Content-Type' => 'text/event-stream', 'Cache-Control' => 'no-store']);
    }

    #[Answers('InstrumentReading')]
    public function tare(): JsonResponse
    {
        return self::reading(function (): array {
            $this->instruments->tare();

            return ['value' => $this->instruments->weigh()->grams];
        });
    }

    #[Answers('InstrumentReading')]
    public function temperature(): JsonResponse
    {
        return self::reading(fn(): array => ['value' => $this->instruments->celsius()]);
    }

    #[Answers('InstrumentReading')]
    public function solids(): JsonResponse
    {
        return self::reading(function (): array {
            $sensed = $this->instruments->refractometer()->sense();

            return [
                'value' => Report::rounded(SolidsReading::corrected($sensed['percent'], $sensed['celsius'])),
                'celsius' => $sensed['celsius'],
                'says' => sprintf(
                    'It read %.1f %% at %.0f °C; this is what it would read at 20 °C.',
                    $sensed['percent'],
                    $sensed['celsius'],
                ),
            ];
        });
    }

    #[Answers('InstrumentReading')]
    public function ph(): JsonResponse
    {
        return self::reading(fn(): array => $this->meter->read());
    }

    #[Answers('InstrumentReading')]
    public function calibrate(BufferRequest $request): JsonResponse
    {
        return self::reading(fn(): array => $this->meter->standIn($request->float('buffer')));
    }

    #[Answers('InstrumentReading')]
    public function standIn(SimulatedRequest $request): JsonResponse
    {
        return self::reading(function () use ($request): array {
            $this->instruments->standIn($request->deed());

            return [];
        });
    }

    /** @param callable(): array<string, mixed> $read */
    private static function reading(callable $read): JsonResponse
    {
        $none = ['value' => null, 'settled' => true, 'celsius' => null, 'says' => null];
        try {
            return new JsonResponse([...$none, ...$read()]);
        } catch (InstrumentFault $fault) {
            return new JsonResponse([...$none, 'settled' => false, 'says' => $fault->getMessage()]);
        }
    }
}
