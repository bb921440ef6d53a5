<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\NameWords;
use Vinculum\Recipe\Parser\Counts;

/**
 * Ingredient lines made by a grammar of their own, which shares nothing with the one that reads them: amounts, names of
 * the catalogue, and ways to put them into a line. What each line means is known because it was made from it.
 */
final class MadeLines
{
    /** An amount, and the same in another unit. */
    private const AMOUNTS = [
        '200 g' => '7 oz', '1 kg' => '2.2 lb', '2 tbsp' => '30 ml', '½ tsp' => '2.5 ml', '1 1/2 cups' => '355 ml', '1½ cups' => '355 ml',
        '0.5 l' => '500 ml', '250ml' => '1 cup', '2 oz' => '57 g', '1 lb' => '450 g', 'three tablespoons' => '45 ml', 'half a cup' => '120 ml',
        'a cup and a half' => '355 ml', 'two thirds of a cup' => '160 ml', '3-4 tbsp' => '50 ml', '2 to 3 tsp' => '12 ml', 'a pinch' => '',
        'a dash' => '', 'a splash' => '', '1 heaped tsp' => '', '1 scant tbsp' => '', '2 × 100 g' => '7 oz', '1,5 kg' => '3.3 lb',
        '1.25 l' => '42 fl oz', '100 grams' => '3.5 oz', '4 fl oz' => '118 ml', 'three fourths of a cup' => '180 ml', 'a quarter cup' => '60 ml',
        '1 tbsp + 1 tsp' => '20 ml', '¾ cup' => '177 ml',
    ];
    /** A: the amount, F: the same in another unit, N: the name. */
    private const OF_ONE = [
        'A N', 'A of N', 'N, A', 'N: A', 'N - A', 'N A', 'N (A)', '• A N', '- A N', 'a) A N', '<li>A N</li>', '**A** N', 'A N*', 'A N, peeled',
        'A N (optional)', 'A N, divided', 'about A N', 'A N ($1.20)', '[A N](https://example.org/n)', 'A fresh N', 'A N, well rinsed',
        'A good-quality N', 'A N for serving', 'A N, see note 2', 'A N, at room temperature', 'A N plus more to taste', 'A N, or to taste',
        'at least A N', 'A of your favourite N', 'N — A', 'N ..... A', "A\u{A0}N", 'A N (see notes)', 'A N (F)', 'A (F) N', 'A / F N', 'A/F N',
        'N A (F)', '| N | A |', 'so we are going in with A of N', 'next up, A N', 'A N.', 'A N;', 'A N,', '☐ A N', 'A N [lock]',
        'A N, plus extra for the pan', 'For the pot: A N', 'A N – rinsed', 'A N, any brand', 'A N to finish', 'A best-quality N', 'N (A / F)',
        'Optional: A N', 'A N, if you like', 'A N (about F)', 'A N, or more as needed', 'plus A N', '* A N', 'A N (not the cheap kind)',
        'A N, peeled and chopped (F)', 'A N, skinned & diced (about F)', 'A N, peeled, trimmed and finely sliced (F)',
        'A peeled and cored N', 'A washed and trimmed N', 'A rinsed, peeled and finely sliced N',
    ];
    /** What may go in instead of the first. */
    private const OF_A_CHOICE = [
        'A N (M works too)', 'A N (M will do)', 'A N (M is fine too)', 'A N (or M)', 'A N, M works too', 'A N, peeled (M if you like)', 'A N or M',
        'A N (M if you prefer)', 'N (M will do), A', 'A N - M works just as well', 'A N (F; M will do)',
    ];
    private const OF_TWO = [
        'A N and B M', 'A N, B M', 'A N + B M', 'A N & B M', 'A N; B M', 'A N plus B M', 'A N with B M', 'A N, and B M', 'A of N and B of M',
        'A N mixed with B M', 'A N dissolved in B M', 'A N | B M', 'A N • B M', 'N A, M B', 'N: A, M: B', 'A N (F) and B M', 'N and M', 'N, M',
        'N & M to taste', 'A each N and M', 'N and M, A each', 'N & M (A each)', 'equal parts N and M', '3:1 N and M', '2 parts N to 1 part M',
        'A N and M to taste', 'A N and the same of M', 'a pinch of N and M', 'a pinch each of N and M', 'N, B M',
    ];
    private const OF_THREE = [
        'A N, B M and C O', 'A N, B M, C O', 'A N / B M / C O', 'A N + B M + C O', 'N, M and O', 'N, M, O', 'A each N, M and O', 'N, M, O - A each',
        'equal parts N, M and O', '2:1:1 N, M, O', 'N, M, C O',
    ];

