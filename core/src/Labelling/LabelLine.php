<?php

declare(strict_types=1);

namespace Vinculum\Labelling;

/** One ingredient of a label, as pieces of text of which some are emphasised. */
final readonly class LabelLine
{
    /** @param list<array{text: string, emphasised: bool}> $parts */
    private function __construct(public array $parts, public float $percent, public bool $isCompound) {}

    /** @param string $text what is between asterisks is emphasised */
    public static function written(string $text, float $percent, bool $isCompound): self
    {
        $parts = [];
        foreach (explode('*', $text) as $index => $piece) {
            if ($piece !== '') {
                $parts[] = ['text' => $piece, 'emphasised' => $index % 2 === 1];
            }
        }

        return new self($parts, $percent, $isCompound);
    }

    public function text(): string
    {
        return implode('', array_column($this->parts, 'text'));
    }
}
