<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\Row;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measure;
use Vinculum\Quantity\Spoons;

/** How an ingredient is measured: what a millilitre, a clove, a bunch or a tin of it weighs. */
final readonly class Portions
{
    /** Relative spread of a counted piece of produce where the row gives none. */
    private const COUNTED_SPREAD = 0.22;

    /**
     * @param float|null $density g/ml
     * @param array<string, float> $forms g/ml when packed, chopped, sifted, …
     * @param array<string, Amount> $units grams of one clove, bunch, tin, …
     * @param float|null $drainedShare of a tin of it
     * @param string|null $pouredAs the ingredient that a spoonful of it means: a lemon's juice
     */
    private function __construct(
        public ?float $density,
        public Texture $texture,
        public array $forms,
        public array $units,
        public ?float $drainedShare,
        public ?string $pouredAs,
    ) {}

    /**
     * @param Mixture $mixture of 100 g
     *
     * @throws FactsFault when a unit is written in another way than "clove 4 1"
     */
    public static function fromRow(Row $row, Mixture $mixture): self
    {
        $texture = Texture::from($row->textOr('texture', Texture::Coarse->value));

        return new self(
            $row->numberOrNull('density') ?? ($texture === Texture::Liquid ? Volume::density($mixture) : null),
            $texture,
            $row->amounts('forms'),
            self::unitsFrom($row),
            $row->numberOrNull('drained'),
            $row->has('poured') ? $row->text('poured') : null,
        );
    }

    /** @param Mixture $mixture of 100 g of a sauce */
    public static function poured(Mixture $mixture): self
    {
        return new self(Volume::density($mixture), Texture::Liquid, [], [], null, null);
    }

    /** Grams of one, where a cook would rather count it than spoon it: pods, cloves, small fruit. */
    public function eachGrams(): ?float
    {
        $each = $this->units['clove'] ?? $this->units['whole'] ?? null;

        return $this->texture === Texture::Coarse && $each !== null && $each->value <= 25.0 ? $each->value : null;
    }

    /**
     * Grams a millilitre, where a spoonful of it means it; null where it would mean something else: a lemon's juice.
     */
    public function spoonDensity(): ?float
    {
        return $this->pouredAs === null ? $this->density : null;
    }

    /** The measurable amount nearest to so many grams, as it is measured out. */
    public function measure(float $grams, Spoons $spoons): Measure
    {
        [$density, $each] = [$this->spoonDensity(), $this->eachGrams()];

        return $spoons->measure($spoons->nearest($grams, $density, $each), $density, $each);
    }

    /**
     * Units as "clove 4" or, with one standard deviation, "clove 4 1".
     *
     * @return array<string, Amount>
     */
    private static function unitsFrom(Row $row): array
    {
        $units = [];
        foreach ($row->list('units') as $text) {
            if (preg_match('/^(\D+?) ([\d.]+)(?: ([\d.]+))?$/', $text, $found) !== 1) {
                throw FactsFault::notANumber($row->key, 'units', $text);
            }
            $grams = (float) $found[2];
            $units[$found[1]] = Amount::of(
                $grams,
                isset($found[3]) ? (float) $found[3] : $grams * self::COUNTED_SPREAD,
            );
        }

        return $units;
    }
}
