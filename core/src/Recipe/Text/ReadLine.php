<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Text;

/** A line of a page with what it was taken for. */
final readonly class ReadLine
{
    /**
     * @param string $text as it stands, without marks of layout
     * @param bool $isSure nothing else comes near
     */
    public function __construct(public string $text, public LineKind $kind, public bool $isSure) {}
}
