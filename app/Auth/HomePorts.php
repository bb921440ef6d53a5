<?php

declare(strict_types=1);

namespace App\Auth;

/** Beside the port that this machine is served on: the next is the home's, encrypted, and the one after that helps new devices. */
final class HomePorts
{
    public static function secure(int $port): int
    {
        return $port + 1;
    }

    public static function welcome(int $port): int
    {
        return $port + 2;
    }

    /** That of this machine, where the home's is known. */
    public static function besideSecure(int $secure): int
    {
        return $secure - 1;
    }
}
