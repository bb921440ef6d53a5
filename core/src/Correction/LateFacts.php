<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Treatment;
use Vinculum\Facts\Facts;
use Vinculum\Ingredient\Ingredient;

/** What goes into a cooked sauce at the end, off the heat (correcting.ini). */
final readonly class LateFacts
{
    public const FILE = 'correcting';
    public const SECTION = 'at-the-end';

    /**
     * @param list<string> $roles first roles
     * @param list<string> $of keys
     */
    public function __construct(public array $roles, public array $of) {}

    /** @return 'now'|'at-the-end'|null when it goes in; null where nothing is cooked */
    public static function moment(Ingredient $ingredient, Treatment $treatment): ?string
    {
        $late = Facts::of(self::class);

        return match (true) {
            !$treatment->isCooked => null,
            in_array($ingredient->roles[0] ?? '', $late->roles, true),
            in_array($ingredient->kind(), $late->of, true) => 'at-the-end',
            default => 'now',
        };
    }
}
