<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\AcidityFacts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measure;
use Vinculum\Quantity\Spoons;

/** A thing that goes into a sauce: what is in 100 g of it as used, how it is measured, and how well that is known. */
final readonly class Ingredient
{
    /** Relative spread of a counted piece of produce where the row gives none. */
    private const COUNTED_SPREAD = 0.22;

    /** Ethanol that is left out of account when a thing is called free of alcohol, g/100 g. */
    private const TRACE_OF_ALCOHOL = 0.5;

    /**
     * @param list<string>          $aliases other names it goes by
     * @param list<string>          $maybe   names that more likely mean something else
     * @param list<string>          $roles
     * @param list<string>          $kinds   what it is, for keeping: plant, fresh, low-acid, egg, dairy, …
     * @param Mixture               $mixture of 100 g
     * @param AcidState             $acidity how acid it is by itself
     * @param array<string, float>  $forms   g/ml when packed, chopped, sifted, …
     * @param array<string, Amount> $units   grams of one clove, bunch, tin, …
     * @param list<string>          $allergens
     * @param list<string>          $breaks  diets it does not fit
     * @param array<string, Grade>  $grades  by composition group
     * @param list<string>          $sources keys of sources.ini
     * @param bool                  $heatIsOfPods its heat varies from pod to pod by a factor of two
     * @param string|null $like for what is the cook's own, the generic ingredient it is a kind of; null for the shipped
     *     ones
     * @param string|null           $pouredAs the ingredient that a spoonful of it means: a lemon's juice
     */
    private function __construct(
        public string $key,
        public string $name,
        public array $aliases,
        public array $maybe,
        public array $roles,
        public array $kinds,
        public Mixture $mixture,
        public AcidState $acidity,
        public ?float $ph,
        public ?float $density,
        public Texture $texture,
        public array $forms,
        public array $units,
        public ?float $drainedShare,
        public array $allergens,
        public array $breaks,
        public array $grades,
        public array $sources,
        public bool $heatIsOfPods,
        public ?string $pouredAs,
        public ?string $like,
    ) {}

    /** @throws FactsFault when the row is incomplete or its composition adds up to more than 100 g */
    public static function fromRow(Row $row): self
    {
        $ph = $row->numberOrNull('ph');
        $acidity = AcidState::of(self::mixtureFrom($row), $ph, $row->has('sid'), self::phGrade($row));
        $mixture = $acidity->mixture;
        $texture = Texture::from($row->textOr('texture', Texture::Coarse->value));
        $density = $row->numberOrNull('density');
        if ($density === null && $texture === Texture::Liquid) {
            $density = Volume::density($mixture);
        }
        $allergens = $row->list('allergens');

        return new self(
            $row->key,
            $row->text('name'),
            $row->list('also'),
            $row->list('maybe'),
            $row->list('roles'),
            $row->list('kind'),
            $mixture,
            $acidity,
            $ph,
            $density,
            $texture,
            $row->amounts('forms'),
            self::unitsFrom($row),
            $row->numberOrNull('drained'),
            $allergens,
            self::brokenDiets($row->list('breaks'), $allergens, $mixture),
            self::gradesFrom($row, $mixture),
            $row->list('sources') ?: throw FactsFault::missing($row->key, 'sources'),
            $row->textOr('pod', '') === 'yes',
            $row->has('poured') ? $row->text('poured') : null,
            null,
        );
    }

    /**
     * A product of the cook's own that is like this one: measured, poured and combined in the same way.
     *
     * @param list<string>         $aliases   names of this one that mean it too
     * @param Mixture              $mixture   of 100 g; what is missing to 100 g becomes "other"
     * @param array<string, Grade> $grades    by composition group
     * @param list<string>         $allergens
     * @param bool                 $heatIsKnown its heat was stated, and does not vary from pod to pod
     *
     * @throws FactsFault when it adds up to more than 100 g
     */
    public function asOwn(
        string $key,
        string $name,
        array $aliases,
        Mixture $mixture,
        array $grades,
        array $allergens,
        bool $heatIsKnown,
    ): self {
        $acidity = AcidState::of(
            self::filledUp($mixture, $key),
            $this->ph,
            $this->ph === null && $this->acidity->isKnown,
            $grades['ph'] ?? Grade::D,
        );
        $filled = $acidity->mixture;

        return new self(
            $key,
            $name,
            $aliases,
            [],
            $this->roles,
            $this->kinds,
            $filled,
            $acidity,
            $this->ph,
            $this->density,
            $this->texture,
            $this->forms,
            $this->units,
            $this->drainedShare,
            $allergens,
            self::brokenDiets($this->breaks, $allergens, $filled),
            $grades,
            ['own-label', ...$this->sources],
            $this->heatIsOfPods && !$heatIsKnown,
            $this->pouredAs,
            $this->kind(),
        );
    }

    /**
     * A mixture that was made in the kitchen, as something that goes into another: poured, and of many kinds at once.
     *
     * @param Mixture              $mixture   of 100 g
     * @param bool                 $hasCharge how acid it is follows from its charge; else its pH is not known
     * @param list<string>         $kinds
     * @param list<string>         $allergens
     * @param list<string>         $breaks    diets it does not fit
     * @param array<string, Grade> $grades    by composition group; C for those not named
     */
    public static function made(
        string $key,
        string $name,
        string $like,
        Mixture $mixture,
        bool $hasCharge,
        array $kinds,
        array $allergens,
        array $breaks,
        array $grades,
    ): self {
        $acidity = AcidState::of(self::filledUp($mixture, $key), null, $hasCharge, Grade::C);
        $of = [];
        foreach ($acidity->mixture->amounts() as $component => $amount) {
            $group = Component::from($component)->group();
            if ($amount !== 0.0 && $group !== 'buffer') {
                $of[$group] = $grades[$group] ?? Grade::C;
            }
        }

        return new self(
            $key,
            $name,
            [],
            [],
            ['base'],
            $kinds,
            $acidity->mixture,
            $acidity,
            null,
            Volume::density($acidity->mixture),
            Texture::Liquid,
            [],
            [],
            null,
            $allergens,
            self::brokenDiets($breaks, $allergens, $acidity->mixture),
            $of,
            ['own-sauce'],
            false,
            null,
            $like,
        );
    }

    /** Whether it is the cook's own, not of the shipped catalogue. */
    public function isOwn(): bool
    {
        return $this->like !== null;
    }

    /** Whether its bite is made only once it is wet: dry mustard and wasabi. */
    public function isPungentWhenWet(): bool
    {
        return in_array('pungent-when-wet', $this->kinds, true);
    }

    /** The key of the shipped ingredient that says what it is like and what work it does. */
    public function kind(): string
    {
        return $this->like ?? $this->key;
    }

    public function grade(string $group): Grade
    {
        return $this->grades[$group] ?? Grade::D;
    }

    /** The mixture that so many grams of it bring. */
    public function grams(float $grams): Mixture
    {
        return $this->mixture->times($grams / 100.0);
    }

    /** Grams of one, where a cook would rather count it than spoon it: pods, cloves, small fruit. */
    public function eachGrams(): ?float
    {
        $each = $this->units['clove'] ?? $this->units['whole'] ?? null;

        return $this->texture === Texture::Coarse && $each !== null && $each->value <= 25.0 ? $each->value : null;
    }

    /**
     * Of what is counted by the fruit that it comes out of: which part of which fruit.
     *
     * @return array{part: string, fruit: string}|null "juice" of a "lime"; null for everything else
     */
    public function partOfFruit(): ?array
    {
        $words = explode(' ', mb_strtolower($this->name));
        $part = array_pop($words);

        return isset($this->units['fruit']) && $words !== [] && in_array($part, ['juice', 'zest'], true)
            ? ['part' => $part, 'fruit' => implode(' ', $words)]
            : null;
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

    /** @return list<string> the diets it fits */
    public function diets(): array
    {
        return array_values(array_diff(self::allDiets(), $this->breaks));
    }

    /** @return list<string> */
    public static function allDiets(): array
    {
        return ['vegan', 'vegetarian', 'gluten-free', 'alcohol-free', 'no-added-sugar'];
    }

    private static function mixtureFrom(Row $row): Mixture
    {
        $amounts = $row->amounts('of');
        foreach ($row->amounts('sweeteners') as $sweetener => $grams) {
            $worth = FactsFile::named('sweeteners')[$sweetener]
                ?? throw FactsFault::unknownKey('sweetener', $sweetener);
            $amounts['sweetener'] = ($amounts['sweetener'] ?? 0.0) + $grams;
            $amounts['sweetener_sweetness'] = ($amounts['sweetener_sweetness'] ?? 0.0)
                + $grams * $worth->number('sweetness');
        }
        $amounts['capsaicinoid_heat'] = 100.0 * ($row->numberOrNull('shu') ?? 0.0);
        $amounts['other_heat'] = 100.0 * ($row->numberOrNull('other_shu') ?? 0.0);
        $amounts['nose_heat'] = $row->numberOrNull('nose') ?? 0.0;
        $amounts['thickening'] = 100.0 * ($row->numberOrNull('thickening') ?? 0.0);
        $amounts['sid'] = $row->numberOrNull('sid') ?? 0.0;

        $amounts['solubles'] = $row->numberOrNull('solubles') ?? 0.0;
        $amounts['phosphoric'] = ($amounts['phosphoric'] ?? 0.0)
            + ($row->numberOrNull('phosphorus') ?? 0.0)
                / 1000.0
                * Facts::of(AcidityFacts::class)->phosphorus->phosphoric;

        return self::filledUp(
            Mixture::of(array_filter($amounts, static fn(float $amount): bool => $amount !== 0.0)),
            $row->key,
        );
    }

    /**
     * A composition filled up to 100 g.
     *
     * @throws FactsFault when it adds up to more
     */
    private static function filledUp(Mixture $mixture, string $key): Mixture
    {
        $rest = 100.0 - $mixture->grams();
        if ($rest < -0.6) {
            throw FactsFault::notANumber($key, 'of', sprintf('a composition of %.1f g in 100 g', 100.0 - $rest));
        }

        return $mixture->with(Component::Other, $mixture->get(Component::Other) + max(0.0, $rest));
    }

    /** How well its pH is known: as the row says, or else by where it comes from. */
    private static function phGrade(Row $row): Grade
    {
        foreach ($row->list('grades') as $text) {
            if (preg_match('/^ph ([A-D])$/', $text, $found) === 1) {
                return Grade::from($found[1]);
            }
        }

        return in_array('ph-table', $row->list('sources'), true) ? Grade::B : Grade::C;
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

    /**
     * The first grade is for every group present; those after it name their group: "B, acids C".
     *
     * @return array<string, Grade>
     */
    private static function gradesFrom(Row $row, Mixture $mixture): array
    {
        $listed = $row->list('grades');
        $usual = Grade::tryFrom(array_shift($listed) ?? '') ?? throw FactsFault::missing($row->key, 'grades');
        $grades = [];
        foreach ($mixture->amounts() as $component => $amount) {
            if ($amount !== 0.0 && Component::from($component)->group() !== 'buffer') {
                $grades[Component::from($component)->group()] = $usual;
            }
        }
        foreach ($listed as $text) {
            [$group, $grade] = [...explode(' ', $text), ''];
            $grades[$group] = Grade::tryFrom($grade) ?? throw FactsFault::notANumber($row->key, 'grades', $text);
        }

        return $grades;
    }

    /**
     * @param list<string> $stated
     * @param list<string> $allergens
     *
     * @return list<string>
     */
    private static function brokenDiets(array $stated, array $allergens, Mixture $mixture): array
    {
        $meat = array_intersect($allergens, ['fish', 'crustaceans', 'molluscs']) !== [];
        $animal = $meat || array_intersect($allergens, ['egg', 'milk']) !== [];
        $broken = [
            ...$stated,
            ...($animal || in_array('vegetarian', $stated, true) ? ['vegan'] : []),
            ...($meat ? ['vegetarian'] : []),
            ...(in_array('gluten', $allergens, true) ? ['gluten-free'] : []),
            ...($mixture->get(Component::Ethanol) > self::TRACE_OF_ALCOHOL ? ['alcohol-free'] : []),
        ];

        return array_values(array_intersect(self::allDiets(), $broken));
    }

    /** @return list<string> where the figures come from, in words */
    public function sourcesInWords(): array
    {
        return array_map(static function (string $key): string {
            $source = FactsFile::named('sources')[$key];

            return $source->text('title') . ($source->text('kind') === 'memory' ? ' (from memory)' : '');
        }, $this->sources);
    }
}
