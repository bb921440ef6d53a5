<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

/** A clock that can also wait and change its zone. */
interface ClockInterface extends \Psr\Clock\ClockInterface
{
    public function sleep(float|int $seconds): void;

    public function withTimeZone(\DateTimeZone|string $timezone): static;
}
