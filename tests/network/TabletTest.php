<?php

declare(strict_types=1);

namespace Tests\network;

use App\Plain\Door\Passphrase;
use Tests\browser\BrowserTestCase;

/**
 * A laptop with the kitchen and a tablet at the stove, two machines on one network: each is a network namespace with
 * addresses of its own, so that only what crosses the network reaches the other.
 */
final class TabletTest extends BrowserTestCase
{
    private const PHRASE = 'four plums in a pot';
    private const LAPTOP = '10.77.40.1';
    private const TABLET = '10.77.40.2';
    /** Between the tests and the tablet's driver alone. */
    private const TESTS = '10.77.41.1';
    private const DRIVEN = '10.77.41.2';

    public static function setUpBeforeClass(): void
    {
        // of a run that was broken off
        self::takeApart();
        foreach ([
            'ip netns add vinculum-laptop',
            'ip netns add vinculum-tablet',
            'ip link add vt-laptop netns vinculum-laptop type veth peer name vt-tablet netns vinculum-tablet',
            'ip link add vt-tests type veth peer name vt-driven netns vinculum-tablet',
            'ip -n vinculum-laptop addr add ' . self::LAPTOP . '/24 dev vt-laptop',
            'ip -n vinculum-tablet addr add ' . self::TABLET . '/24 dev vt-tablet',
            'ip -n vinculum-tablet addr add ' . self::DRIVEN . '/24 dev vt-driven',
            'ip addr add ' . self::TESTS . '/24 dev vt-tests',
            'ip link set vt-tests up',
            'ip -n vinculum-laptop link set lo up',
            'ip -n vinculum-laptop link set vt-laptop up',
            'ip -n vinculum-tablet link set lo up',
            'ip -n vinculum-tablet link set vt-tablet up',
            'ip -n vinculum-tablet link set vt-driven up',
        ] as $deed) {
            self::assertSame(0, self::shell($deed), $deed);
        }
        parent::setUpBeforeClass();
    }

    public static function tearDownAfterClass(): void
    {
        parent::tearDownAfterClass();
        self::takeApart();
    }

    private static function takeApart(): void
    {
        self::shell('ip netns del vinculum-laptop');
        self::shell('ip netns del vinculum-tablet');
        self::shell('ip link del vt-tests');
    }

    protected static function beforeTheServer(string $door): void
    {
        (new Passphrase("{$door}/passphrase"))->set(self::PHRASE);
    }

    protected static function startOptions(): array
    {
        return ['--lan'];
    }

    protected static function onTheLaptop(): array
    {
        return ['ip', 'netns', 'exec', 'vinculum-laptop'];
    }

    protected static function onTheDevice(): array
    {
        return ['ip', 'netns', 'exec', 'vinculum-tablet'];
    }

    protected static function device(): string
    {
        return self::DRIVEN;
    }

    protected static function serverAnswers(): bool
    {
        return self::shell(sprintf(
            'ip netns exec vinculum-laptop curl -sf --max-time 2 http://127.0.0.1:%d/api/idle',
            self::serverPort(),
        )) === 0;
    }

    public function test_a_cook_at_the_stove_goes_on_while_the_network_is_cut(): void
    {
        self::resize(1024, 768);
        // what does not encrypt reaches the page for new devices, and nothing else
        self::$browser->get('http://' . self::LAPTOP . ':' . (self::serverPort() + 2) . '/');
        self::assertStringContainsString('vinculum.crt', self::text('body'));
        self::assertNotSame(0, self::shell(sprintf(
            'ip netns exec vinculum-tablet curl -sf --max-time 2 http://%s:%d/',
            self::LAPTOP,
            self::serverPort(),
        )), 'the port of the laptop itself is closed to the tablet');

        self::open('/', self::LAPTOP);
        self::find('input[type="password"]')->sendKeys(self::PHRASE . "\n");
        self::until(static fn(): bool => str_contains(self::text('main'), 'Damson'), 'it is let in, over a certificate that it trusts');
        self::assertTrue(self::$browser->executeScript('return isSecureContext'));
        self::until(
            static fn(): bool => self::$browser->executeScript('return navigator.serviceWorker.controller !== null') === true,
            'the pages are kept for when the network is away',
            40,
        );
        self::open('/sauce/5', self::LAPTOP);
        self::find('[data-batch]');
        self::tap('[data-choice="scale"]');
        self::find('[data-scale="to"]')->sendKeys('4 x 250 ml');
        self::tap('[data-cook-it]');
        self::until(static fn(): bool => str_contains(self::$browser->getCurrentURL(), '/cook/'), 'the cook begins');
        $address = self::$browser->getCurrentURL();
        $batch = (int) basename($address);
        self::until(
            static fn(): bool => self::find('[data-awake]')->getAttribute('data-awake') === 'true',
            'the screen stays on',
        );
        self::until(
            static fn(): bool => str_contains(self::text('main'), 'g') && self::findAll('[data-live]') !== [],
            'the laptop\'s scale is heard on the tablet',
        );
        $first = self::$browser->getWindowHandle();
        self::$browser->switchTo()->newWindow();
        $second = self::$browser->getWindowHandle();
        self::$browser->get($address);
        self::find('[data-move]');

        self::shell('ip -n vinculum-tablet link set vt-tablet down');
        self::byHand(850);
        self::$browser->switchTo()->window($first);
        self::until(
            static fn(): bool => str_contains(self::text('[data-scale-says]'), 'does not answer'),
            'what is not heard any more is said within the second',
            3,
        );
        self::byHand(850);
        $measured = 0;
        for (; $measured < 3; ++$measured) {
            self::byHand(10 * (int) self::find('[data-measure]')->getAttribute('data-measure'));
        }
        self::assertStringContainsString('to send', self::text('[data-waiting]'));

        self::shell('ip -n vinculum-tablet link set vt-tablet up');
        foreach ([$first, $second] as $window) {
            self::$browser->switchTo()->window($window);
            self::until(
                static fn(): bool => self::find('[data-waiting]')->getAttribute('data-waiting') === '0',
                'all of it is sent',
                60,
            );
        }
        self::$browser->switchTo()->window($first);
        $cook = self::$browser->executeAsyncScript(
            'const done = arguments[1]; fetch(`/api/batches/${arguments[0]}/cook`).then((one) => one.json()).then(done);',
            [$batch],
        );
        self::assertSame(850, $cook['pan']['empty_grams']);
        $in = array_values(array_filter(
            array_column($cook['moves'], 'measure'),
            static fn(?array $measure): bool => ($measure['actual_grams'] ?? null) !== null,
        ));
        self::assertCount($measured, $in, 'what was measured while it was cut off is there, and nothing twice');
        foreach ($in as $measure) {
            self::assertSame(10 * $measure['line'], $measure['actual_grams']);
        }
        $at = array_column($cook['events'], 'at');
        self::assertSame($at, array_values(array_unique($at)));
    }

    private static function byHand(int $grams): void
    {
        $at = self::text('[aria-expanded]');
        self::find('input[aria-label="Grams by hand"]')->sendKeys((string) $grams);
        self::tap('[data-accept]');
        self::until(static fn(): bool => self::text('[aria-expanded]') !== $at, 'the next move comes');
    }

    private static function shell(string $command): int
    {
        exec("{$command} 2>/dev/null >/dev/null", $said, $status);

        return $status;
    }
}
