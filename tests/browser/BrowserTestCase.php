<?php

declare(strict_types=1);

namespace Tests\browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\NoSuchElementException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverDimension;
use Facebook\WebDriver\WebDriverElement;
use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;

/** A real browser against a real server on a kitchen of its own. */
abstract class BrowserTestCase extends TestCase
{
    /** The two after it are the home network's. */
    private const SERVER_PORT = 8377;
    private const DRIVER_PORT = 8384;

    /** Suites that run side by side keep as far apart. */
    private const APART = 30;

    private const HERE = '127.0.0.1';

    /** @var array<string, resource> */
    private static array $processes = [];

    private static string $kitchen = '';

    protected static RemoteWebDriver $browser;

    public static function setUpBeforeClass(): void
    {
        self::$kitchen = sys_get_temp_dir() . '/vinculum-browser-' . getmypid();
        static::beforeTheServer(self::$kitchen . '-door');
        self::startServer();
        self::trust();
        self::launch(
            'driver',
            [
                ...static::onTheDevice(),
                'chromedriver',
                '--port=' . self::driverPort(),
                '--silent',
                ...(static::device() === self::HERE ? [] : ['--allowed-ips=', '--allowed-origins=*']),
            ],
            ['HOME' => self::deviceHome(), 'PATH' => (string) getenv('PATH')],
        );
        self::until(
            static fn(): bool => self::answers(static::device(), self::driverPort(), '/status'),
            'the driver answers',
            20,
        );
        $options = (new ChromeOptions())->addArguments([
            '--headless=new',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-quic',
            '--no-first-run',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--disable-dev-shm-usage',
            '--user-data-dir=' . self::$kitchen . '-profile',
            ...static::browserOptions(),
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        self::$browser = RemoteWebDriver::create(
            'http://' . static::device() . ':' . self::driverPort(),
            $capabilities,
            30_000,
            60_000,
        );
        self::resize(1280, 800);
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser->quit();
        array_map(self::stop(...), array_keys(self::$processes));
        array_map(unlink(...), glob(self::$kitchen . '.sqlite*') ?: []);
        exec(
            'rm -rf ' . escapeshellarg(
                self::$kitchen . '-profile',
            ) . ' ' . escapeshellarg(self::deviceHome()) . ' ' . escapeshellarg(self::$kitchen . '-copies') . ' ' . escapeshellarg(self::$kitchen . '-door'),
        );
    }

    protected static function database(): string
    {
        return self::$kitchen . '.sqlite';
    }

    protected static function startServer(): void
    {
        $environment = [
            'VINCULUM_DATABASE' => self::database(),
            'VINCULUM_DOOR' => self::$kitchen . '-door',
            'VINCULUM_WORKERS' => '2',
            'PATH' => (string) getenv('PATH'),
            'HOME' => (string) getenv('HOME'),
        ];
        self::launch(
            'server',
            [
                ...static::onTheLaptop(),
                dirname(__DIR__, 2) . '/vinculum',
                'start',
                '--no-build',
                '--port',
                (string) self::serverPort(),
                ...static::startOptions(),
            ],
            $environment,
        );
        self::until(static fn(): bool => static::serverAnswers(), 'the server answers', 60);
    }

    protected static function serverAnswers(): bool
    {
        return self::answers(self::HERE, self::serverPort(), '/api/idle');
    }

    /** @return list<string> what runs a command where the kitchen is */
    protected static function onTheLaptop(): array
    {
        return [];
    }

    /** @return list<string> what runs a command where the browser is */
    protected static function onTheDevice(): array
    {
        return [];
    }

    /** Where the browser is reached from here. */
    protected static function device(): string
    {
        return self::HERE;
    }

    /** A device of the home network has learned to trust the kitchen's certificate, as its owner lets it. */
    private static function trust(): void
    {
        if (!in_array('--lan', static::startOptions(), true)) {
            @mkdir(self::deviceHome(), 0o700);

            return;
        }
        $certificate = self::$kitchen . '-door/authority/pki/authorities/local/root.crt';
        self::until(static fn(): bool => is_file($certificate), 'the certificate is made');
        $trusted = self::deviceHome() . '/.pki/nssdb';
        mkdir($trusted, 0o700, true);
        foreach (['-N --empty-password', '-A -t C,, -n home -i ' . escapeshellarg($certificate)] as $deed) {
            exec('certutil -d ' . escapeshellarg("sql:{$trusted}") . " {$deed} 2>&1", $said, $status);
            self::assertSame(0, $status, implode("\n", $said));
        }
    }

    private static function deviceHome(): string
    {
        return self::$kitchen . '-home';
    }

    protected static function stopServer(): void
    {
        self::stop('server');
        self::until(static fn(): bool => !static::serverAnswers(), 'the server is gone', 20);
    }

    /** @param string $door the folder of the kitchen's passphrase */
    protected static function beforeTheServer(string $door): void {}

    /** @return list<string> */
    protected static function browserOptions(): array
    {
        return [];
    }

    /** @return list<string> */
    protected static function startOptions(): array
    {
        return ['--empty', '--stand-in'];
    }

    /** @param string $host this machine, or a name of it at home, where it is encrypted */
    protected static function open(string $place, string $host = self::HERE): void
    {
        self::$browser->get(
            $host === self::HERE
                ? "http://{$host}:" . self::serverPort() . $place
                : "https://{$host}:" . self::securePort() . $place,
        );
    }

    protected static function securePort(): int
    {
        return self::serverPort() + 1;
    }

    protected static function resize(int $width, int $height): void
    {
        self::$browser->manage()->window()->setSize(new WebDriverDimension($width, $height));
    }

    protected static function find(string $selector): WebDriverElement
    {
        return self::until(
            static fn(): WebDriverElement => self::$browser->findElement(WebDriverBy::cssSelector($selector)),
            "\"{$selector}\" is on the page",
        );
    }

    /** @return list<WebDriverElement> */
    protected static function findAll(string $selector): array
    {
        return self::$browser->findElements(WebDriverBy::cssSelector($selector));
    }

    protected static function text(string $selector): string
    {
        return self::find($selector)->getText();
    }

    protected static function tap(string $selector): void
    {
        // a finger waits until what it goes for stands still
        $place = static fn(): mixed => self::$browser->executeScript(
            'const { left, top } = document.querySelector(arguments[0])?.getBoundingClientRect() ?? {}; return [left, top]',
            [$selector],
        );
        self::$browser->executeScript(
            'arguments[0].scrollIntoView({ block: "center", inline: "center" })',
            [self::find($selector)],
        );
        for ($stood = null, $looks = 0; $looks < 20 && $place() !== $stood; ++$looks) {
            $stood = $place();
            usleep(60_000);
        }
        self::$browser->findElement(WebDriverBy::cssSelector($selector))->click();
    }

    /** Types to whatever has the focus. Control, Alt and Shift are held down until the end. */
    protected static function type(string ...$keys): void
    {
        $strokes = [];
        $held = [];
        foreach ($keys as $key) {
            if (in_array($key, [WebDriverKeys::CONTROL, WebDriverKeys::ALT, WebDriverKeys::SHIFT], true)) {
                $strokes[] = ['type' => 'keyDown', 'value' => $key];
                $held[] = $key;
                continue;
            }
            foreach (mb_str_split($key) as $character) {
                $character = $character === "\n" ? WebDriverKeys::ENTER : $character;
                array_push(
                    $strokes,
                    ['type' => 'keyDown', 'value' => $character],
                    ['type' => 'keyUp', 'value' => $character],
                );
            }
        }
        foreach (array_reverse($held) as $key) {
            $strokes[] = ['type' => 'keyUp', 'value' => $key];
        }
        // one call for the whole: it asks no element, and no key stays down when something goes wrong
        self::$browser->executeCustomCommand(
            '/session/:sessionId/actions',
            'POST',
            ['actions' => [['type' => 'key', 'id' => 'keyboard', 'actions' => $strokes]]],
        );
    }

    /** Goes to a control with the Tab key alone, and presses Enter on it. */
    protected static function tabToAndPress(string $selector): void
    {
        $isThere = static fn(): bool => (bool) self::$browser->executeScript(
            'return document.activeElement !== null && document.activeElement.matches(arguments[0])',
            [$selector],
        );
        self::find($selector);
        for ($tabs = 0; $tabs < 120 && !$isThere(); ++$tabs) {
            self::type(WebDriverKeys::TAB);
        }
        self::assertTrue($isThere(), "{$selector} is reached with the Tab key");
        self::type(WebDriverKeys::ENTER);
    }

    /** Chooses from a list as a person does, at once: letters typed one by one may come too slowly to be one word. */
    protected static function choose(string $selector, string $says): void
    {
        $list = self::find($selector);
        self::$browser->executeScript(
            'const option = [...arguments[0].options].find((one) => one.text === arguments[1]); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(arguments[0], option.value); arguments[0].dispatchEvent(new Event("change", {bubbles: true}));',
            [$list, $says],
        );
    }

    /** Goes to a place of the sauce by its link: at the top on a wide screen, at the bottom on a phone. */
    protected static function goTo(string $place): void
    {
        self::until(
            static fn(): bool => (bool) self::$browser->executeScript(
                'const link = [...document.querySelectorAll(`a[href$="${arguments[0]}"]`)].find((one) => one.getClientRects().length > 0); link?.click(); return link !== undefined;',
                [$place],
            ),
            "there is a way to {$place}",
        );
    }

    protected static function untilSaved(): void
    {
        usleep(350_000);
        self::until(
            static fn(): bool => self::find('[data-saving]')->getAttribute('data-saving') === 'saved',
            'everything is saved',
        );
    }

    /**
     * Waits for something to be so.
     *
     * @template T
     *
     * @param callable(): T $what
     *
     * @return T the first answer that is neither false nor null
     */
    protected static function until(callable $what, string $said, float $seconds = 25): mixed
    {
        $end = microtime(true) + $seconds;
        do {
            try {
                $answer = $what();
                if ($answer !== false && $answer !== null) {
                    self::assertThat($answer, self::logicalNot(self::isNull()), $said);

                    return $answer;
                }
            } catch (NoSuchElementException|StaleElementReferenceException) {
                // not there yet
            }
            usleep(50_000);
        } while (microtime(true) < $end);
        self::fail("Waited {$seconds} s in vain until {$said}.");
    }

    /**
     * @param string $within what is looked at
     * @param list<string> $rules those that are tried; all where none is named
     *
     * @return list<string> what axe-core finds that is serious or critical
     */
    protected static function issues(string $within = 'html', array $rules = []): array
    {
        self::$browser->executeScript(
            'if (window.axe === undefined) (0, eval)(arguments[0])',
            [(string) file_get_contents(dirname(__DIR__, 2) . '/node_modules/axe-core/axe.min.js')],
        );
        // beside another browser it takes its time
        self::$browser->manage()->timeouts()->setScriptTimeout(55);
        $found = self::$browser->executeAsyncScript(
            'const [within, rules, done] = arguments; axe.run(within, rules.length > 0 ? {runOnly: rules} : {}).then((result) => done(result.violations.filter((one) => ["serious", "critical"].includes(one.impact)).map((one) => one.id + ": " + one.nodes.map((node) => node.html).slice(0, 3).join(" | "))));',
            [$within, $rules],
        );

        return is_array($found) ? array_values(array_map(strval(...), $found)) : ['axe did not answer'];
    }

    /**
     * @param list<string> $command
     * @param array<string, string>|null $environment
     */
    private static function launch(string $name, array $command, ?array $environment): void
    {
        $process = proc_open(
            $command,
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
            null,
            $environment,
        );
        self::assertIsResource($process);
        self::$processes[$name] = $process;
    }

    private static function stop(string $name): void
    {
        proc_terminate(self::$processes[$name], SIGTERM);
        proc_close(self::$processes[$name]);
        unset(self::$processes[$name]);
    }

    protected static function serverPort(): int
    {
        return self::SERVER_PORT - self::APART * self::aside();
    }

    private static function driverPort(): int
    {
        return self::DRIVER_PORT - self::APART * self::aside();
    }

    /** How many run beside this one, before it. */
    private static function aside(): int
    {
        return max(0, (int) getenv('TEST_TOKEN') - 1);
    }

    private static function answers(string $host, int $port, string $path): bool
    {
        return @file_get_contents(
            "http://{$host}:{$port}{$path}",
            false,
            stream_context_create(['http' => ['timeout' => 1]]),
        ) !== false;
    }
}
