<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\Row;

/** A warning that applies to a sauce, with where it comes from. */
final readonly class Caution
{
    /**
     * @param 'info'|'warn'|'stop' $severity
     * @param bool $isForTheJar whoever opens the jar must read it
     */
    private function __construct(
        public string $code,
        public string $severity,
        public string $text,
        public string $source,
        public bool $isForTheJar,
    ) {}

    /**
     * @param array<string, string> $filledIn what stands for the names in braces of its text
     *
     * @throws FactsFault when the row names no severity that there is
     */
    public static function fromRow(Row $row, array $filledIn = []): self
    {
        $severity = $row->text('severity');

        return match ($severity) {
            'info', 'warn', 'stop' => new self(
                $row->key,
                $severity,
                strtr($row->text('text'), $filledIn),
                $row->text('source'),
                $row->textOr('on_the_jar', 'no') === 'yes',
            ),
            default => throw FactsFault::unknownKey('severity', $severity),
        };
    }
}
