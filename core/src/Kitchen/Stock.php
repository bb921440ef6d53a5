<?php

declare(strict_types=1);

namespace Vinculum\Kitchen;

/** What stands on the cook's shelf. */
interface Stock
{
    /**
     * Which of these there is, or what stands in its place.
     *
     * @param list<string> $keys of ingredients
     *
     * @return list<string>
     */
    public function usable(array $keys): array;
}
