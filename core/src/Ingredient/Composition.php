<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\AcidityFacts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/** What is in 100 g of an ingredient as used, how acid that is, and how well it is known. */
final readonly class Composition
{
    /**
     * @param Mixture $mixture of 100 g
     * @param AcidState $acidity how acid it is by itself
     * @param array<string, Grade> $grades by group
     * @param bool $heatIsOfPods its heat varies from pod to pod by a factor of two
     * @param MineralCharge|null $minerals where they are known
     * @param float|null $saturatedShare of its fat, where it is known of this very thing
     */
    private function __construct(
        public Mixture $mixture,
        public AcidState $acidity,
        public ?float $ph,
        public array $grades,
        public bool $heatIsOfPods,
        public ?MineralCharge $minerals,
        public ?float $saturatedShare,
    ) {}

    /** @throws FactsFault when the row is incomplete or adds up to more than 100 g */
    public static function fromRow(Row $row): self
    {
        $ph = $row->numberOrNull('ph');
        $acidity = AcidState::of(self::mixtureFrom($row), $ph, $row->has('sid'), self::phGrade($row));

        return new self(
            $acidity->mixture,
            $acidity,
            $ph,
            self::gradesFrom($row, $acidity->mixture),
            $row->textOr('pod', '') === 'yes',
            $row->has('minerals') ? MineralCharge::read($row->text('minerals'), $acidity->mixture) : null,
            self::saturatedShare($row),
        );
    }

    /**
     * Of a product of the cook's own that is like this one.
     *
     * @param string $key of the product
     * @param Mixture $mixture of 100 g; what is missing to 100 g becomes "other"
     * @param array<string, Grade> $grades by group
     * @param bool $heatIsKnown its heat was stated, and does not vary from pod to pod
     *
     * @throws FactsFault when it adds up to more than 100 g
     */
    public function asOwn(string $key, Mixture $mixture, array $grades, bool $heatIsKnown): self
    {
        $acidity = AcidState::of(
            self::filledUp($mixture, $key),
            $this->ph,
            $this->ph === null && $this->acidity->isKnown,
            $grades['ph'] ?? Grade::D,
        );

        return new self(
            $acidity->mixture,
            $acidity,
            $this->ph,
            $grades,
            $this->heatIsOfPods && !$heatIsKnown,
            $this->minerals,
            $this->saturatedShare,
        );
    }

    /**
     * Of what was made in the kitchen.
     *
     * @param string $key of the ingredient it becomes
     * @param Mixture $mixture of 100 g
     * @param bool $hasCharge how acid it is follows from its charge; else its pH is not known
     * @param array<string, Grade> $grades by group; C for those not named
     *
     * @throws FactsFault when it adds up to more than 100 g
     */
    public static function made(string $key, Mixture $mixture, bool $hasCharge, array $grades): self
    {
        $acidity = AcidState::of(self::filledUp($mixture, $key), null, $hasCharge, Grade::C);
        $of = [];
        foreach ($acidity->mixture->amounts() as $component => $amount) {
            $group = Component::from($component)->group();
            if ($amount !== 0.0 && $group !== 'buffer') {
                $of[$group] = $grades[$group] ?? Grade::C;
            }
        }

        $minerals = MineralCharge::carriedBy($acidity->mixture);

        return new self($acidity->mixture, $acidity, null, $of, false, $minerals, null);
    }

    public function grade(string $group): Grade
    {
        return $this->grades[$group] ?? Grade::D;
    }

    private static function saturatedShare(Row $row): ?float
    {
        $fat = $row->amounts('of')['fat'] ?? 0.0;

        return $fat > 0.0 && $row->has('saturates') ? $row->number('saturates') / $fat : null;
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
}
