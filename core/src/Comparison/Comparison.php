<?php

declare(strict_types=1);

namespace Vinculum\Comparison;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;

/** What changed between two formulas, in words: "½ tbsp more vinegar, heat up 1 step". */
final readonly class Comparison
{
    /** An amount is changed when it differs by more than this share. */
    private const SAME = 0.005;
    private const NOTICED_STEPS = 0.5;
    private const MOST_SAID = 4;

    /**
     * @param list<LineChange> $lines in the order of the later formula, what is gone after it
     * @param array<value-of<Axis>, float> $steps how far each axis moved
     * @param list<string> $says the lines that changed, the largest first, then the axes that moved
     */
    private function __construct(public array $lines, public array $steps, public array $says) {}

    /** @param bool $isOneSauce they are states of one sauce: a line is known by its own number where something else stands in it */
    public static function of(Formula $before, Formula $after, Spoons $spoons, bool $isOneSauce = false): self
    {
        $lines = self::lines($before, $after, $spoons, $isOneSauce);
        $steps = Balance::of($before)->taste->stepsTo(Balance::of($after)->taste);

        return new self($lines, $steps, [...self::saysLines($lines), ...self::saysAxes($steps)]);
    }

    /** All of it in one line of text; "nothing" where the two are the same. */
    public function words(): string
    {
        if ($this->says === []) {
            return 'nothing that changes the taste';
        }
        $more = count($this->says) - self::MOST_SAID - 1;

        return implode(
            ', ',
            array_slice($this->says, 0, $more > 0 ? self::MOST_SAID : null),
        ) . ($more > 0 ? ', and ' . ($more + 1) . ' more' : '');
    }

    /** @return list<LineChange> */
    private static function lines(Formula $before, Formula $after, Spoons $spoons, bool $isOneSauce): array
    {
        $new = self::byIdentity($after);
        $old = self::byIdentity($before);
        $gone = array_diff_key($old, $new);
        $changes = [];
        foreach ($new as $identity => $line) {
            $was = isset($old[$identity]) || !$isOneSauce ? $identity : self::stoodThere($line, $gone) ?? $identity;
            $changes[] = self::change($old[$was] ?? null, $line, $spoons);
            unset($gone[$was]);
        }
        foreach ($gone as $line) {
            $changes[] = self::change($line, null, $spoons);
        }

        return $changes;
    }

    /**
     * Which of the lines that are gone stood where something else stands now.
     *
     * @param array<string, ResolvedLine> $gone by identity
     */
    private static function stoodThere(ResolvedLine $line, array $gone): ?string
    {
        foreach ($gone as $identity => $one) {
            if ($one->source !== null && $one->source->id === $line->source?->id && $one->part === $line->part) {
                return $identity;
            }
        }

        return null;
    }

    /**
     * Lines by what they are: the ingredient and how many of it came before, so that the second salt meets the second
     * salt.
     *
     * @return array<string, ResolvedLine>
     */
    private static function byIdentity(Formula $formula): array
    {
        [$lines, $seen] = [[], []];
        foreach ($formula->lines as $line) {
            if ($line->status === LineStatus::Heading) {
                continue;
            }
            $name = $line->ingredient->key ?? '"' . mb_strtolower(trim($line->written->text));
            $seen[$name] = ($seen[$name] ?? 0) + 1;
            $lines["{$name} {$seen[$name]}"] = $line;
        }

        return $lines;
    }

    private static function change(?ResolvedLine $before, ?ResolvedLine $after, Spoons $spoons): LineChange
    {
        $line = $after ?? $before;
        assert($line !== null);
        $ingredient = $line->ingredient;
        $name = self::name($line);
        [$was, $is] = [$before->grams->value ?? 0.0, $after->grams->value ?? 0.0];
        $says = match (true) {
            $before === null => "{$name} is new",
            $after === null => "no {$name} any more",
            self::name($before) !== $name => "{$name} instead of " . self::name($before),
            abs($is - $was) <= self::SAME * max($was, $is) => null,
            default => self::amount(abs($is - $was), $line, $spoons) . ($is > $was ? ' more ' : ' less ') . $name,
        };

        return new LineChange($ingredient, $before?->written->text, $after?->written->text, $was, $is, $says);
    }

    private static function name(ResolvedLine $line): string
    {
        return $line->ingredient === null
            ? '"' . mb_strimwidth(trim($line->written->text), 0, 40, '…') . '"'
            : mb_strtolower($line->ingredient->name);
    }

    private static function amount(float $grams, ResolvedLine $line, Spoons $spoons): string
    {
        $ingredient = $line->ingredient;
        $isWeighed = $line->written->measured?->unit?->grams !== null;
        if ($ingredient === null || $isWeighed) {
            return KitchenNumber::grams($grams);
        }

        return $ingredient->portions->measure($grams, $spoons)->beforeItsName();
    }

    /**
     * @param list<LineChange> $lines
     *
     * @return list<string>
     */
    private static function saysLines(array $lines): array
    {
        $changed = array_filter($lines, static fn(LineChange $line): bool => $line->says !== null);
        $relative = static fn(LineChange $line): float => abs($line->gramsAfter - $line->gramsBefore) / max(
            $line->gramsAfter,
            $line->gramsBefore,
            1e-9,
        );
        usort($changed, static fn(LineChange $a, LineChange $b): int => $relative($b) <=> $relative($a));

        return array_map(static fn(LineChange $line): string => (string) $line->says, $changed);
    }

    /**
     * @param array<string, float> $steps
     *
     * @return list<string>
     */
    private static function saysAxes(array $steps): array
    {
        $says = [];
        foreach ($steps as $axis => $moved) {
            if (abs($moved) >= self::NOTICED_STEPS) {
                $size = KitchenNumber::plain(abs($moved), 1);
                $says[] = Axis::from($axis)->value
                    . ($moved > 0.0 ? ' up ' : ' down ')
                    . $size
                    . ($size === '1' ? ' step' : ' steps');
            }
        }

        return $says;
    }
}
