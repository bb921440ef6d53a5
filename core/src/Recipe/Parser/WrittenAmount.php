<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Facts\FactsFile;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Unit;

/** An amount as it was written: a number or a range, of a unit or of things counted. */
final readonly class WrittenAmount
{
    /** How far apart, as a logarithm, two amounts may lie that are one. */
    private const ALIKE = 0.45;

    /**
     * @param Unit|null $unit of weight or volume
     * @param string|null $counted the thing counted ("clove", "tin"), a key of counts.ini
     * @param string|null $size small, medium or large
     * @param float $fill 1 for a level spoon, 1.5 for a heaped one
     * @param string|null $pack the tin, jar or packet that a weight came in
     * @param bool $isAbout the cook wrote "about", or gave a range or a heap
     * @param string|null $misspelt the word that was taken for the unit, where it is none
     */
    public function __construct(
        public float $low,
        public float $high,
        public ?Unit $unit,
        public ?string $counted = null,
        public ?string $size = null,
        public float $fill = 1.0,
        public ?string $pack = null,
        public bool $isAbout = false,
        public ?string $misspelt = null,
    ) {}

    public function middle(): float
    {
        return ($this->low + $this->high) / 2.0;
    }

    public function isRange(): bool
    {
        return $this->high !== $this->low;
    }

    public function times(float $factor): self
    {
        return $this->with(low: $this->low * $factor, high: $this->high * $factor);
    }

    /** So full of it: a heap on a cup is half as much of it as one on a spoon, and a weight has none. */
    public function filled(float $fill): self
    {
        $isMeasure = $this->unit !== null && ($this->unit->millilitres !== null || $this->unit->isVague());
        $most = $this->unit?->name === 'cup' && $fill > 1.0 ? 1.0 + ($fill - 1.0) / 2.0 : $fill;

        return $this->with(fill: $isMeasure ? $most : 1.0);
    }

    /** So many of what they are counted by. */
    public function of(string $counted): self
    {
        return new self($this->low, $this->high, null, $counted, $this->size, isAbout: true);
    }

    /** So many of what another is measured or counted by: "1 tbsp …, plus 1 more", "3 cloves …, plus 1 more". */
    public function countedLike(self $other): self
    {
        return new self($this->low, $this->high, $other->unit, $other->counted, $other->size, isAbout: $this->isAbout);
    }

    public function inPack(string $pack): self
    {
        return $this->with(pack: $pack);
    }

    private function with(?float $low = null, ?float $high = null, ?float $fill = null, ?string $pack = null): self
    {
        return new self(
            $low ?? $this->low,
            $high ?? $this->high,
            $this->unit,
            $this->counted,
            $this->size,
            $fill ?? $this->fill,
            $pack ?? $this->pack,
            $this->isAbout,
            $this->misspelt,
        );
    }

    public function isSensible(): bool
    {
        return is_finite($this->low)
            && is_finite($this->high)
            && $this->low >= 0.0
            && $this->high > 0.0
            && $this->high <= 1e9;
    }

    /** "1 cup plus 2 tbsp", in the first unit; null where they do not measure the same thing. */
    public function plus(self $other): ?self
    {
        $ratio = $this->ratio($other);

        return $ratio === null
            ? null
            : new self(
                $this->low + $other->low * $ratio,
                $this->high + $other->high * $ratio,
                $this->unit,
                fill: $this->fill,
                isAbout: $this->isAbout || $other->isAbout,
            );
    }

    /** "1 tsp to 1 tbsp", in the first unit; null where they do not measure the same thing. */
    public function upTo(self $other): ?self
    {
        $ratio = $this->ratio($other);

        return $ratio === null
            ? null
            : new self($this->low, max($this->low, $other->high * $ratio), $this->unit, isAbout: true);
    }

    /** As it can be written, and is read as the same. */
    public function written(): string
    {
        $number = $this->number($this->low) . ($this->isRange() ? " to {$this->number($this->high)}" : '');
        $size = $this->size === null ? '' : "{$this->size} ";

        $sign = $this->unit === null ? '' : self::sign($this->unit, $this->high * $this->fill);

        return match (true) {
            $this->unit !== null && $this->pack !== null => "1 × {$number} {$sign} {$this->pack}",
            $this->unit !== null => "{$number} {$size}{$sign}",
            in_array($this->counted, [null, 'whole'], true) => "{$number} {$size}",
            default => "{$number} {$size}{$this->counted}",
        };
    }

    /** A unit behind a number: "g", "tbsp", "cups". */
    public static function sign(Unit $unit, float $count): string
    {
        $row = FactsFile::named('notches')[$unit->name] ?? null;
        $sign = $row === null ? $unit->name : $row->text('sign');

        return strlen($sign) > 2 && !in_array($sign, ['tsp', 'tbsp'], true) ? Counts::plural($sign, $count) : $sign;
    }

    /** Spoons and cups in halves and quarters where they are, all else in figures. */
    private function number(float $value): string
    {
        $value *= $this->fill;
        $isOfEighths = abs(8.0 * $value - round(8.0 * $value)) < 1e-6;

        return $this->unit?->grams === null && $isOfEighths
            ? KitchenNumber::mixed($value)
            : KitchenNumber::plain($value, 7);
    }

    /** Whether two amounts can be one, said twice: a weight and a volume may always be. */
    public function mayBe(self $other): bool
    {
        $ratio = $this->ratio($other);

        $times = $ratio === null ? 1.0 : $this->middle() / max(1e-9, $other->middle() * $ratio);

        return abs(log(max(1e-9, $times))) < self::ALIKE;
    }

    /** How many of its unit one of the other's is; null where they do not measure the same thing. */
    private function ratio(self $other): ?float
    {
        return match (true) {
            $this->unit?->grams !== null && $other->unit?->grams !== null => $other->unit->grams / $this->unit->grams,
            $this->unit?->millilitres !== null && $other->unit?->millilitres !== null
                => $other->unit->millilitres / $this->unit->millilitres,
            default => null,
        };
    }
}
