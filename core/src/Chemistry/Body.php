<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

use Vinculum\Facts\FactsFile;

/** How thick a mixture is and what makes it so. A rough class, not a measurement (common practice). */
final readonly class Body
{
    private const CLASSES = ['thin', 'pouring', 'coating', 'spooning', 'paste'];

    /**
     * @param 'thin'|'pouring'|'coating'|'spooning'|'paste' $class
     * @param 'starch'|'emulsion'|'solids'|'nothing' $from
     * @param float $starchPercentOfWater cornflour basis
     */
    private function __construct(public string $class, public string $from, public float $starchPercentOfWater) {}

    /** Cornflour-equivalent starch as a percentage of the water; zero where there is no water. */
    public static function starchPercentOfWater(Mixture $mixture): float
    {
        $water = $mixture->get(Component::Water);

        return $water > 0.0 ? 100.0 * $mixture->get(Component::Thickening) / $water : 0.0;
    }

    /** How thick a class is, from 0 for thin; null for a word that is none. */
    public static function rank(string $class): ?int
    {
        $rank = array_search($class, self::CLASSES, true);

        return $rank === false ? null : $rank;
    }

    /** @param bool $isEmulsified something in it holds oil and water together */
    public static function of(Mixture $mixture, bool $isEmulsified): self
    {
        $grams = $mixture->grams();
        $starch = self::starchPercentOfWater($mixture);
        if ($grams <= 0.0) {
            return new self('thin', 'nothing', 0.0);
        }
        $undissolved = $mixture->get(Component::Fibre) + 0.15 * max(
            0.0,
            $mixture->get(Component::Protein) - $mixture->get(Component::Solubles),
        )
            + 0.3 * max(0.0, $mixture->get(Component::Starch) - $mixture->get(Component::Thickening));
        $measures = [
            'starch' => $starch,
            'emulsion' => $isEmulsified ? $mixture->percent(Component::Fat) : 0.0,
            'solids' => 100.0 * $undissolved / $grams + 0.05 * max(0.0, Solids::dissolvedPercent($mixture) - 25.0),
        ];
        [$best, $from] = [0, 'nothing'];
        foreach ($measures as $cause => $measure) {
            $rank = count(
                array_filter(
                    FactsFile::named('body')[$cause]->numbers('edges'),
                    static fn(float $edge): bool => $measure >= $edge,
                ),
            );
            if ($rank > $best) {
                [$best, $from] = [$rank, $cause];
            }
        }

        return new self(self::CLASSES[$best], $from, $starch);
    }
}
