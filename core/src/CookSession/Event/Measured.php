<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;
use Vinculum\Quantity\KitchenNumber;

/** Something was put in, weighed or as it was planned. */
final readonly class Measured extends CookEvent
{
    public const KIND = 'measured';
    public const NEEDS = ['line', 'grams'];

    /** @param int $line from 0 */
    public function __construct(
        int $id,
        float $at,
        public int $line,
        public float $grams,
        public bool $isPlanned = false,
        ?string $words = null,
        ?string $key = null,
    ) {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self(
            $id,
            $at,
            (int) $figures['line'],
            $figures['grams'],
            ($figures['planned'] ?? 0.0) > 0.0,
            $words,
            $key,
        );
    }

    public function figures(): array
    {
        return [
            'line' => (float) $this->line,
            'grams' => $this->grams,
            ...($this->isPlanned ? ['planned' => 1.0] : []),
        ];
    }

    public function says(array $lines): string
    {
        return sprintf(
            '%s went in: %s',
            KitchenNumber::grams($this->grams),
            $lines[$this->line] ?? sprintf('line %d', $this->line + 1),
        );
    }
}
