<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

/** Where in a recipe a line was read. */
final readonly class LinePlace
{
    /**
     * @param int|null $row the text of the recipe that it was read from, from 0; null where it is of none
     * @param int|null $part which of several that the text names, from 1; null where it names one
     * @param string|null $text that whole text, where it names several
     */
    public function __construct(public ?int $row = null, public ?int $part = null, public ?string $text = null) {}
}
