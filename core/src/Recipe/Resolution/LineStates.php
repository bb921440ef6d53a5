<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Solids;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;

/** What its states (drained, roasted, seeded, steeped) make of a line: how much goes in, and what 100 g of it bring. */
final readonly class LineStates
{
    private const ABOUT = 0.10;
    /** The share of its solubles that a thing steeped and taken out leaves behind (handbook default). */
    private const STEEPED_SHARE = 0.5;
    /** What holds less water than this per cent is dry already. */
    private const WET_FROM = 60.0;
    private const BOILED_FROM = 50.0;

    /**
     * @param Mixture $mixture of 100 g
     * @param list<string> $notes
     */
    public function __construct(
        private Ingredient $ingredient,
        public Mixture $mixture,
        public Amount $grams,
        public array $notes = [],
    ) {}

    /** What is left of a tin or jar that is drained. */
    public function drained(): self
    {
        $drained = Facts::of(DrainedFacts::class);
        $isKnown = $this->ingredient->portions->drainedShare !== null;
        $share = $this->ingredient->portions->drainedShare ?? $drained->share;

        return $this->become(
            $this->mixture,
            $this->grams->times($share)->doubtedBy($isKnown ? self::ABOUT : $drained->doubt),
            sprintf('drained, %s%d %% of the pack', $isKnown ? '' : 'taken as ', (int) round(100.0 * $share)),
        );
    }

    /** A tin of beans is drained, said or not, unless its liquid goes in too. */
    public function drainedAsUsual(string $words): self
    {
        $facts = FactsFile::named('states')['drained'];
        $isUsual = array_intersect($facts->list('usual'), $this->ingredient->kinds) !== []
            && array_intersect($facts->list('but'), $this->ingredient->kinds) === []
            && $this->mixture->percent(Component::Water) > self::BOILED_FROM;

        return $isUsual && !$facts->isSaidIn($words, 'unless') ? $this->drained() : $this;
    }

    /** @param bool $isCount the line counts what was bought, and weighs nothing */
    public function saidIn(string $words, bool $isCount, bool $isPack): self
    {
        $states = $this;
        foreach (trim($words) === '' ? [] : FactsFile::named('states') as $row) {
            if ($row->isSaidIn($words, 'words')) {
                $states = $states->dried($row, $isPack)->trimmed($row, $isCount)->tamed($row);
            }
        }

        return $states;
    }

    /** "roasted", where only the method says it. */
    public function roasted(): self
    {
        return $this->dried(FactsFile::named('states')['roasted'], false);
    }

    public function steeped(): self
    {
        return $this->become(
            Solids::dissolvedOf($this->mixture)->times(self::STEEPED_SHARE),
            $this->grams,
            sprintf('steeped and taken out: %d %% of what dissolves is counted', (int) round(100.0 * self::STEEPED_SHARE)),
        );
    }

    private function dried(Row $row, bool $isPack): self
    {
        $lost = $row->numberOrNull('water_lost');
        $isRaw = !$isPack && !in_array('cooked', $this->ingredient->kinds, true)
            && array_intersect($row->list('roles'), $this->ingredient->roles) !== []
            && $this->mixture->percent(Component::Water) > self::WET_FROM;
        if ($lost === null || !$isRaw) {
            return $this;
        }
        $water = $this->mixture->get(Component::Water) - 100.0 * $lost;

        return $this->become(
            $this->mixture->with(Component::Water, $water)->times(1.0 / (1.0 - $lost)),
            $this->grams->times(1.0 - $lost)->doubtedBy($row->number('spread')),
            sprintf('%s: taken to lose %d %% of its weight', $row->key, (int) round(100.0 * $lost)),
        );
    }

    private function trimmed(Row $row, bool $isCount): self
    {
        $kept = $row->numberOrNull('kept');

        $isOfIt = !$row->has('of') || in_array($this->ingredient->kind(), $row->list('of'), true);

        return $kept === null || !$isCount || !$isOfIt
            ? $this
            : $this->become(
                $this->mixture,
                $this->grams->times($kept)->doubtedBy($row->number('spread')),
                sprintf('%s: taken as %d %% of it', $row->key, (int) round(100.0 * $kept)),
            );
    }

    /** Less of its heat, or of its bite. */
    private function tamed(Row $row): self
    {
        $states = $this;
        $heat = $row->numberOrNull('heat');
        if ($heat !== null && $this->ingredient->composition->heatIsOfPods) {
            $states = $states->become(
                $states->mixture->with(
                    Component::CapsaicinoidHeat,
                    $states->mixture->get(Component::CapsaicinoidHeat) * $heat,
                ),
                $states->grams,
                sprintf('%s: %d %% of its heat counted', $row->key, (int) round(100.0 * $heat)),
            );
        }
        $pungency = $row->numberOrNull('pungency');
        if ($pungency !== null && $this->ingredient->isPungentWhenWet()) {
            $left = $states->mixture->get(Component::Pungency) * $pungency;
            $states = $states->become(
                $states->mixture->with(Component::Pungency, $left),
                $states->grams,
                'heated before it is wet, it has no bite',
            );
        }

        return $states;
    }

    private function become(Mixture $mixture, Amount $grams, string $note): self
    {
        return new self($this->ingredient, $mixture, $grams, [...$this->notes, $note]);
    }
}
