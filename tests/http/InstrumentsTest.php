<?php

declare(strict_types=1);

namespace Tests\http;

use App\Instruments\ConnectedInstruments;
use App\Instruments\InstrumentLink;
use Vinculum\Instrument\InstrumentFault;

/** The stand-in instruments over their line protocol, as docs/instruments.md describes it. */
final class InstrumentsTest extends HttpTestCase
{
    private StandIn $standIn;

    protected function setUp(): void
    {
        parent::setUp();
        $this->standIn = new StandIn();
    }

    protected function tearDown(): void
    {
        $this->standIn->stop();
        parent::tearDown();
    }

    public function test_the_scale_is_poured_on_settles_and_is_set_to_nothing(): void
    {
        $this->getJson('/api/instruments')->assertJsonPath('stand_in', true)->assertJsonPath(
            'there',
            ['scale', 'ph-meter', 'refractometer', 'probe'],
        );
        $this->postJson('/api/instruments/stand-in', ['do' => 'pour', 'grams' => 180, 'seconds' => 0.2])->assertOk();
        self::assertSame(180.0, $this->settled());
        $this->postJson('/api/instruments/scale/tare')->assertOk();
        self::assertEqualsWithDelta(0.0, $this->settled(), 1.0);
        $this->postJson('/api/instruments/stand-in', ['do' => 'clear'])->assertOk();
        usleep(2_000_000);
        self::assertStringContainsString('below zero', (string) $this->getJson('/api/instruments/scale')->json('says'));
        $this->postJson('/api/instruments/stand-in', ['do' => 'pour', 'grams' => 9000, 'seconds' => 0.1])->assertOk();
        usleep(1_000_000);
        $this->getJson('/api/instruments/scale')->assertJsonPath('value', null)->assertJsonPath(
            'says',
            'There is more on the scale than it can weigh. Take something off, or weigh in two goes.',
        );
    }

    public function test_the_meter_wants_its_buffers_first(): void
    {
        self::assertStringContainsString(
            'not calibrated',
            (string) $this->getJson('/api/instruments/ph-meter')->json('says'),
        );
        foreach ([4.01, 7.0] as $buffer) {
            $this->postJson(
                '/api/instruments/stand-in',
                ['do' => 'dip', 'ph' => $buffer, 'percent' => 0, 'celsius' => 22],
            );
            $says = $this->postJson('/api/instruments/ph-meter/buffer', ['buffer' => $buffer])->json('says');
        }
        self::assertStringContainsString('Calibrated', (string) ($says ?? ''));
        $this->postJson('/api/instruments/stand-in', ['do' => 'dip', 'ph' => 3.4, 'percent' => 28, 'celsius' => 40]);
        self::assertEqualsWithDelta(3.4, $this->getJson('/api/instruments/ph-meter')->json('value'), 0.05);
        self::assertEqualsWithDelta(28.0, $this->getJson('/api/instruments/refractometer')->json('value'), 0.6);
        self::assertEqualsWithDelta(96.0, $this->getJson('/api/instruments')->json('calibration.slope_percent'), 1.5);
    }

    public function test_when_it_dies_everything_goes_on_by_hand(): void
    {
        $this->standIn->kill();

        $this->getJson('/api/instruments')->assertOk()->assertJsonPath('there', []);
        self::assertStringContainsString(
            'Go on by hand',
            (string) $this->getJson('/api/instruments/scale')->json('says'),
        );
    }

    public function test_what_speaks_no_protocol_is_silent_and_what_sends_no_number_says_so(): void
    {
        $server = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($server);
        $address = (string) stream_socket_get_name($server, false);
        foreach ([
            'not json' => 'does not answer',
            '{"grams": "NaN", "settled": true}' => 'no number',
            '{"fault": "no"}' => 'does not answer',
            '{}' => 'no number',
        ] as $answer => $says) {
            self::assertStringContainsString($says, $this->weighAgainst($server, $address, (string) $answer));
        }
    }

    public function test_one_that_drips_a_letter_now_and_then_is_silent_at_once(): void
    {
        $server = stream_socket_server('tcp://127.0.0.1:0');
        self::assertIsResource($server);
        $link = 'require $argv[1]; $at = microtime(true); try { (new App\Instruments\InstrumentLink($argv[2]))->ask([], "The scale"); } catch (Vinculum\Instrument\InstrumentFault) { printf("silent after %.2f", microtime(true) - $at); }';
        $client = proc_open(
            [
                PHP_BINARY,
                '-r',
                $link,
                dirname(__DIR__, 2) . '/vendor/autoload.php',
                (string) stream_socket_get_name($server, false),
            ],
            [1 => ['pipe', 'w']],
            $pipes,
        );
        self::assertIsResource($client);
        $stream = stream_socket_accept($server, 5.0);
        self::assertIsResource($stream);
        for ($drop = 0; $drop < 20; ++$drop) {
            @fwrite($stream, '{');
            usleep(100_000);
        }
        fclose($stream);
        self::assertMatchesRegularExpression('/^silent after 0\.[2-9]/', (string) stream_get_contents($pipes[1]));
        proc_close($client);
    }

    /** @param resource $server */
    private function weighAgainst($server, string $address, string $answer): string
    {
        $script = 'try { require $argv[1]; (new App\Instruments\ConnectedInstruments(new App\Instruments\InstrumentLink($argv[2])))->weigh(); } catch (Vinculum\Instrument\InstrumentFault $fault) { echo $fault->getMessage(); }';
        $client = proc_open(
            [PHP_BINARY, '-r', $script, dirname(__DIR__, 2) . '/vendor/autoload.php', $address],
            [1 => ['pipe', 'w']],
            $pipes,
        );
        self::assertIsResource($client);
        $stream = stream_socket_accept($server, 5.0);
        self::assertIsResource($stream);
        fgets($stream);
        fwrite($stream, "{$answer}\n");
        fclose($stream);
        $said = (string) stream_get_contents($pipes[1]);
        proc_close($client);

        return $said;
    }

    public function test_no_address_is_no_instrument(): void
    {
        $this->expectException(InstrumentFault::class);
        (new ConnectedInstruments(new InstrumentLink(null)))->tare();
    }

    private function settled(): float
    {
        for ($wait = 0; $wait < 100; ++$wait) {
            usleep(50_000);
            $reading = $this->getJson('/api/instruments/scale');
            if ($wait > 15 && $reading->json('settled') === true) {
                return (float) $reading->json('value');
            }
        }
        self::fail('the scale never settles');
    }

}
