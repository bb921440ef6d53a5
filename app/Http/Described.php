<?php

declare(strict_types=1);

namespace App\Http;

/** A rule that says itself what the value it lets through looks like, for the description of the API. */
interface Described
{
    /** @return array<string, mixed> a JSON schema */
    public function schema(): array;
}
