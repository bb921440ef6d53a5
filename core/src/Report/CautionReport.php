<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Keeping\Caution;

/** A caution as it is read out: what it is, how grave, why, and who says so. */
final readonly class CautionReport extends Report
{
    /** @param 'info'|'warn'|'stop' $severity */
    private function __construct(
        public string $code,
        public string $severity,
        public string $text,
        public string $source,
    ) {}

    /**
     * @param list<Caution> $cautions
     *
     * @return list<self>
     */
    public static function all(array $cautions): array
    {
        return array_map(
            static fn(Caution $one): self => new self($one->code, $one->severity, $one->text, $one->source),
            $cautions,
        );
    }
}
