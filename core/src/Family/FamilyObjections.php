<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Balance\Balance;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Facts\Words;
use Vinculum\Ingredient\Work;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;

/**
 * What speaks against a family, whatever else is in a sauce: it lacks the family's own thing (no cranberry sauce without
 * cranberries), stands far outside its windows (people write down what they liked), is made of what no reference of it
 * holds, or does not ferment. In logarithms of a likelihood; the weights were fitted on inventions of our own.
 */
final readonly class FamilyObjections
{
    private const WITHOUT_ITS_OWN = 3.0;
    private const FAR_OFF = 2.0;
    private const UNTOLD = 5.0;
    /** Of a whole sauce that no reference holds; where references hold other things that do the same work. */
    private const FOREIGN = 8.0;
    private const AKIN = 3.0;
    /** Steps beyond a window. */
    private const FAR = 5.0;
    /** What thins every sauce belongs to each. */
    private const COMMON = 'water';

    /**
     * @param list<string> $things keys of all that is in it
     * @param list<string> $works of all that is in it
     * @param array<string, float> $shares of the whole, by ingredient
     * @param array<string, array<string, float>> $holders references that hold an ingredient, by family
     * @param array<string, array<string, float>> $akin those that hold what does the same work
     */
    private function __construct(
        private Balance $balance,
        private Makeup $makeup,
        private string $said,
        private array $things,
        private array $works,
        private array $shares,
        private array $holders,
        private array $akin,
    ) {}

    public static function to(Balance $balance, Makeup $makeup, string $title): self
    {
        $heldBy = FactsFile::named('held-by');
        $holders = static fn(string $feature): array => isset($heldBy[$feature])
            ? $heldBy[$feature]->amounts('of')
            : [];
        $whole = max(1.0, array_sum($makeup->ingredients));
        $ingredients = array_diff(array_keys($makeup->ingredients), [self::COMMON]);
        $works = [];
        foreach ($makeup->things() as $thing) {
            $works[$thing] = Work::of($thing);
        }
        $akin = [];
        foreach ($ingredients as $ingredient) {
            $akin[$ingredient] = array_merge([], ...array_map(
                static fn(string $work): array => $holders("work {$work}"),
                $works[$ingredient],
            ));
        }

        return new self(
            $balance,
            $makeup,
            $title . ' ' . implode(' ', $balance->treatment->said),
            array_keys($works),
            array_merge(...array_values($works)),
            array_map(static fn(float $share): float => $share / $whole, $makeup->ingredients),
            array_combine($ingredients, array_map($holders, $ingredients)),
            $akin,
        );
    }

    /** @param Row $family of styles.ini */
    public function against(Row $family): float
    {
        $identity = FamilyIdentity::of($family->key);
        $lacksItsOwn = $identity->ingredients !== []
            && array_intersect($identity->ingredients, $this->things) === []
            && array_intersect($identity->works, $this->works) === [];

        return ($lacksItsOwn ? self::WITHOUT_ITS_OWN : 0.0)
            + self::FAR_OFF * $this->farOff(FamilyBook::get($family->key)->target)
            + ($this->isTold($family) ? 0.0 : self::UNTOLD)
            + $this->foreign($family->key);
    }

    private function isTold(Row $family): bool
    {
        return $family->list('told') === []
            || $this->balance->treatment->isFermented
            || Words::areIn($this->said, $family->list('told'))
            || array_intersect($family->list('holds'), $this->things) !== [];
    }

    /** On how many axes it stands far outside. */
    private function farOff(Target $target): int
    {
        $far = 0;
        foreach (Axis::cases() as $axis) {
            $off = in_array($axis, $this->makeup->silent, true)
                ? 0.0
                : $target->window($axis)?->off($axis, $this->balance->taste->on($axis)) ?? 0.0;
            $far += abs($off) > self::FAR ? 1 : 0;
        }

        return $far;
    }

    /** By how much of it no reference of a family holds. */
    private function foreign(string $family): float
    {
        $against = 0.0;
        foreach ($this->holders as $ingredient => $held) {
            $against += isset($held[$family])
                ? 0.0
                : $this->shares[$ingredient] * (isset($this->akin[$ingredient][$family]) ? self::AKIN : self::FOREIGN);
        }

        return $against;
    }
}
