<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

use Vinculum\Kitchen\Sauce;

/** The size a cook asks for, in the words it was asked in. */
final readonly class RequestedSize
{
    public function __construct(
        public ?string $to = null,
        public ?string $have = null,
        public ?string $serves = null,
        public ?string $portion = null,
        public ?string $factor = null,
        public float $headSpace = TargetSize::HEAD_SPACE,
        public float $loss = 0.0,
        public bool $holdsBack = false,
    ) {}

    /** As it is written. */
    public static function once(): self
    {
        return new self(factor: '1');
    }

    /**
     * A sauce at this size.
     *
     * @throws ScaleFault when it cannot be made in that size
     */
    public function scale(Sauce $sauce): Scale
    {
        return Scale::of($sauce, $this->wanted($sauce), new ScaleSetting($this->headSpace, $this->holdsBack));
    }

    /** @throws ScaleFault */
    private function wanted(Sauce $sauce): TargetSize
    {
        [$formula, $measures, $servings] = [$sauce->formula, $sauce->measures(), $sauce->recipe->servings];

        return match (true) {
            $this->to !== null => TargetSize::amount($this->to, $formula, $measures, $this->headSpace, $this->loss),
            $this->have !== null => TargetSize::have($this->have, $formula, $sauce->catalogue(), $measures),
            $this->serves !== null && $this->portion === null && $servings !== null => TargetSize::servings(
                $this->serves,
                $servings,
            ),
            $this->serves !== null => TargetSize::portions($this->serves, $this->portion ?? '', $formula, $measures),
            default => TargetSize::factor($this->factor ?? ''),
        };
    }

    /** A plan's size: nothing for as written, a number for so many times, else jars or a volume. */
    public static function written(string $size): self
    {
        $size = trim($size);

        return match (true) {
            $size === '' => self::once(),
            is_numeric(str_replace(',', '.', $size)) => new self(factor: $size),
            default => new self(to: $size),
        };
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'to' => $this->to,
            'have' => $this->have,
            'serves' => $this->serves,
            'portion' => $this->portion,
            'factor' => $this->factor,
            'head_space' => $this->headSpace,
            'loss' => $this->loss,
            'hold_back' => $this->holdsBack,
        ];
    }

    /** @param array<string, mixed> $kept */
    public static function kept(array $kept): self
    {
        $text = static fn(string $field): ?string => is_scalar($kept[$field] ?? null) ? (string) $kept[$field] : null;
        $number = static fn(string $field, float $usual): float => is_numeric($kept[$field] ?? null)
            ? (float) $kept[$field]
            : $usual;

        return new self(
            $text('to'),
            $text('have'),
            $text('serves'),
            $text('portion'),
            $text('factor'),
            $number('head_space', TargetSize::HEAD_SPACE),
            $number('loss', 0.0),
            ($kept['hold_back'] ?? false) === true,
        );
    }
}
