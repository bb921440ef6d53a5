<?php

declare(strict_types=1);

namespace App\Backups;

use App\Recipes\Sauce;
use Closure;
use Illuminate\Database\Connection;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * A restore begins a new epoch of the kitchen, in which numbers and revisions may stand for other things. Every
 * answer tells the epoch, and a page says with everything it writes which one it knows.
 */
final readonly class KitchenEpoch
{
    public const HEADER = 'X-Kitchen-Epoch';

    public function __construct(private Connection $database) {}

    /** @throws EpochPassed when what is written was meant for another */
    public function handle(Request $request, Closure $next): Response
    {
        $known = $request->headers->get(self::HEADER);
        $epoch = $this->epoch();
        if ($known !== null && $epoch !== null && !$request->isMethodSafe() && (int) $known !== $epoch) {
            $sauce = $request->isMethod('PUT') && $request->is('api/sauces/*')
                ? Sauce::query()->find((int) $request->segment(3))
                : null;
            throw new EpochPassed($epoch, $sauce);
        }
        /** @var Response $response */
        $response = $next($request);
        // it may have been a restore that was asked for
        $now = $request->isMethodSafe() ? $epoch : $this->epoch();
        if ($now !== null) {
            $response->headers->set(self::HEADER, (string) $now);
        }

        return $response;
    }

    /** Null where the kitchen cannot be asked; whoever needs it says so. */
    private function epoch(): ?int
    {
        try {
            $found = $this->database->getPdo()->query('PRAGMA application_id');
        } catch (\Exception) {
            return null;
        }

        return $found === false ? null : (int) $found->fetchColumn();
    }
}