    private Randomizer $dice;

    /** @var list<array{string, string}> names with the ingredient that each means */
    private array $names;

    /** @var array<string, true> */
    private array $known;

    public function __construct(int $seed)
    {
        $this->dice = new Randomizer(new Mt19937($seed));
        $this->names = self::everyName();
        $this->known = array_fill_keys(
            array_map(static fn(array $one): string => implode(' ', NameWords::of($one[1])), $this->names),
            true,
        );
    }

    /**
     * @return iterable<array{string, list<array{string, string, string|null}>}> a line, and what goes in: ingredient, its
     *     name, and the amount as it is written first; null where it goes in to taste
     */
    public function ofOne(): iterable
    {
        foreach ($this->names as [$key, $name]) {
            for ($draw = 0; $draw < 3; ++$draw) {
                [$amount, $form] = $this->amount();
                $way = $this->way(self::OF_ONE, $form);
                // what is cut is more of it in a cup: how much is then not known by construction
                $way = preg_match('/\b(?:cups?|l|ml|fl oz|tbsps?|tsps?|\w*spoons?|\w*spoonfuls?)\b|\dml/', $amount) === 1
                    ? (string) preg_replace('/\b(?:chopped|diced|finely sliced)\b/', 'trimmed', $way)
                    : $way;
                // "fresh tomato and vegetable juice" may be of fresh tomato: what it means is then not known by construction
                $words = NameWords::of("fresh {$name}");
                for ($said = 2; $said <= count($words); ++$said) {
                    $isOther = isset($this->known[implode(' ', array_slice($words, 0, $said))]);
                    $way = $isOther ? str_replace('fresh N', 'N', $way) : $way;
                }
                yield [self::filled($way, ['A' => $amount, 'F' => $form, 'N' => $name]), [[$key, $name, $amount]]];
            }
        }
    }

    /** @return iterable<array{string, list<array{string, string, string|null}>}> as ofOne(), with a choice that does not go in */
    public function ofChoices(int $lines): iterable
    {
        for ($line = 0; $line < $lines; ++$line) {
            [$thing, $other] = $this->things(['N', 'M']);
            [$amount, $form] = $this->amount();
            $with = ['A' => $amount, 'F' => $form, 'N' => $thing[1], 'M' => $other[1]];
            $way = $this->way(self::OF_A_CHOICE, $form);
            // "annatto or sesame oil" may be of annatto oil: what it means is then not known by construction
            $tails = array_slice(explode(' ', $other[1]), 1);
            $shared = implode(' ', NameWords::of("{$thing[1]} " . implode(' ', $tails)));
            $way = $tails !== [] && isset($this->known[$shared]) ? str_replace('N or M', 'N (or M)', $way) : $way;
            yield [self::filled($way, $with), [[...$thing, $amount]]];
        }
    }

    /** @return iterable<array{string, list<array{string, string, string|null}>}> as ofOne() */
    public function ofSeveral(int $lines): iterable
    {
        for ($line = 0; $line < $lines; ++$line) {
            $isThree = $line % 3 === 0;
            $things = array_combine(['N', 'M', 'O'], $this->things(['N', 'M', 'O']));
            [$first, $form] = $this->amount();
            $amounts = ['N' => $first, 'M' => $this->amount()[0], 'O' => $this->amount()[0]];
            $way = $this->way($isThree ? self::OF_THREE : self::OF_TWO, $form);
            $text = self::filled($way, [
                'A' => $amounts['N'], 'B' => $amounts['M'], 'C' => $amounts['O'], 'F' => $form,
                'N' => $things['N'][1], 'M' => $things['M'][1], 'O' => $things['O'][1],
            ]);
            $truth = [];
            foreach ($isThree ? ['N', 'M', 'O'] : ['N', 'M'] as $letter) {
                $truth[] = [...$things[$letter], self::amountOf($letter, $way, $amounts)];
            }
            yield [$text, $truth];
        }
    }

