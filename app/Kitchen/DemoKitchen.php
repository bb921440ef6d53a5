<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Models\Sauce;
use Vinculum\Exchange\RecipeLine;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Quantity\Measures;

/** The sauces of a made-up towpath galley, for a first look round. */
final readonly class DemoKitchen
{
    public function __construct(private Shelf $shelf) {}

    /** @return int how many sauces were put on the shelf; none when it already held some */
    public function load(): int
    {
        if (Sauce::withTrashed()->exists()) {
            return 0;
        }
        $files = glob(database_path('demo/*.txt')) ?: [];
        foreach (array_reverse($files) as $file) {
            $recipe = RecipeReader::read((string) file_get_contents($file));
            $lines = array_map(static fn(RecipeLine $line): string => $line->text, $recipe->lines);
            $this->shelf->add(new SauceEdit($recipe->title ?? '', $recipe->style, Measures::Metric, $recipe->yield, $lines));
        }

        return count($files);
    }
}
