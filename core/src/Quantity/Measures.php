<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

/** Which country's cups and spoons an unmarked "cup" means. */
enum Measures: string
{
    case Us = 'us';
    case Metric = 'metric';
    case Imperial = 'imperial';
    case Australian = 'au';
    case Japanese = 'jp';
    case British = 'uk';

    /** The system whose cup and spoon it uses. */
    public function spoons(): self
    {
        return $this === self::British ? self::Metric : $this;
    }

    /** @return 'us'|'uk'|'au'|null the country whose words it uses; null where none is said */
    public function country(): ?string
    {
        return match ($this) {
            self::Us => 'us',
            self::British, self::Imperial => 'uk',
            self::Australian => 'au',
            self::Metric, self::Japanese => null,
        };
    }

    public function title(): string
    {
        return match ($this) {
            self::Us => 'US cups and spoons',
            self::Metric => 'Metric cups and spoons',
            self::Imperial => 'Imperial pints, metric spoons',
            self::Australian => 'Australian cups and spoons',
            self::Japanese => 'Japanese cups and spoons',
            self::British => 'British words, metric spoons',
        };
    }
}