    /**
     * What a way says of one of its names.
     *
     * @param array<string, string> $amounts
     */
    private static function amountOf(string $letter, string $way, array $amounts): ?string
    {
        $own = ['N' => 'A', 'M' => 'B', 'O' => 'C'][$letter];
        $shares = match (true) {
            str_starts_with($way, 'equal') => ['N' => 1, 'M' => 1, 'O' => 1],
            str_starts_with($way, '3:1') => ['N' => 3, 'M' => 1],
            str_starts_with($way, '2:1:1') => ['N' => 2, 'M' => 1, 'O' => 1],
            str_starts_with($way, '2 parts') => ['N' => 2, 'M' => 1],
            default => [],
        };

        return match (true) {
            isset($shares[$letter]) => "{$shares[$letter]} part",
            str_starts_with($way, 'a pinch') => 'a pinch',
            str_contains($way, 'A each'), str_contains($way, 'the same of') => $amounts['N'],
            str_contains($way, $own) => $amounts[$letter],
            default => null,
        };
    }

    /**
     * @param list<string> $letters
     *
     * @return list<array{string, string}> a thing for each, none twice
     */
    private function things(array $letters): array
    {
        $things = [];
        while (count($things) < count($letters)) {
            $drawn = $this->names[$this->dice->getInt(0, count($this->names) - 1)];
            if (!in_array($drawn[0], array_column($things, 0), true) && !self::joinsTwo($drawn[1])) {
                $things[] = $drawn;
            }
        }

        return $things;
    }

    /** @return array{string, string} */
    private function amount(): array
    {
        $amounts = array_keys(self::AMOUNTS);
        $amount = $amounts[$this->dice->getInt(0, count($amounts) - 1)];

        return [$amount, self::AMOUNTS[$amount]];
    }

    /** @param non-empty-list<string> $ways */
    private function way(array $ways, string $form): string
    {
        do {
            $way = $ways[$this->dice->getInt(0, count($ways) - 1)];
        } while ($form === '' && preg_match('/\bF\b/', $way) === 1);

        return $way;
    }

    /** @param array<string, string> $with what stands for a letter that is a word of its own */
    private static function filled(string $way, array $with): string
    {
        return (string) preg_replace_callback(
            '/\b[ABCFNMO]\b/u',
            static fn(array $found): string => $with[$found[0]] ?? $found[0],
            $way,
        );
    }

    /** Whether a name reads as two where it stands in a list: "salt and pepper", "apple and pear juice". */
    private static function joinsTwo(string $name): bool
    {
        return preg_match('/\b(?:and|or|with)\b|[&,\/]|\b(?:juice|zest)$/iu', $name) === 1;
    }

    /** @return list<array{string, string}> */
    private static function everyName(): array
    {
        $elsewhere = array_map(
            static fn(string $name): array => NameWords::of($name),
            array_map(strval(...), array_keys(FactsFile::named('countries'))),
        );
        $names = [];
        $seen = [];
        foreach (FactsFile::folderNamed('ingredients') as $key => $row) {
            foreach ([mb_strtolower($row->text('name')), ...$row->list('also')] as $name) {
                $words = NameWords::of($name);
                $isOneOf = Counts::named(explode(' ', $name)[0]) !== null && count($words) > 1;
                if (!$isOneOf && !in_array($words, $elsewhere, true) && !isset($seen[implode(' ', $words)])) {
                    $names[] = [(string) $key, $name];
                }
                $seen[implode(' ', $words)] = true;
            }
        }

        return $names;
    }
}
