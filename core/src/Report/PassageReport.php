<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Recipe\Telling\MentionUse;
use Vinculum\Recipe\Telling\Passage;

/** A piece of what was told, for who reads it beside the lines. */
final readonly class PassageReport extends Report
{
    /**
     * @param 'in'|'passed'|null $use whether the thing it names went in, or was only talked of; null of words between
     * @param string|null $ingredient its key
     * @param string|null $line to take in what was passed over
     * @param array{int, int} $said from and to, in characters of what was pasted
     */
    private function __construct(
        public string $text,
        public ?string $use,
        public ?string $ingredient,
        public ?string $line,
        public array $said,
    ) {}

    public static function of(Passage $passage): self
    {
        return new self(
            $passage->text,
            match ($passage->use) {
                null => null,
                MentionUse::PutIn => 'in',
                default => 'passed',
            },
            $passage->key,
            $passage->line,
            [$passage->from, $passage->from + mb_strlen($passage->text)],
        );
    }
}
