<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/** The five axes of balance, each with its own scale of just noticeable steps. */
enum Axis: string
{
    case Sweet = 'sweet';
    case Sour = 'sour';
    case Salt = 'salt';
    case Umami = 'umami';
    case Heat = 'heat';

    /** How it is said of a sauce: "salty". */
    public function adjective(): string
    {
        return $this->facts()->text('adjective');
    }

    /** What there is too little of: "sharpness". */
    public function noun(): string
    {
        return $this->facts()->text('noun');
    }

    /** What brings it, in a word: "acid". */
    public function brings(): string
    {
        return $this->facts()->text('brings');
    }

    /** "too sharp" */
    public function excess(): string
    {
        return $this->facts()->text('excess');
    }

    /** "sharper", "less sharp" */
    public function comparative(bool $isMore): string
    {
        return $this->facts()->text($isMore ? 'more' : 'less');
    }

    /** The role of an ingredient that is there for it alone. */
    public function role(): string
    {
        return $this->facts()->text('role');
    }

    public function unit(): string
    {
        return $this->facts()->text('unit');
    }

    /** The recognition threshold, in the unit of the axis. */
    public function threshold(): float
    {
        return self::scales()[$this->value][0];
    }

    /** What is tasted, but only slightly: in no family too much. In the unit of the axis. */
    public function slight(): float
    {
        return $this->facts()->number('slight');
    }

    /** ln(1 + w): the width of one step on a logarithmic scale. */
    public function stepWidth(): float
    {
        return self::scales()[$this->value][1];
    }

    /** Just noticeable differences above the threshold: ln(max(I, θ)/θ)/ln(1 + w). */
    public function steps(float $value): float
    {
        [$threshold, $width] = self::scales()[$this->value];

        return log(max($value, $threshold) / $threshold) / $width;
    }

    /** The value that lies so many steps above the threshold. */
    public function valueAt(float $steps): float
    {
        return $this->threshold() * exp($steps * $this->stepWidth());
    }

    /**
     * Something for each axis, by its key.
     *
     * @template T
     *
     * @param callable(self): T $what
     *
     * @return array<value-of<self>, T>
     */
    public static function each(callable $what): array
    {
        $found = [];
        foreach (self::cases() as $axis) {
            $found[$axis->value] = $what($axis);
        }

        return $found;
    }

    private function facts(): Row
    {
        return FactsFile::named('axes')[$this->value];
    }

    /** @return array<string, array{float, float}> threshold and step width by axis */
    private static function scales(): array
    {
        /** @var array<string, array{float, float}>|null $scales */
        static $scales = null;

        return $scales ??= array_map(
            static fn(Row $row): array => [$row->number('threshold'), log(1.0 + $row->number('weber'))],
            FactsFile::named('axes'),
        );
    }
}
