<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\FactsFile;

/** An end of thickness that a method tells ("until sticky", "until it leaves a trail"), and the water it asks to leave. */
final readonly class ThickEnd
{
    /** g of cornflour in 100 g from which it is starch that thickens. */
    private const THICKENED_FROM = 0.3;
    /** g of protein in 100 g under which it is a pulp. */
    private const PROTEIN_UNDER = 2.5;
    /** g of fat in 100 g from which it is an emulsion. */
    private const FAT_FROM = 20.0;

    /**
     * @param float|null $solids g of all that is not water in 100 g at that end; null where a share of the water is told
     * @param float $lost share of the water that leaves, where that is told
     * @param float $doubt one relative standard deviation of the water that leaves
     */
    private function __construct(public ?float $solids, public float $lost, public float $doubt) {}

    public static function in(string $text): ?self
    {
        $until = preg_match('/\b(?:until|till|to|so that|it should|should be|becoming|turns?)\b.*$/iu', $text, $found) === 1
            ? $found[0]
            : '';
        foreach ($until === '' ? [] : FactsFile::named('ends') as $row) {
            if ($row->isSaidIn($until, 'words')) {
                return new self(
                    $row->numberOrNull('solids'),
                    $row->numberOrNull('lost') ?? 0.0,
                    $row->number('doubt'),
                );
            }
        }

        return null;
    }

    /** Grams of water that leave this mixture on the way; null where something else thickens it, or it is there already. */
    public function waterLost(Mixture $pot): ?float
    {
        $grams = $pot->grams();
        $water = $pot->get(Component::Water);
        if (
            $grams <= 0.0
            || 100.0 * $pot->get(Component::Thickening) > self::THICKENED_FROM * $grams
            || $pot->percent(Component::Fat) > self::FAT_FROM
        ) {
            return null;
        }
        if ($this->solids === null) {
            // egg, nuts and beans thicken without losing water
            return $pot->percent(Component::Protein) < self::PROTEIN_UNDER ? $this->lost * $water : null;
        }
        $lost = $grams - 100.0 * ($grams - $water) / $this->solids;

        return $lost > 0.0 ? $lost : null;
    }
}
