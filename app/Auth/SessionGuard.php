<?php

declare(strict_types=1);

namespace App\Auth;

use App\Plain\Door\Passphrase;
use Illuminate\Cache\CacheManager;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Http\Request;
use Illuminate\Session\Store as Session;
use Illuminate\Support\Facades\File;
use Symfony\Component\HttpFoundation\Cookie;

/**
 * Lets devices of the home network in, for a while, when they know the passphrase; and never many guesses at a time.
 */
final readonly class SessionGuard
{
    private const STORE = 'door';
    private const HOUSE = 'house';
    private const PATIENCE_SECONDS = 10;
    private const KNOWN = 'vinculum_known';
    private const KNOWN_SECONDS = 365 * 86_400;

    public function __construct(
        private Session $session,
        private CacheManager $caches,
        private Passphrase $passphrase,
    ) {}

    public function isIn(Request $request): bool
    {
        $session = $this->opened($request);
        if ($session === null) {
            return false;
        }
        $mark = $this->passphrase->mark();
        $since = $session->get('since');
        $isIn = $mark !== null
            && $session->get('mark') === $mark
            && is_int($since)
            && $since > time() - config()->integer('door.longest_seconds');
        // what is used stays open, and what is not let in leaves nothing behind
        $isIn ? $session->save() : $session->getHandler()->destroy($session->getId());

        return $isIn;
    }

    /**
     * @return non-empty-list<Cookie>|null to come in with, and to be known by from then on; null when that is not the
     *     passphrase
     *
     * @throws TooManyAttempts before the passphrase is even looked at
     */
    public function enter(Request $request, #[\SensitiveParameter] string $phrase): ?array
    {
        $store = $this->caches->store(self::STORE)->getStore();
        assert($store instanceof LockProvider);
        // one guess at a time, so that guesses sent together are counted one by one
        try {
            $isRight = $store->lock('guess', self::PATIENCE_SECONDS)->block(
                self::PATIENCE_SECONDS,
                fn(): bool => $this->guess($request, $phrase),
            );
        } catch (LockTimeoutException) {
            throw new TooManyAttempts(self::PATIENCE_SECONDS);
        }

        return $isRight === true ? [$this->open(), $this->remembered()] : null;
    }

    /** Ends the session of a device. */
    public function leave(Request $request): Cookie
    {
        $session = $this->opened($request);
        if ($session !== null) {
            $session->getHandler()->destroy($session->getId());
        }

        return $this->cookie('', 1);
    }

    private function guess(Request $request, #[\SensitiveParameter] string $phrase): bool
    {
        $limiter = new RateLimiter($this->caches->store(self::STORE));
        // a device that was let in before has a count of its own: others that guess do not keep it out
        $known = $this->known($request);
        $counts = $known === null
            ? ['device ' . $request->ip() => 'device', self::HOUSE => 'house']
            : ["known {$known}" => 'device'];
        foreach ($counts as $key => $most) {
            if ($limiter->tooManyAttempts($key, config()->integer("door.tries.{$most}"))) {
                throw new TooManyAttempts($limiter->availableIn($key));
            }
        }
        if ($this->passphrase->matches($phrase)) {
            $limiter->clear(array_key_first($counts));

            return true;
        }
        foreach (array_keys($counts) as $key) {
            $limiter->hit($key, config()->integer('door.tries.seconds'));
        }

        return false;
    }

    private function open(): Cookie
    {
        File::ensureDirectoryExists(config()->string('session.files'), 0o700);
        $this->session->getHandler()->gc(60 * config()->integer('session.lifetime'));
        // a number nobody knew before
        $this->session->setId(null);
        $this->session->flush();
        $this->session->start();
        $this->session->put(['mark' => $this->passphrase->mark(), 'since' => time()]);
        $this->session->save();

        return $this->cookie($this->session->getId(), time() + config()->integer('door.longest_seconds'));
    }

    /** What a device keeps that was let in: a number, and the proof that it was given out under this passphrase. */
    private function remembered(): Cookie
    {
        $number = bin2hex(random_bytes(10));

        return new Cookie(
            self::KNOWN,
            "{$number}.{$this->proof($number)}",
            time() + self::KNOWN_SECONDS,
            '/',
            null,
            true,
            true,
            false,
            Cookie::SAMESITE_STRICT,
        );
    }

    /** The number of a device that was let in before under this passphrase; null for every other. */
    private function known(Request $request): ?string
    {
        [$number, $proof] = [...explode('.', (string) $request->cookies->get(self::KNOWN)), '', ''];

        return $this->passphrase->isSet() && ctype_xdigit($number) && hash_equals($this->proof($number), $proof)
            ? $number
            : null;
    }

    private function proof(string $number): string
    {
        return hash_hmac('sha256', $number, (string) $this->passphrase->mark());
    }

    private function opened(Request $request): ?Session
    {
        $id = $request->cookies->get(config()->string('session.cookie'));
        if (!is_string($id) || !ctype_alnum($id) || strlen($id) !== 40) {
            return null;
        }
        $this->session->setId($id);
        $this->session->flush();
        $this->session->start();

        return $this->session;
    }

    private function cookie(string $value, int $until): Cookie
    {
        return new Cookie(
            config()->string('session.cookie'),
            $value,
            $until,
            '/',
            null,
            true,
            true,
            false,
            Cookie::SAMESITE_STRICT,
        );
    }
}
