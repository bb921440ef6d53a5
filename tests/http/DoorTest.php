<?php

declare(strict_types=1);

namespace Tests\http;

use App\Plain\Door\AuthFault;
use App\Plain\Door\HomeAddresses;
use App\Plain\Door\Passphrase;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Response;

/**
 * The home network: nobody comes in without the passphrase, nobody guesses it, and who came in is out again one day.
 */
final class DoorTest extends HttpTestCase
{
    private const HOME = 'https://192.168.7.20:8081';
    private const PHRASE = 'four plums in a pot';

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir() . '/vinculum-door-' . getmypid() . '-' . uniqid();
        config([
            'door.folder' => $this->folder,
            'session.files' => "{$this->folder}/sessions",
            'cache.stores.door.path' => "{$this->folder}/tries",
            'door.hosts' => ['192.168.7.20', 'kitchen.local'],
        ]);
        (new Passphrase("{$this->folder}/passphrase"))->set(self::PHRASE);
    }

    protected function tearDown(): void
    {
        exec('rm -rf ' . escapeshellarg($this->folder));
        parent::tearDown();
    }

    public function test_who_knows_the_passphrase_is_in_until_leaving(): void
    {
        $refused = $this->asks('/api/sauces');
        self::assertSame(401, $refused->getStatusCode());
        self::assertStringContainsString('passphrase', (string) $refused->json('message'));
        self::assertNotSame(401, $this->asks('/')->getStatusCode(), 'the page that asks for it is open');

        $cookie = $this->comeIn();
        self::assertTrue($cookie->isHttpOnly());
        self::assertTrue($cookie->isSecure());
        self::assertSame(Cookie::SAMESITE_STRICT, $cookie->getSameSite());
        self::assertSame(200, $this->asks('/api/sauces', $cookie)->getStatusCode());
        self::assertTrue($this->asks('/api/session', $cookie)->json('came_in'));
        self::assertSame(
            ['https://192.168.7.20:8081', 'https://kitchen.local:8081'],
            $this->asks('/api/session', $cookie)->json('addresses'),
        );

        self::assertSame(204, $this->asks('/api/session', $cookie, 'DELETE')->getStatusCode());
        self::assertSame(401, $this->asks('/api/sauces', $cookie)->getStatusCode());
    }

    public function test_nobody_is_in_without_a_session_of_ours(): void
    {
        $cookie = $this->comeIn();
        self::assertSame(401, $this->asks('/api/sauces', $cookie->withValue(str_repeat('a', 40)))->getStatusCode());
        self::assertSame(401, $this->asks('/api/sauces', $cookie->withValue('../passphrase'))->getStatusCode());
        self::assertCount(1, glob("{$this->folder}/sessions/*") ?: [], 'who is not let in leaves nothing behind');
    }

    public function test_a_session_ends_after_half_a_day_of_nothing_and_after_a_week_in_any_case(): void
    {
        $cookie = $this->comeIn();
        $this->travel(11)->hours();
        self::assertSame(200, $this->asks('/api/sauces', $cookie)->getStatusCode());
        touch("{$this->folder}/sessions/{$cookie->getValue()}", time() - 13 * 3600);
        $this->travelBack();
        self::assertSame(401, $this->asks('/api/sauces', $cookie)->getStatusCode());

        $cookie = $this->comeIn();
        config(['door.longest_seconds' => 0]);
        self::assertSame(401, $this->asks('/api/sauces', $cookie)->getStatusCode());
    }

    public function test_a_new_passphrase_turns_everybody_out(): void
    {
        $cookie = $this->comeIn();
        (new Passphrase("{$this->folder}/passphrase"))->set('another phrase of words');
        self::assertSame(401, $this->asks('/api/sauces', $cookie)->getStatusCode());
        unlink("{$this->folder}/passphrase");
        self::assertSame(422, $this->enter(self::PHRASE)->getStatusCode(), 'without a passphrase nobody comes in');
    }

    public function test_guesses_are_counted_before_they_are_looked_at(): void
    {
        for ($guess = 1; $guess <= 5; ++$guess) {
            self::assertSame(422, $this->enter("wrong guess {$guess}")->getStatusCode());
        }
        $refused = $this->enter(self::PHRASE);
        self::assertSame(429, $refused->getStatusCode(), 'even the right one must wait now');
        self::assertMatchesRegularExpression('/wait \d+ minutes/', (string) $refused->json('message'));
        self::assertGreaterThan(0, (int) $refused->headers->get('Retry-After'));
        self::assertSame(
            204,
            $this->enter(self::PHRASE, '192.168.7.99')->getStatusCode(),
            'another device may still try',
        );

        for ($guess = 0; $guess < 16; ++$guess) {
            $this->enter('wrong', "192.168.7.{$guess}");
        }
        self::assertSame(
            429,
            $this->enter(self::PHRASE, '192.168.7.77')->getStatusCode(),
            'but not all of them together for ever',
        );
        $this->travel(16)->minutes();
        self::assertSame(204, $this->enter(self::PHRASE)->getStatusCode());
    }

    public function test_a_device_that_was_in_before_is_not_kept_out_by_others_that_guess(): void
    {
        [, $known] = $this->enter(self::PHRASE, '192.168.7.50')->headers->getCookies();
        for ($guess = 0; $guess < 25; ++$guess) {
            $this->enter('wrong', "192.168.7.{$guess}");
        }
        self::assertSame(429, $this->enter(self::PHRASE, '192.168.7.77')->getStatusCode(), 'a stranger waits');
        $again = fn(string $phrase, string $proof): int => $this->call(
            'POST',
            self::HOME . '/api/session',
            [],
            [$known->getName() => $proof],
            [],
            ['REMOTE_ADDR' => '192.168.7.50', 'CONTENT_TYPE' => 'application/json'],
            (string) json_encode(['passphrase' => $phrase]),
        )->getStatusCode();
        self::assertSame(204, $again(self::PHRASE, (string) $known->getValue()));
        self::assertSame(
            429,
            $again(self::PHRASE, substr((string) $known->getValue(), 0, -1) . '0g'),
            'a proof made up is none',
        );
        for ($guess = 0; $guess < 5; ++$guess) {
            $again('wrong', (string) $known->getValue());
        }
        self::assertSame(429, $again(self::PHRASE, (string) $known->getValue()), 'it may not guess for ever either');
    }

    public function test_long_and_yet_no_secret_is_refused(): void
    {
        $passphrase = new Passphrase("{$this->folder}/passphrase");
        foreach ([
            'aaaaaaaaaaaa',
            '123456789012',
            '1234 5678 9012',
            'abcabcabcabc',
            'ababababababab',
            'abcdefghijkl',
            'qwertyuiopas',
            '987654321098',
            'passpasspass',
            '111122223333',
        ] as $plain) {
            try {
                $passphrase->set($plain);
                self::fail("{$plain} was taken");
            } catch (AuthFault $fault) {
                self::assertStringContainsString('guessed at once', $fault->getMessage(), $plain);
            }
        }
        $passphrase->set('onion sugar lids 1234');
        self::assertTrue($passphrase->matches('onion sugar lids 1234'));
    }

    public function test_only_this_machine_under_its_own_name_needs_no_passphrase(): void
    {
        self::assertSame(200, $this->get('http://127.0.0.1:8080/api/sauces')->getStatusCode());
        self::assertSame(
            401,
            $this->get('https://kitchen.local:8081/api/sauces')->getStatusCode(),
            'through the front door, even from here',
        );
        self::assertSame(
            403,
            $this->withServerVariables(['REMOTE_ADDR' => '192.168.7.30'])->get(
                'http://127.0.0.1:8080/api/sauces',
            )->getStatusCode(),
            'a machine that says it is this one',
        );
        self::assertSame(
            403,
            $this->withServerVariables([
                'REMOTE_ADDR' => '192.168.7.30',
            ])->get('http://evil.example/api/sauces')->getStatusCode(),
            'a rebound name',
        );
        config(['door.hosts' => []]);
        self::assertSame(403, $this->asks('/api/sauces')->getStatusCode(), 'and without --lan nobody else at all');
    }

    public function test_over_the_network_it_answers_encrypted_only(): void
    {
        $session = $this->get('http://127.0.0.1:8080/api/session');
        self::assertSame('https://192.168.7.20:8081', $session->json('addresses.0'), 'the next port is the encrypted one');
        self::assertSame('http://192.168.7.20:8082', $session->json('welcome'), 'and the one after it the page for new devices');
        self::assertNull($session->json('fingerprint'), 'nothing is claimed of a certificate that is not there');
        $plain = $this->withServerVariables(['REMOTE_ADDR' => '192.168.7.30'])->get('http://192.168.7.20:8080/api/idle');
        self::assertSame(403, $plain->getStatusCode());
        self::assertStringContainsString('https://', (string) $plain->json('message'));
    }

    public function test_a_certificate_is_told_by_its_fingerprint(): void
    {
        $key = openssl_pkey_new(['private_key_type' => OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1']);
        self::assertNotFalse($key);
        $request = openssl_csr_new(['commonName' => 'Vinculum at home'], $key);
        self::assertInstanceOf(\OpenSSLCertificateSigningRequest::class, $request);
        $certificate = openssl_csr_sign($request, null, $key, 3);
        self::assertNotFalse($certificate);
        $folder = "{$this->folder}/authority/pki/authorities/local";
        mkdir($folder, 0o700, true);
        openssl_x509_export_to_file($certificate, "{$folder}/root.crt");
        exec('openssl x509 -noout -fingerprint -sha256 -in ' . escapeshellarg("{$folder}/root.crt"), $said);
        self::assertSame(
            strtr(explode('=', $said[0])[1], ':', ' '),
            $this->get('http://127.0.0.1:8080/api/session')->json('fingerprint'),
            'as OpenSSL itself says it',
        );
    }

    /** @return iterable<string, array{list<string>, string, list<string>}> */
    public static function networks(): iterable
    {
        yield 'one cable' => [['127.0.0.1', '192.168.7.20', '::1', 'fe80::1'], 'galley', ['192.168.7.20', 'galley', 'galley.local']];
        yield 'IPv6 alone' => [['127.0.0.1', 'fd00::7', 'fe80::1%eth0'], 'Galley', ['[fd00::7]', 'galley', 'galley.local']];
        yield 'a name with odd letters' => [['10.0.0.5'], "gal\u{00fc}ey \"x\"", ['10.0.0.5']];
        yield 'a name that begins with a dash' => [['10.0.0.5'], '-galley', ['10.0.0.5']];
        yield 'no network at all' => [['127.0.0.1', '::1', '169.254.3.4'], '', []];
    }

    /**
     * @param list<string> $addresses
     * @param list<string> $found
     */
    #[DataProvider('networks')]
    public function test_it_is_found_by_the_addresses_of_the_home(array $addresses, string $name, array $found): void
    {
        self::assertSame($found, HomeAddresses::among($addresses, $name));
    }

    public function test_no_form_elsewhere_opens_the_door(): void
    {
        $elsewhere = [
            'REMOTE_ADDR' => '192.168.7.30',
            'HTTP_ORIGIN' => 'http://evil.example',
            'CONTENT_TYPE' => 'application/json',
        ];
        self::assertSame(
            403,
            $this->call(
                'POST',
                self::HOME . '/api/session',
                [],
                [],
                [],
                $elsewhere,
                (string) json_encode(['passphrase' => self::PHRASE]),
            )->getStatusCode(),
        );
    }

    public function test_only_a_hash_is_kept_and_no_short_phrase(): void
    {
        self::assertStringNotContainsString('plums', (string) file_get_contents("{$this->folder}/passphrase"));
        self::assertSame('0600', substr(sprintf('%o', fileperms("{$this->folder}/passphrase")), -4));
        $vinculum = static function (string $phrase, string $folder): array {
            exec(
                'printf %s '
                    . escapeshellarg($phrase)
                    . ' | VINCULUM_DOOR='
                    . escapeshellarg($folder)
                    . ' '
                    . dirname(__DIR__, 2)
                    . '/vinculum passphrase 2>&1',
                $said,
                $code,
            );

            return [$code, implode("\n", $said)];
        };
        self::assertSame(0, $vinculum('damsons by the towpath', $this->folder)[0]);
        self::assertTrue((new Passphrase("{$this->folder}/passphrase"))->matches('damsons by the towpath'));
        foreach (['short' => 'too short', str_repeat('long ', 20) => 'longer than'] as $phrase => $says) {
            [$code, $said] = $vinculum($phrase, $this->folder);
            self::assertSame(2, $code);
            self::assertStringContainsString($says, $said);
        }
        [$code, $said] = $vinculum('damsons by the towpath', '/proc/nowhere');
        self::assertSame(2, $code);
        self::assertStringContainsString('could not be kept', $said);
    }

    private function comeIn(): Cookie
    {
        $answer = $this->enter(self::PHRASE);
        self::assertSame(204, $answer->getStatusCode());

        return $answer->headers->getCookies()[0];
    }

    /** @return TestResponse<Response> */
    private function enter(string $phrase, string $device = '192.168.7.30'): TestResponse
    {
        return $this->withServerVariables(['REMOTE_ADDR' => $device])->postJson(
            self::HOME . '/api/session',
            ['passphrase' => $phrase],
        );
    }

    /** @return TestResponse<Response> */
    private function asks(string $path, ?Cookie $cookie = null, string $method = 'GET'): TestResponse
    {
        return $this->call(
            $method,
            self::HOME . $path,
            [],
            $cookie === null ? [] : [$cookie->getName() => $cookie->getValue()],
            [],
            [
                'REMOTE_ADDR' => '192.168.7.30',
                'HTTP_ACCEPT' => 'application/json',
                'CONTENT_TYPE' => 'application/json',
            ],
        );
    }
}
