<?php

declare(strict_types=1);

namespace App\Recipes;

/** An edit was based on a revision that is no longer the newest. */
final class EditConflict extends \RuntimeException
{
    private function __construct(public readonly Sauce $current)
    {
        parent::__construct('The sauce has a newer revision.');
    }

    public static function with(Sauce $current): self
    {
        return new self($current);
    }
}
