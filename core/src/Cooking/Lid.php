<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\Facts;

/** Where the lid is. It stays where it was put until it is said to be elsewhere. */
enum Lid
{
    case NotSaid;
    case Off;
    case Ajar;
    case On;

    public static function saidIn(string $text): self
    {
        $says = static fn(string $row): bool => MethodWords::areIn($text, $row);

        return match (true) {
            $text === '' => self::NotSaid,
            $says('uncovered') || self::isDenied($text) => self::Off,
            $says('ajar') => self::Ajar,
            $says('covered') && !$says('not-a-lid') => self::On,
            default => self::NotSaid,
        };
    }

    /** "no lid on", "do not put a lid on", "never cover it", "without covering". */
    private static function isDenied(string $text): bool
    {
        $before = "(?:no|not|don't|never|without|avoid)";

        return preg_match("/\b{$before}\s+(?:\pL+\s+){0,3}?(?:lid|cover(?:ing|ed)?)\b/iu", mb_scrub($text)) === 1;
    }

    public function after(self $before): self
    {
        return $this === self::NotSaid ? $before : $this;
    }

    /** Whether it is on, as the contract says it; null where nobody said. */
    public function isOn(): ?bool
    {
        return match ($this) {
            self::NotSaid => null,
            self::Off => false,
            self::Ajar, self::On => true,
        };
    }

    /** The share of the water leaving an open pan that leaves this one; under a lid ajar about half of what a lid keeps. */
    public function openShare(): float
    {
        $under = Facts::of(CookingFacts::class)->evaporation->underALid;

        return match ($this) {
            self::NotSaid, self::Off => 1.0,
            self::Ajar => (1.0 + $under) / 2.0,
            self::On => $under,
        };
    }
}
