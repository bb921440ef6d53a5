<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Volume;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/**
 * Holds the rows of the catalogue against one another and against figures that are published (core/data/published.ini),
 * for whoever writes them: bin/check-facts prints what it finds.
 */
final readonly class RowCheck
{
    /** Grams that the written figures of 100 g may come to. */
    private const LEAST_SUM = 90.0;
    private const MOST_SUM = 103.0;

    private const ENERGY_OFF = 0.10;

    /** Foods of little energy stand in rounded figures. */
    private const ENERGY_OFF_KCAL = 8.0;
    private const SODIUM_OF_SALT = 2.54;
    private const SODIUM_OFF = 0.30;
    private const SODIUM_OFF_SALT = 0.1;

    /** g/ml: from freeze-dried leaves to wet salt. */
    private const LIGHTEST = 0.01;
    private const HEAVIEST = 1.65;
    private const DENSITY_OFF = 0.14;

    /** What is this sour holds an acid; what holds so much of one, and not as salts, is no less sour than that. */
    private const SOUR_PH = 4.2;
    private const LEAST_ACID = 0.02;
    private const MUCH_ACID = 1.5;
    private const DULL_PH = 6.2;

    /** What a thing is, and the allergen that it cannot be without. */
    private const ALLERGEN_OF_KIND = [
        'dairy' => 'milk',
        'egg' => 'egg',
        'fish' => 'fish',
        'peanut' => 'peanuts',
    ];
    private const SUGAR_ON_A_LABEL = '/\b(?:sugar|syrup|honey|molasses|treacle|dextrose|glucose|fructose|caramel)\b/i';
    private const SIZES = [['small', 'medium', 'large'], ['small', 'whole', 'large']];

    private function __construct(private Ingredient $ingredient, private Row $row) {}

    /** @return list<string> what does not hold together, each naming its row; empty where all does */
    public static function findings(Catalogue $catalogue): array
    {
        $findings = [];
        $owners = [];
        foreach (FactsFile::folderNamed('ingredients') as $key => $row) {
            try {
                $check = new self($catalogue->get($key), $row);
            } catch (FactsFault $fault) {
                $findings[] = $fault->getMessage();
                continue;
            }
            foreach ([
                $check->sum(),
                $check->energy(),
                $check->salt(),
                $check->acidity(),
                $check->phosphorus(),
                $check->saturates(),
                $check->density(),
                $check->sizes(),
                ...$check->allergens(),
                ...$check->names($owners),
            ] as $finding) {
                if ($finding !== null) {
                    $findings[] = "{$key}: {$finding}";
                }
            }
        }

        return $findings;
    }

    private function sum(): ?string
    {
        $sum = array_sum($this->row->amounts('of'))
            + ($this->row->has('sweeteners') ? array_sum($this->row->amounts('sweeteners')) : 0.0);

        return $sum >= self::LEAST_SUM && $sum <= self::MOST_SUM || $this->row->has('rest')
            ? null
            : sprintf('its figures come to %.1f g of 100 g: complete them, or say what the rest is (rest = …)', $sum);
    }

    private function energy(): ?string
    {
        $published = FactsFile::named('published')['energy']->amounts('of')[$this->row->key] ?? null;
        if ($published === null) {
            return null;
        }
        $kcal = Energy::of($this->ingredient->composition->mixture);

        return abs($kcal - $published) <= max(self::ENERGY_OFF * $published, self::ENERGY_OFF_KCAL)
            ? null
            : sprintf('its composition gives %.0f kcal, published are %.0f', $kcal, $published);
    }

    private function salt(): ?string
    {
        $sodium = FactsFile::named('published')['sodium']->amounts('of')[$this->row->key] ?? null;
        $published = $sodium === null ? null : $sodium * self::SODIUM_OF_SALT / 1000.0;
        $salt = $this->ingredient->composition->mixture->get(Component::Salt);

        return $published === null
            || abs($salt - $published) <= max(self::SODIUM_OFF * $published, self::SODIUM_OFF_SALT)
            ? null
            : sprintf('holds %.2f g salt, its published sodium is that of %.2f g', $salt, $published);
    }

    private function phosphorus(): ?string
    {
        return $this->row->has('phosphorus') && isset($this->row->amounts('of')['phosphoric'])
            ? 'its phosphorus and its phosphoric acid are one and the same: it would count twice'
            : null;
    }

    private function saturates(): ?string
    {
        $saturates = $this->row->numberOrNull('saturates') ?? 0.0;
        $fat = $this->row->amounts('of')['fat'] ?? 0.0;

        return $saturates <= $fat ? null : sprintf('%.1f g of its %.1f g of fat are saturated', $saturates, $fat);
    }

    private function acidity(): ?string
    {
        $composition = $this->ingredient->composition;
        $ph = $composition->ph;
        $acids = Energy::acids($composition->mixture);
        $sharp = $acids + $composition->mixture->get(Component::Phosphoric);

        return match (true) {
            $ph === null => null,
            $ph < self::SOUR_PH && $sharp < self::LEAST_ACID => sprintf('a pH of %.1f, and no acid', $ph),
            $ph > self::DULL_PH && $acids > self::MUCH_ACID && !$this->row->has('minerals')
                => sprintf('%.1f g of acids, and a pH of %.1f', $acids, $ph),
            default => null,
        };
    }

    private function density(): ?string
    {
        $density = $this->ingredient->portions->density;
        $computed = Volume::density($this->ingredient->composition->mixture);

        return match (true) {
            $density === null => null,
            $density < self::LIGHTEST || $density > self::HEAVIEST => "a density of {$density} g/ml",
            // strong lactic acid holds its own anhydrides, which the volumes of dilute acids do not describe
            $this->ingredient->portions->texture === Texture::Liquid && $this->row->key !== 'lactic-acid'
                && abs($density - $computed) > self::DENSITY_OFF
                    => sprintf('is a liquid of %.2f g/ml, its composition gives %.2f', $density, $computed),
            default => null,
        };
    }

    private function sizes(): ?string
    {
        foreach (self::SIZES as $sizes) {
            $last = 0.0;
            foreach ($sizes as $size) {
                $grams = (float) explode(' ', $this->unit($size))[0];
                if ($grams > 0.0 && $grams < $last) {
                    return "a {$size} one weighs less than a smaller one";
                }
                $last = max($last, $grams);
            }
        }

        return null;
    }

    private function unit(string $name): string
    {
        foreach ($this->row->list('units') as $unit) {
            if (str_starts_with($unit, "{$name} ")) {
                return substr($unit, strlen($name) + 1);
            }
        }

        return '';
    }

    /** @return list<string> */
    private function allergens(): array
    {
        $findings = [];
        foreach (self::ALLERGEN_OF_KIND as $kind => $allergen) {
            $isOfKind = in_array($kind, $this->ingredient->kinds, true);
            if ($isOfKind && !in_array($allergen, $this->ingredient->suitability->allergens, true)) {
                $findings[] = "is {$kind}, and {$allergen} is not among its allergens";
            }
        }
        $compound = FactsFile::named('compounds')[$this->row->key] ?? null;
        if (
            $compound !== null
            && preg_match(self::SUGAR_ON_A_LABEL, $compound->text('of')) === 1
            && !in_array('no-added-sugar', $this->ingredient->suitability->breaks, true)
        ) {
            $findings[] = 'its label holds sugar, and it is called free of added sugar';
        }
        foreach ($compound?->list('of') ?? [] as $part) {
            foreach (preg_match_all('/\*([^*]+)\*/', $part, $marked) > 0 ? $marked[1] : [] as $word) {
                foreach (self::allergensOf($word) as $allergen) {
                    if (!in_array($allergen, $this->ingredient->suitability->allergens, true)) {
                        $findings[] = "its label holds {$word}, and {$allergen} is not among its allergens";
                    }
                }
            }
        }

        return $findings;
    }

    /** @return list<string> allergens that a word of a label means */
    private static function allergensOf(string $word): array
    {
        $found = [];
        foreach (FactsFile::named('allergens') as $allergen => $row) {
            if (in_array(strtolower(trim($word)), [$allergen, ...$row->list('words')], true)) {
                $found[] = $allergen;
            }
        }

        return $found;
    }

    /**
     * @param array<string, string> $owners row by the name it owns, filled as rows are read
     *
     * @return list<string>
     */
    private function names(array &$owners): array
    {
        $findings = [];
        foreach (array_unique([$this->ingredient->name, ...$this->ingredient->aliases]) as $name) {
            $words = implode(' ', NameWords::of($name));
            $owner = $owners[$words] ??= $this->row->key;
            if ($owner !== $this->row->key) {
                $findings[] = "\"{$name}\" is a name of {$owner} too: make one of them a maybe";
            }
        }

        return $findings;
    }
}
