<?php

declare(strict_types=1);

namespace App\Kitchen;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Contract\BalanceShape;
use Vinculum\Correction\Counsel;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Style\StyleBook;
use Vinculum\Style\StyleFamily;
use Vinculum\Taste\Target;

/** Asks the core where an edit stands. */
final readonly class Weighing
{
    public function __construct(private Pantry $pantry) {}

    public function catalogue(): Catalogue
    {
        return $this->pantry->catalogue();
    }

    public function balance(SauceEdit $edit): Balance
    {
        return Balance::of(Formula::fromTexts($edit->lines, $this->catalogue(), $edit->measures, $edit->yield));
    }

    /** @return list<string> what a correction may add when the cook names nothing: the style's usual things, as far as they are there */
    public function usualAdditions(SauceEdit $edit): array
    {
        return $this->pantry->usable(Counsel::usual($this->style($edit)));
    }

    /** A liked batch as a target; null where there is none, or nothing in it counts. */
    public function targetOf(?SauceEdit $liked): ?Target
    {
        $balance = $liked === null ? null : $this->balance($liked);

        return $balance === null || $balance->mixture->grams() <= 0.0 ? null : Target::around($balance->taste);
    }

    public function style(SauceEdit $edit): ?StyleFamily
    {
        return $edit->style !== null && StyleBook::has($edit->style) ? StyleBook::get($edit->style) : null;
    }

    /** @return array<string, mixed> the balance as the public contract shapes it */
    public function report(SauceEdit $edit): array
    {
        return BalanceShape::of($this->balance($edit), $edit->title === '' ? null : $edit->title, $this->style($edit), $edit->measures);
    }

    /** @return array{axes: array<string, array<string, mixed>>, distance: float|null} what the shelf shows of a sauce */
    public function standing(SauceEdit $edit): array
    {
        $balance = $this->balance($edit);
        $target = $this->style($edit)?->target;

        return ['axes' => BalanceShape::axes($balance->axes, $target), 'distance' => $target === null ? null : round($target->distance($balance->taste), 3)];
    }
}
