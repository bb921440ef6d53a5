<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Quantity\KitchenNumber;

/** A label that cannot be right. Names the field, and the way out. */
final class LabelFault extends \InvalidArgumentException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function negative(string $field): self
    {
        return new self($field, "\"{$field}\" is below zero: labels count from nothing upward.");
    }

    public static function tooMuch(string $field, float $most): self
    {
        return new self(
            $field,
            sprintf('"%s" is more than %s: is it per 100 g, and in grams?', $field, KitchenNumber::plain($most, 1)),
        );
    }

    public static function noServing(): self
    {
        return new self(
            'serving_grams',
            'The figures are per serving, but the serving has no weight: fill in its grams.',
        );
    }

    public static function sugarsBeyondCarbohydrate(): self
    {
        return new self('sugars', 'There are more sugars than carbohydrate: sugars are a part of it. Swap the two?');
    }

    public static function addsUp(float $grams): self
    {
        return new self(
            'label',
            sprintf('The label adds up to %.0f g in 100 g: check that every figure is for the same amount.', $grams),
        );
    }
}
