<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** What a step does to a sauce: the first of its words that says so. */
final readonly class StepDeed
{
    /** Rows of words by the kind of step that they tell; of words that stand at one place the earlier row wins. */
    private const ROWS = [
        'cools' => 'cool',
        'strains' => 'strain',
        'blends' => 'blend',
        'rests' => 'rest',
        'cooks' => 'heat',
    ];
    private const LONG_MINUTES = 720.0;
    /** "Melt the butter, add the milk and simmer for 10 minutes": what begins in fat ends at an open simmer. */
    private const AND_SIMMERS = '/(?:,|\band|\bthen)\s+(?:then\s+)?(?:\w+ly\s+)?(?:let\s+(?:it\s+)?|leave\s+(?:it\s+)?to\s+)?(?:simmer|boil|bubble|reduce)\b/iu';

    /** @param 'do'|'heat'|'reduce'|'rest'|'cool'|'strain'|'blend' $kind */
    private function __construct(public string $kind, public ?Heat $heat) {}

    /**
     * @param string $tags what its tags say; they win
     * @param bool $isToAnEnd it says how much of the volume is left
     * @param array{float, float}|null $minutes
     */
    public static function of(string $text, string $tags, bool $isToAnEnd, ?array $minutes): self
    {
        $tagged = Heat::namedIn($tags);
        if ($tagged !== null) {
            return new self('reduce', $tagged);
        }
        if (MethodWords::areIn($text, 'closed')) {
            return new self('heat', null);
        }
        if (preg_match('/\b(?:leave|stand|rest|sit)\b[^.;]{0,60}\b(?:off|away from) the heat\b/iu', $text) === 1) {
            return new self('rest', null);
        }
        $plain = MethodWords::takenFrom(MethodWords::takenFrom($text, 'not-heating'), 'not-boiling');
        $heat = Heat::namedIn($plain);
        if ($heat === null && $isToAnEnd && preg_match('/\breduc|\bboil|\bevaporat|\bconcentrat/iu', $text) === 1) {
            $heat = Heat::usual();
        }
        [$kind, $place] = ['do', PHP_INT_MAX];
        foreach (self::ROWS as $row => $one) {
            $at = MethodWords::place($plain, $row);
            if ($at !== null && $at < $place) {
                [$kind, $place] = [$one, $at];
            }
        }
        $boils = $heat === null ? null : MethodWords::place($plain, 'heats');
        $isSteeped = preg_match('/\b(?:steep|infuse)/iu', $plain) === 1 && $kind === 'rest';
        if ($heat !== null && !$isSteeped && ($isToAnEnd || ($boils ?? 0) <= $place)) {
            return new self('reduce', $heat);
        }
        if ($heat !== null && $kind === 'heat' && preg_match(self::AND_SIMMERS, substr($plain, $place)) === 1) {
            return new self('reduce', $heat);
        }
        if ($kind === 'rest' && MethodWords::place($plain, 'cools') !== null) {
            $kind = 'cool';
        }
        if ($kind === 'do' && $minutes !== null && $minutes[0] >= self::LONG_MINUTES) {
            $kind = 'rest';
        }

        return new self($kind, null);
    }
}
