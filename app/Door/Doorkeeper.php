<?php

declare(strict_types=1);

namespace App\Door;

use Illuminate\Cache\CacheManager;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Http\Request;
use Illuminate\Session\Store as Session;
use Illuminate\Support\Facades\File;
use Symfony\Component\HttpFoundation\Cookie;

/** Lets devices of the home network in, for a while, when they know the passphrase; and never many guesses at a time. */
final readonly class Doorkeeper
{
    private const STORE = 'door';
    private const HOUSE = 'house';
    private const PATIENCE_SECONDS = 10;

    public function __construct(private Session $session, private CacheManager $caches, private Passphrase $passphrase) {}

    public function isIn(Request $request): bool
    {
        $session = $this->opened($request);
        if ($session === null) {
            return false;
        }
        $mark = $this->passphrase->mark();
        $since = $session->get('since');
        $isIn = $mark !== null && $session->get('mark') === $mark && is_int($since) && $since > time() - config()->integer('door.longest_seconds');
        // what is used stays open, and what is not let in leaves nothing behind
        $isIn ? $session->save() : $session->getHandler()->destroy($session->getId());

        return $isIn;
    }

    /**
     * @return Cookie to come in with; null when that is not the passphrase
     *
     * @throws TooManyGuesses before the passphrase is even looked at
     */
    public function enter(Request $request, #[\SensitiveParameter] string $phrase): ?Cookie
    {
        $store = $this->caches->store(self::STORE)->getStore();
        assert($store instanceof LockProvider);
        // one guess at a time, so that guesses sent together are counted one by one
        try {
            $isRight = $store->lock('guess', self::PATIENCE_SECONDS)->block(self::PATIENCE_SECONDS, fn(): bool => $this->guess('device ' . $request->ip(), $phrase));
        } catch (LockTimeoutException) {
            throw new TooManyGuesses(self::PATIENCE_SECONDS);
        }

        return $isRight === true ? $this->open() : null;
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

    private function guess(string $device, #[\SensitiveParameter] string $phrase): bool
    {
        $limiter = new RateLimiter($this->caches->store(self::STORE));
        foreach ([$device => 'device', self::HOUSE => 'house'] as $key => $most) {
            if ($limiter->tooManyAttempts($key, config()->integer("door.tries.{$most}"))) {
                throw new TooManyGuesses($limiter->availableIn($key));
            }
        }
        if ($this->passphrase->matches($phrase)) {
            $limiter->clear($device);

            return true;
        }
        foreach ([$device, self::HOUSE] as $key) {
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
        return new Cookie(config()->string('session.cookie'), $value, $until, '/', null, false, true, false, Cookie::SAMESITE_STRICT);
    }
}
