<?php

declare(strict_types=1);

namespace App\Palate;

use App\Database\Setting;
use App\Palate\Tasting as TastingRecord;
use Vinculum\Family\Family;
use Vinculum\Family\FamilyBook;
use Vinculum\Kitchen\AnsweredTaste;
use Vinculum\Kitchen\Liking;
use Vinculum\Palate\Palate;
use Vinculum\Palate\Staircase;
use Vinculum\Palate\Tasting;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;

/**
 * What the kitchen's tastings have taught about the cook: one palate a family, that can be seen, reset and switched
 * off.
 */
final class PalateService implements Liking
{
    private const SWITCH = 'palate.off';
    private const MOST_TASTINGS = 500;

    /** @var array<string, Palate> */
    private array $palates = [];

    /** @var array<string, Staircase>|null */
    private ?array $staircases = null;

    private ?bool $isOn = null;

    public function isOn(): bool
    {
        return $this->isOn ??= Setting::read(self::SWITCH) === null;
    }

    public function switch(bool $on): void
    {
        Setting::write(self::SWITCH, $on ? null : 'yes');
        $this->isOn = $on;
    }

    /** Forgets what was learned of a family: tastings up to now are kept, but count no longer. */
    public function reset(Family $style): void
    {
        $newest = TastingRecord::query()->where('style', $style->key)->max('id');
        Setting::write("palate.reset.{$style->key}", is_numeric($newest) ? (string) $newest : null);
        unset($this->palates[$style->key]);
    }

    /** The family's target moved to where this cook likes it; null while switched off or nothing is learned. */
    public function target(Family $style): ?Target
    {
        $palate = $this->isOn() ? $this->palate($style) : null;

        return $palate === null || $palate->tastings === 0 ? null : $palate->target($style->target);
    }

    public function palate(Family $style): Palate
    {
        return $this->palates[$style->key] ??= Palate::learned($style->target, $this->tastings($style));
    }

    /** @return list<AnsweredTaste> none while switched off */
    public function answers(Family $family): array
    {
        return $this->isOn() ? $this->answersKept($family) : [];
    }

    /** @return list<AnsweredTaste> whether they count or not */
    public function answersKept(Family $family): array
    {
        $since = Setting::read("palate.reset.{$family->key}");

        $answered = TastingRecord::query()->where('style', $family->key)->where('id', '>', (int) $since)
            ->whereNotNull('answer');
        /** @var array<TastingRecord> $records */
        $records = $answered->latest('id')->limit(self::MOST_TASTINGS)->get()->all();

        return self::answered($records);
    }

    /**
     * @param array<TastingRecord> $records
     *
     * @return list<AnsweredTaste>
     */
    public static function answered(array $records): array
    {
        return array_values(array_filter(array_map(
            static fn(TastingRecord $one): ?AnsweredTaste => $one->answered(),
            $records,
        )));
    }

    /** Something was tasted: what was worked out before no longer holds. */
    public function tasted(): void
    {
        $this->palates = [];
    }

    /** @return list<Family> the families that anything was tasted of */
    public function families(): array
    {
        $keys = TastingRecord::query()->whereNotNull('style')->distinct()->pluck('style')->all();

        return array_values(
            array_filter(FamilyBook::all(), static fn(Family $style): bool => in_array($style->key, $keys, true)),
        );
    }

    /** @return list<Tasting> */
    private function tastings(Family $style): array
    {
        $since = Setting::read("palate.reset.{$style->key}");
        $records = TastingRecord::query()->where('style', $style->key)->where('id', '>', (int) $since);
        $tastings = [];
        /** @var TastingRecord $one */
        foreach ($records->latest('tasted_at')->limit(self::MOST_TASTINGS)->get() as $one) {
            $tastings[] = new Tasting($one->steps, $one->scores);
        }

        return $tastings;
    }

    /** How the trainer's answers on an axis stand. */
    public function staircase(Axis $axis): Staircase
    {
        return $this->staircases()[$axis->value];
    }

    /** @return array<string, float> what this cook can tell apart, in steps, by axis, as far as it was trained */
    public function ownSteps(): array
    {
        return array_filter(array_map(static function (Staircase $staircase): ?float {
            $step = $staircase->ownStep();

            return $step === null ? null : round($step, 2);
        }, $this->staircases()));
    }

    /** Somebody answered the trainer, or made it forget. */
    public function trained(): void
    {
        $this->staircases = null;
    }

    /** @return array<string, Staircase> by axis; asked for once in a request */
    private function staircases(): array
    {
        return $this->staircases ??= $this->climbed();
    }

    /** @return array<string, Staircase> */
    private function climbed(): array
    {
        $answers = [];
        /** @var Guess $guess */
        foreach (Guess::query()->whereIn(
            'axis',
            array_column(Axis::cases(), 'value'),
        )->orderBy('id')->get() as $guess) {
            $answers[$guess->axis][] = [$guess->level, $guess->right];
        }

        return Axis::each(static fn(Axis $axis): Staircase => Staircase::after($answers[$axis->value] ?? []));
    }
}
