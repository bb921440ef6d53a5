<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Batches\Batch;
use Vinculum\Quantity\Measures;

/** What a person has written of a sauce. */
final readonly class SauceEdit
{
    /**
     * @param list<string> $lines
     * @param float|null   $partMillilitres the vessel that a "part" is
     * @param int|null     $sauce           the sauce it is an edit of, where it is one
     * @param list<string> $method          one step a line
     * @param string|null  $pan             as a cook names it
     */
    public function __construct(
        public string $title,
        public ?string $style,
        public Measures $measures,
        public ?string $yield,
        public array $lines,
        public ?float $partMillilitres = null,
        public ?int $sauce = null,
        public array $method = [],
        public ?string $pan = null,
    ) {}

    public static function asItStands(Sauce $sauce): self
    {
        return new self(
            $sauce->title,
            $sauce->style,
            $sauce->measures,
            $sauce->yield,
            $sauce->texts(),
            $sauce->part_ml,
            $sauce->id,
            $sauce->method ?? [],
            $sauce->pan,
        );
    }

    public static function asKept(Version|Batch $kept): self
    {
        return new self(
            $kept->title,
            $kept->style,
            $kept->measures,
            $kept->yield,
            $kept->lines,
            $kept->part_ml,
            $kept->sauce_id,
            $kept->method ?? [],
            $kept->pan,
        );
    }

    /** @param list<string> $lines */
    public function withLines(array $lines, ?string $yield): self
    {
        return new self(
            $this->title,
            $this->style,
            $this->measures,
            $yield,
            $lines,
            $this->partMillilitres,
            $this->sauce,
            $this->method,
            $this->pan,
        );
    }

    public function of(int $sauce): self
    {
        return new self(
            $this->title,
            $this->style,
            $this->measures,
            $this->yield,
            $this->lines,
            $this->partMillilitres,
            $sauce,
            $this->method,
            $this->pan,
        );
    }
}
