<?php

declare(strict_types=1);

namespace App\Auth;

/** Somebody tried too many passphrases. */
final class TooManyAttempts extends \RuntimeException
{
    public function __construct(public readonly int $seconds)
    {
        parent::__construct(
            sprintf(
                'That were too many wrong passphrases: wait %d minutes, then try again.',
                max(1, (int) ceil($seconds / 60)),
            ),
        );
    }
}
