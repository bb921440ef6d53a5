<?php

declare(strict_types=1);

namespace Tests\core\Substitution;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\ProductLabel;
use Vinculum\Substitution\AromaProfile;
use Vinculum\Substitution\Role;
use Vinculum\Substitution\SwapReason;

final class AromaProfileTest extends TestCase
{
    public function test_similarity_is_a_share_the_same_both_ways_and_whole_with_itself(): void
    {
        $keys = [
            'cider-vinegar',
            'white-vinegar',
            'apple',
            'soy-sauce',
            'miso',
            'basil',
            'dried-basil',
            'salt',
            'chipotle',
            'smoked-paprika',
        ];
        foreach ($keys as $one) {
            foreach ($keys as $other) {
                $similarity = self::profile($one)->similarity(self::profile($other));
                self::assertGreaterThanOrEqual(0.0, $similarity);
                self::assertLessThanOrEqual(1.0, $similarity);
                self::assertSame($similarity, self::profile($other)->similarity(self::profile($one)));
            }
            self::assertSame(1.0, self::profile($one)->similarity(self::profile($one)), $one);
        }
        self::assertGreaterThan(
            self::profile('cider-vinegar')->similarity(self::profile('lime-juice')),
            self::profile('cider-vinegar')->similarity(self::profile('white-vinegar')),
        );
    }

    public function test_says_in_words_what_no_number_holds(): void
    {
        self::assertSame(
            ['loses the aroma of apple', 'brings that of malt', 'colour: brown instead of pale'],
            self::profile('cider-vinegar')->changesTo(self::profile('malt-vinegar')),
        );
        self::assertSame([], self::profile('salt')->changesTo(self::profile('flake-salt')));
    }

    public function test_an_own_product_smells_and_works_as_what_it_is_like(): void
    {
        $own = Catalogue::shipped()->withOwn([
            'own-1' => ProductLabel::of(
                'Orchard vinegar',
                'cider-vinegar',
                ['acidity' => 6.0],
                false,
                null,
                null,
                null,
                false,
            ),
        ])->get('own-1');

        self::assertTrue($own->isOwn());
        self::assertSame('cider-vinegar', $own->kind());
        self::assertSame(1.0, AromaProfile::of($own)->similarity(self::profile('cider-vinegar')));
        self::assertSame(
            self::works('cider-vinegar'),
            array_map(static fn(Role $role): string => $role->key, Role::of($own)),
        );
    }

    /** Common practice: a spoon of dried for three of fresh; by the clove about a fifth of garlic powder, by weight. */
    public function test_strength_goes_by_the_spoon(): void
    {
        $catalogue = Catalogue::shipped();
        $herbs = array_values(
            array_filter(
                Role::of($catalogue->get('basil')),
                static fn(Role $role): bool => $role->key === 'basil-oregano',
            ),
        )[0];
        [$fresh, $dried] = [$catalogue->get('basil'), $catalogue->get('dried-basil')];

        self::assertEqualsWithDelta(
            3.0,
            (9.0 / (float) $fresh->portions->density)
                / ((float) $herbs->equallyStrong($fresh, 9.0, $dried) / (float) $dried->portions->density),
            1e-9,
        );
        self::assertEqualsWithDelta(
            9.0,
            $herbs->equallyStrong($dried, (float) $herbs->equallyStrong($fresh, 9.0, $dried), $fresh),
            1e-9,
            'there and back',
        );
        self::assertNull($herbs->equallyStrong($fresh, 9.0, $catalogue->get('salt')));
    }

    public function test_a_reason_that_nobody_knows_is_refused(): void
    {
        foreach ([[['dust'], []], [[], ['carnivore']]] as [$allergens, $diets]) {
            try {
                SwapReason::cannotEat($allergens, $diets);
                self::fail('refused');
            } catch (\InvalidArgumentException $fault) {
                self::assertStringContainsString('is no allergen and no diet', $fault->getMessage());
            }
        }
        foreach ([0, 13] as $month) {
            try {
                SwapReason::outOfSeason($month);
                self::fail('refused');
            } catch (\InvalidArgumentException $fault) {
                self::assertStringContainsString('from 1 to 12', $fault->getMessage());
            }
        }
    }

    public function test_who_tolerates_what(): void
    {
        $vegan = SwapReason::cannotEat([], ['vegan']);
        $catalogue = Catalogue::shipped();
        foreach ([
            'mayonnaise' => false,
            'honey' => false,
            'fish-sauce' => false,
            'soy-sauce' => true,
            'vegan-mayonnaise' => true,
            'salt' => true,
            'lemon-curd' => false,
        ] as $key => $tolerates) {
            self::assertSame($tolerates, $vegan->tolerates($catalogue->get($key)), $key);
        }
        self::assertFalse(SwapReason::cannotEat(['soya'], [])->tolerates($catalogue->get('soy-sauce')));
        self::assertTrue(SwapReason::missing()->tolerates($catalogue->get('soy-sauce')));
    }

    private static function profile(string $key): AromaProfile
    {
        return AromaProfile::of(self::ingredient($key));
    }

    /** @return list<string> */
    private static function works(string $key): array
    {
        return array_map(static fn(Role $role): string => $role->key, Role::of(self::ingredient($key)));
    }

    private static function ingredient(string $key): Ingredient
    {
        return Catalogue::shipped()->get($key);
    }
}
