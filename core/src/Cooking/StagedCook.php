<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Balance\CookingLosses;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\KitchenNumber;

/**
 * A formula taken through its stages: what is in the pot after each, and what the finished sauce has lost on the way.
 */
final readonly class StagedCook
{
    private const WORTH_A_WORD = 0.5;

    /**
     * @param Formula $formula with the losses its stages make likely, where a pan and a time or an end point tell
     * @param list<CookedStage> $stages
     * @param list<string> $notes
     * @param Pan|null $pan that it was reckoned in, named or assumed
     */
    private function __construct(
        public Formula $formula,
        public array $stages,
        public array $notes,
        public ?Pan $pan,
    ) {}

    /**
     * @param list<string> $method as written, one step a line
     * @param array<int, string|null> $titles of the stage of each line of the recipe, by its number, where the formula holds no headings
     */
    public static function of(Formula $formula, ?Pan $pan, array $method, ?Hob $hob = null, array $titles = []): self
    {
        $hob ??= Hob::unknown();
        $roasted = RoastedLines::of($method);
        [$pot, $all, $stages, $simmered] = [Mixture::nothing(), CookingLosses::none(), [], 0.0];
        $isHobKnown = false;
        $told = Stages::of($formula, $method, $titles);
        $isMeasured = $formula->yieldText !== null || $formula->yield !== null;
        $pan ??= self::panNamed($told)
            ?? ($isMeasured ? null : AssumedPan::for($told, Volume::millilitres($formula->mixed())));
        foreach ($told as $stage) {
            $before = $pot;
            foreach ($stage->lines as $line) {
                $pot = $line->countsInTheMixture() ? $pot->plus($line->mixture()) : $pot;
            }
            $dried = $roasted->losses($stage->lines);
            $all = $all->and($dried);
            $pot = $pot->minus($dried->left);
            // what goes in later has simmered less: the minutes are those of the alcohol as a whole
            $alcohol = $pot->get(Component::Ethanol);
            $simmered = $alcohol > 0.0 ? $simmered * $before->get(Component::Ethanol) / $alcohol : 0.0;
            [$losses, $steps, $with] = [CookingLosses::none(), [], $pot];
            foreach ($stage->steps as $step) {
                $gone = StepLosses::of($step, $pot, $pan, $hob, $simmered);
                $simmered += $step->isAtTheHob()
                    ? StepLosses::minutesOf($step, $gone->water, $step->pan ?? $pan, $hob)
                    : 0.0;
                $isHobKnown = $isHobKnown
                    || ($step->heat !== null && $hob->heat($step->heat, $step->pan ?? $pan)->cooks > 0);
                $losses = $losses->and($gone->losses());
                $pot = $pot->minus($gone->losses()->left);
                $steps[] = $gone;
            }
            $all = $all->and($losses);
            $stages[] = new CookedStage($stage, $with, $pot, $steps);
        }
        $first = MethodReader::firstUnread($method);
        $unread = $first === null
            ? []
            : [
                sprintf(
                    'The method is longer than is read: from line %d on it is kept, and its times and heats are not counted. Make it shorter to count them.',
                    $first + 1,
                ),
            ];
        $isDried = $all->left->get(Component::Water) >= self::WORTH_A_WORD;
        $tells = ($isDried || $pan !== null && self::tells($stages)) && $formula->mixed()->get(Component::Water) > 0.0;
        if ($isMeasured) {
            return new self($formula, $stages, [...$unread, ...self::besidesWater($formula, $all->left)], $pan);
        }
        if (!$tells) {
            return new self($formula, $stages, $unread, $pan);
        }

        return new self(
            $formula->losing($all),
            $stages,
            [...$unread, ...self::notes($stages, $all, $isHobKnown, $pan)],
            $pan,
        );
    }

    /**
     * The pan that a step names, where the recipe names none: what is begun in it goes on in it.
     *
     * @param list<Stage> $stages
     */
    private static function panNamed(array $stages): ?Pan
    {
        foreach ($stages as $stage) {
            foreach ($stage->steps as $step) {
                if ($step->pan !== null) {
                    return $step->pan;
                }
            }
        }

        return null;
    }

    /** @param list<CookedStage> $stages */
    private static function tells(array $stages): bool
    {
        foreach ($stages as $stage) {
            foreach ($stage->steps as $step) {
                if ($step->water >= self::WORTH_A_WORD) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param list<CookedStage> $stages
     *
     * @return list<string>
     */
    private static function notes(array $stages, CookingLosses $losses, bool $isHobKnown, ?Pan $pan): array
    {
        $notes = [];
        $gone = $losses->left->get(Component::Water);
        $variance = array_sum(
            array_map(
                static fn(array $doubt): float => array_keys($doubt) === [Component::Water->value]
                    ? $doubt[Component::Water->value] ** 2
                    : 0.0,
                $losses->doubts,
            ),
        );
        $half = Amount::NINETY_PERCENT * sqrt($variance);
        foreach ($stages as $stage) {
            if ($stage->isCutShort()) {
                $notes[] = sprintf(
                    'By its times and this pan more water would leave than there is without scorching (%s of water%s): the figures stop short of that.',
                    KitchenNumber::grams($stage->with->get(Component::Water)),
                    $stage->stage->title === null ? '' : " in \"{$stage->stage->title}\"",
                );
            }
        }
        $notes[] = sprintf(
            'By its words and %s about %s of water leaves (%s to %s): an estimate %s. %s',
            $pan?->isAssumed === true ? sprintf('a pan of %d cm, which is assumed,', round((float) $pan->centimetres())) : 'this pan',
            KitchenNumber::grams($gone),
            KitchenNumber::grams(max(0.0, $gone - $half)),
            KitchenNumber::grams($gone + $half),
            $isHobKnown ? 'from cooks weighed in this pan' : 'for a hob nobody has measured',
            $pan?->isAssumed === true
                ? 'Name the pan, or weigh the sauce at the end and write "Yield:", to be surer.'
                : 'Weigh the pan at the end and write "Yield:" to be sure.',
        );

        return [...$notes, ...self::alcohol($stages)];
    }

    /**
     * Both models of alcohol where they differ: none is the truth.
     *
     * @param list<CookedStage> $stages
     *
     * @return list<string>
     */
    private static function alcohol(array $stages): array
    {
        $left = [1.0, 1.0];
        foreach ($stages as $stage) {
            if ($stage->with->get(Component::Ethanol) > 0.0) {
                foreach ($stage->steps as $step) {
                    $left = [$left[0] * $step->alcohol[0], $left[1] * $step->alcohol[1]];
                }
            }
        }
        [$least, $most] = [100.0 * min($left), 100.0 * max($left)];

        return $most > 99.5
            ? []
            : [
                sprintf(
                    'Of the alcohol that is cooked %.0f to %.0f %% stays, by the retention table and by distillation: it is never alcohol-free.',
                    $least,
                    $most,
                ),
            ];
    }

    /** @return list<string> what a yield leaves out: its figures take only water to have left */
    private static function besidesWater(Formula $formula, Mixture $left): array
    {
        $parts = [];
        foreach ([[Component::Ethanol, 'alcohol'], [Component::Acetic, 'acetic acid']] as [$component, $name]) {
            $there = $formula->mixed()->get($component);
            $share = $there > 0.0 ? 100.0 * $left->get($component) / $there : 0.0;
            if ($share >= 5.0 && $there >= 0.002 * $formula->mixed()->grams()) {
                $parts[] = sprintf('%.0f %% of the %s', $share, $name);
            }
        }

        return $parts === []
            ? []
            : [
                sprintf(
                    'The yield tells of water only. By its steps about %s leaves too; the figures still hold it.',
                    implode(' and ', $parts),
                ),
            ];
    }
}
