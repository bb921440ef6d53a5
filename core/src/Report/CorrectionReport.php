<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\AssumedPan;
use Vinculum\Cooking\Heat;
use Vinculum\Correction\Addition;
use Vinculum\Correction\Correction;
use Vinculum\Correction\LateFacts;
use Vinculum\Sensory\Aim;

/** A way to mend a batch: what to add, half of it first, and where that leaves it. */
final readonly class CorrectionReport extends Report
{
    public const INLINE = ['mended'];

    /**
     * @param list<array{ingredient: string, name: string, grams: float, measure: string, line: string, first_dose_grams: float, first_dose: string, when: 'now'|'at-the-end'|null}> $additions when it goes into what is cooked
     * @param list<string> $sideEffects
     * @param list<string> $allergensAdded
     * @param string $why in half a sentence
     * @param array{kind: 'reduce'|'whisk'|'strain'|'rest'|'drain'|'second-batch', minutes: array{float, float}|null, pan_reads_grams: float|null, text: string}|null $does instead of, or beside, adding
     */
    private function __construct(
        public array $additions,
        public MendedBatchReport $mended,
        public array $sideEffects,
        public array $allergensAdded,
        public string $why,
        public ?array $does,
    ) {}

    public static function of(Correction $correction, Aim $aim, Balance $balance): self
    {
        return new self(
            additions: array_map(static fn(Addition $one): array => [
                'ingredient' => $one->ingredient->key,
                'name' => $one->ingredient->name,
                'grams' => $one->grams,
                'measure' => $one->measure->words(),
                'line' => $one->measure->of($one->ingredient->name),
                'first_dose_grams' => $one->firstDoseGrams,
                'first_dose' => $one->firstDose,
                'when' => LateFacts::moment($one->ingredient, $balance->treatment),
            ], $correction->additions),
            mended: MendedBatchReport::of($correction, $aim, $balance),
            sideEffects: $correction->sideEffects,
            allergensAdded: $correction->allergensAdded,
            why: $correction->why,
            does: self::does($correction, $balance),
        );
    }

    /**
     * What is done; of a reduction how long it takes in the pan that a cook would take for so much.
     *
     * @return array{kind: 'reduce'|'whisk'|'strain'|'rest'|'drain'|'second-batch', minutes: array{float, float}|null, pan_reads_grams: float|null, text: string}|null
     */
    private static function does(Correction $correction, Balance $balance): ?array
    {
        $does = $correction->does;
        if ($does === null) {
            return null;
        }
        $told = [
            'kind' => $does->kind,
            'minutes' => null,
            'pan_reads_grams' => $does->panReadsGrams,
            'text' => $does->text,
        ];
        if ($does->kind !== 'reduce' || $does->panReadsGrams === null) {
            return $told;
        }
        $pan = AssumedPan::of(Volume::millilitres($balance->mixture));
        $minutes = Heat::inWords($does->text)->minutes(
            $balance->mixture->grams() - $does->panReadsGrams,
            (float) $pan->squareMetres,
        );

        return [
            ...$told,
            'minutes' => [$minutes['low'], $minutes['high']],
            'text' => sprintf(
                '%s In a pan of %d cm that takes about %d to %d minutes, and the sauce should then weigh %d g.',
                $does->text,
                round((float) $pan->centimetres()),
                round($minutes['low']),
                round($minutes['high']),
                round($does->panReadsGrams),
            ),
        ];
    }
}
