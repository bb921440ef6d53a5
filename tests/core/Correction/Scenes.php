<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use Tests\core\Family\Classics;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Correction;
use Vinculum\Correction\Tongue;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Work;

/** Tasting scenes: what the tongue says of a classic, and what a cook would do (data/scenes.txt). */
final readonly class Scenes
{
    /** What may always go along, for it stands in every kitchen. */
    private const BASICS = ['water', 'white-sugar', 'salt'];
    private const BASIC_WORKS = ['acids', 'oils'];

    /**
     * @param list<string> $wanted ingredient keys, one of which is in the answer
     * @param list<string> $refused none of which is
     */
    private function __construct(
        public string $name,
        private Balance $balance,
        private string $style,
        private string $word,
        private string $strength,
        private array $wanted,
        private array $refused,
        private float $least,
        private float $most,
    ) {}

    /** @return iterable<string, self> */
    public static function of(string $file): iterable
    {
        $sauces = [];
        foreach (Classics::all() as [$family, $title, $balance]) {
            $sauces[$title] = [$family, $balance];
        }
        foreach (file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            if (str_starts_with($line, ';')) {
                continue;
            }
            [$title, $said, $wanted, $refused, $span] = array_map(trim(...), explode(' | ', $line));
            [$least, $most] = array_map(floatval(...), explode('-', $span));
            $words = explode(' ', $said);
            $word = (string) array_pop($words);
            [$family, $balance] = $sauces[$title] ?? throw new \RuntimeException("No classic is called {$title}.");
            yield "{$title}: {$said}" => new self(
                "{$title}: {$said}",
                $balance,
                $family,
                $word,
                match (implode(' ', $words)) {
                    'a little' => 'little',
                    'far' => 'far',
                    '' => 'clear',
                    default => throw new \RuntimeException("Nobody knows how strong this is: {$said}."),
                },
                self::keys($wanted),
                self::keys($refused),
                $least,
                $most,
            );
        }
    }

    public function advice(): Advice
    {
        $target = Tongue::saying([['complaint' => $this->word, 'strength' => $this->strength]])
            ->target($this->balance->taste);

        return (new Adviser(Weighed::balance($this->balance, $this->style)))
            ->toReach($target ?? throw new \RuntimeException('The tongue says nothing.'), null);
    }

    /** Why a cook would not follow an answer; null where one would. */
    public function objection(Correction $correction): ?string
    {
        $inIt = array_map(
            static fn($line): ?string => $line->ingredient?->kind(),
            $this->balance->formula->lines,
        );
        $keys = [];
        foreach ($correction->additions as $addition) {
            $kind = $addition->ingredient->kind();
            $keys[] = $kind;
            if (in_array($kind, $this->refused, true)) {
                return "{$kind} must not go in";
            }
            if (
                !in_array($kind, [...$inIt, ...self::BASICS, ...$this->wanted], true)
                && array_intersect(self::BASIC_WORKS, Work::of($kind)) === []
            ) {
                return "{$kind} is neither in the recipe nor a basic";
            }
        }
        if (array_intersect($keys, $this->wanted) === []) {
            return implode(', ', $keys) . ' without ' . implode(' or ', $this->wanted);
        }
        $share = 100.0 * $correction->addedGrams / $this->balance->mixture->grams();

        return $share < $this->least || $share > $this->most
            ? sprintf('%.2f g in 100 g, not %s to %s', $share, $this->least, $this->most)
            : null;
    }

    /** @return list<string> */
    private static function keys(string $list): array
    {
        return array_map(
            static fn(string $name): string => Catalogue::shipped()->has($name)
                ? $name
                : throw new \RuntimeException("{$name} is no ingredient."),
            array_map(trim(...), explode(',', $list)),
        );
    }
}
