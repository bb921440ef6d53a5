<?php

declare(strict_types=1);

namespace Tests\http;

use PHPUnit\Framework\TestCase;

/** ./vinculum as a script would call it: no server, no database. */
final class TerminalTest extends TestCase
{
    private const RECIPE = "# Weeknight sauce\nStyle: tomato-barbecue\n\n1 400 g tin chopped tomatoes\n½ cup ketchup\n2 cloves garlic\na pinch of cayenne\n3 tbsp zorp\n";

    public function test_balance_gives_the_contract_and_nothing_else_on_stdout(): void
    {
        [$status, $out, $err] = self::call(['balance', '--stdin', '--json'], self::RECIPE);
        $json = json_decode($out, true);

        self::assertSame([0, ''], [$status, $err]);
        self::assertSame([], array_diff(
            [
                'title',
                'style',
                'measures',
                'basis',
                'lines',
                'batch',
                'body',
                'axes',
                'ratios',
                'ph',
                'water_activity',
                'nose_heat',
                'distance',
                'allergens',
                'diets',
                'cautions',
                'notes',
            ],
            array_keys($json),
        ));
        self::assertSame(
            ['measured', 'measured', 'assumed', 'assumed', 'unknown'],
            array_column($json['lines'], 'status'),
        );
        self::assertSame('Weeknight sauce', $json['title']);
        self::assertStringContainsString('3 tbsp zorp', implode(' ', $json['notes']));
        self::assertNull($json['ph'], 'nobody knows how acid zorp is');
        self::assertSame(['certain', 'certain', 'certain', 'certain', null], array_column($json['lines'], 'sure'));
        self::assertEqualsWithDelta(
            3.9,
            json_decode(
                self::call(['balance', '--stdin', '--json'], str_replace("3 tbsp zorp\n", '', self::RECIPE))[1],
                true,
            )['ph']['estimate'],
            0.6,
        );
        foreach (['value', 'low', 'high', 'unit', 'steps', 'window', 'off_by_steps'] as $key) {
            self::assertArrayHasKey($key, $json['axes']['umami']);
        }
    }

    public function test_advise_obeys_its_options(): void
    {
        [$status, $out] = self::call(
            [
                'advise',
                '--stdin',
                '--json',
                '--with',
                'water,white sugar',
                '--most=1',
                '--complaint',
                'too-sweet',
                '--capacity',
                '2 l',
            ],
            self::RECIPE,
        );
        $json = json_decode($out, true);

        self::assertSame(0, $status);
        self::assertSame(['before', 'distance_before', 'corrections', 'besides', 'notes'], array_slice(array_keys($json), 0, 5));
        self::assertNotSame([], $json['corrections']);
        foreach ($json['corrections'] as $correction) {
            self::assertSame(['water'], array_column($correction['additions'], 'ingredient'));
            self::assertLessThanOrEqual(2000, $correction['batch_millilitres']);
        }
    }

    public function test_swap_ranks_substitutes_or_says_how_much_of_one(): void
    {
        [$status, $out] = self::call(['swap', '--stdin', '--json', '--line', '2'], self::RECIPE);
        $json = json_decode($out, true);
        self::assertSame([0, 2, 'ketchup'], [$status, $json['line'], $json['ingredient']]);
        self::assertSame(
            ['line', 'ingredient', 'grams', 'candidates'],
            array_values(array_intersect(array_keys($json), ['line', 'ingredient', 'grams', 'candidates'])),
        );
        self::assertNotSame([], $json['candidates']);

        $one = json_decode(
            self::call(['swap', '--stdin', '--json', '--line', '3', '--for', 'garlic powder'], self::RECIPE)[1],
            true,
        );
        self::assertSame(['garlic-powder'], array_column($one['candidates'], 'ingredient'));
        $free = json_decode(
            self::call(['swap', '--stdin', '--json', '--line', '1', '--without', 'vegan, celery'], self::RECIPE)[1],
            true,
        );
        self::assertNotContains('mayonnaise', array_column($free['candidates'], 'ingredient'));
        self::assertStringContainsString(
            'Instead of ½ cup ketchup',
            self::call(['swap', '--stdin', '--line', '2'], self::RECIPE)[1],
        );
        foreach ([
            ['--line', '9'],
            ['--line', '0'],
            ['--line', 'two'],
            [],
            ['--line', '5'],
            ['--line', '2', '--for', 'zorp'],
            ['--line', '2', '--without', 'dust'],
        ] as $wrong) {
            [$status, $out, $err] = self::call(['swap', '--stdin', '--json', ...$wrong], self::RECIPE);
            self::assertSame([2, ''], [$status, $out], $err);
            self::assertSame(1, substr_count(trim($err), "\n") + 1);
        }
    }

    public function test_scale_gives_the_sheet_of_the_contract(): void
    {
        $recipe = "# Syrup\nYield: 600 g\nPan: 24 cm\n\n1 kg water\n200 g sugar\n2 lemons\n\nMethod:\nSimmer until it coats a spoon\n";
        [$status, $out, $err] = self::call(
            ['scale', '--stdin', '--json', '--measures', 'metric', '--factor', '2.5'],
            $recipe,
        );
        $json = json_decode($out, true);
        self::assertSame([0, ''], [$status, $err]);
        self::assertSame(
            [],
            array_diff(['factor', 'limited_by', 'lines', 'batch', 'fill', 'cook', 'axes_before', 'axes_after', 'notes'], array_keys($json)),
        );
        self::assertEqualsWithDelta([2500, 500], array_slice(array_column($json['lines'], 'grams'), 0, 2), 0.01);
        self::assertStringStartsWith('5, about', $json['lines'][2]['measure']);
        self::assertEqualsWithDelta(1500, $json['cook']['pan_reads_grams'], 0.01);
        self::assertLessThan($json['cook']['minutes']['high'], $json['cook']['minutes']['value']);

        $jars = json_decode(
            self::call(['scale', '--stdin', '--json', '--measures', 'metric', '--to', '6 x 250 ml'], $recipe)[1],
            true,
        );
        self::assertEqualsWithDelta(
            [250, 6, 237.5],
            [$jars['fill'][0]['container_ml'], $jars['fill'][0]['count'], $jars['fill'][0]['filled_ml']],
            1.0,
        );
        self::assertSame(
            'white-sugar',
            json_decode(
                self::call(['scale', '--stdin', '--json', '--have', 'sugar 150 g'], $recipe)[1],
                true,
            )['limited_by'],
        );
        self::assertStringContainsString(
            'times the recipe',
            self::call(['scale', '--stdin', '--serves', '12', '--portion', '30 ml'], $recipe)[1],
        );
        foreach ([
            ['--factor', '0'],
            ['--factor', 'two'],
            [],
            ['--to', 'zorp'],
            ['--have', '10 g mango'],
            ['--serves', '4'],
            ['--factor', '2', '--to', '1 l'],
        ] as $wrong) {
            [$status, $out, $err] = self::call(['scale', '--stdin', '--json', ...$wrong], $recipe);
            self::assertSame([2, ''], [$status, $out], $err);
        }
    }

    public function test_swap_and_scale_read_well_without_json(): void
    {
        $recipe = "# Dip\n\n1 cup ketchup\n200 g sugar\n1 cup water\n¼ tsp cayenne\n";
        $swap = self::call(['swap', '--stdin', '--line', '2', '--for', 'honey'], $recipe)[1];
        self::assertMatchesRegularExpression(
            '/Instead of 200 g sugar:\s+1\. 2\d\d g Honey \(2\d\d g\), less \d+ g Water: 0\.\d steps different/',
            $swap,
        );
        self::assertStringContainsString('brings that of honey and flowers', $swap);
        $scale = self::call(['scale', '--stdin', '--factor', '0.1'], $recipe)[1];
        self::assertStringContainsString('0.1 times the recipe', $scale);
        self::assertStringContainsString('Too small to measure', $scale);
        self::assertStringContainsString('before cooking', $scale);
        self::assertStringContainsString(
            'Nothing that is known does the work',
            self::call(
                ['swap', '--stdin', '--line', '1', '--without', 'vegan, soya'],
                "100 g khoya\n100 g water\n",
            )[1],
        );
    }

    public function test_a_pan_and_timed_steps_give_the_finished_sauce(): void
    {
        $recipe = "# Syrup\nPan: 24 cm\n\n1 kg water\n200 g sugar\n\nMethod:\nSimmer for 40 minutes\n";
        $timed = json_decode(self::call(['balance', '--stdin', '--json'], $recipe)[1], true);
        $panless = json_decode(
            self::call(['balance', '--stdin', '--json'], str_replace("Pan: 24 cm\n", '', $recipe))[1],
            true,
        );
        $yielded = json_decode(self::call(['balance', '--stdin', '--json'], "Yield: 900 g\n" . $recipe)[1], true);

        $mixed = json_decode(self::call(['balance', '--stdin', '--json', '--mixed'], $recipe)[1], true);
        self::assertSame(
            ['finished', 'finished', 'finished', 'mixed'],
            [$timed['basis'], $panless['basis'], $yielded['basis'], $mixed['basis']],
        );
        // 1.2 kg would be cooked in 24 cm, by who names no pan
        self::assertSame(['centimetres' => 24, 'assumed' => true], $panless['pan']);
        self::assertSame(['centimetres' => 24, 'assumed' => false], $timed['pan']);
        self::assertEqualsWithDelta($timed['batch']['grams'], $panless['batch']['grams'], 1.0);
        self::assertEqualsWithDelta(1200.0, $mixed['batch']['grams'], 0.01);
        self::assertEqualsWithDelta(1200 - 7 * 0.0452 * 1000 * 40 / 60, $timed['batch']['grams'], 1.0);
        self::assertEqualsWithDelta(900, $yielded['batch']['grams'], 0.01, 'a yield wins');
        self::assertEqualsWithDelta(
            40,
            json_decode(
                self::call(['scale', '--stdin', '--json', '--factor', '1'], $recipe)[1],
                true,
            )['cook']['minutes']['value'],
            0.5,
        );
    }

    public function test_the_sheet_follows_the_method(): void
    {
        $recipe = "# Relish\n\n500 g onions, sliced\n2 tbsp oil\n100 ml red wine vinegar\n80 g sugar\n1 star anise\n\n"
            . "Method:\nSweat the onions in the oil for 15 minutes.\nAdd half the vinegar, the sugar and the star anise and"
            . " simmer for about 20 minutes until sticky.\nFish out the star anise, add the rest of the vinegar off the heat"
            . " and jar. Keeps 2 months.\n";
        [$status, $json] = self::call(['cook', '--stdin', '--json', '--measures', 'metric'], $recipe);
        $sheet = json_decode($json, true);

        self::assertSame(0, $status);
        self::assertSame(
            ['ready', 'steps', 'fill', 'finished', 'pan', 'keeping_claim', 'cautions', 'notes'],
            array_keys($sheet),
        );
        self::assertSame(
            ['text', 'uses', 'taken_out', 'minutes', 'heat', 'covered', 'left', 'look_from', 'after', 'cautions', 'meanwhile'],
            array_keys($sheet['steps'][0]),
        );
        self::assertSame(['line', 'ingredient', 'text', 'says', 'measure', 'grams', 'share'], array_keys($sheet['ready'][0]));
        self::assertCount(5, $sheet['ready']);
        self::assertSame(
            [[[1, 1], [2, 1]], [[3, 0.5], [4, 1], [5, 1]], [[3, 0.5]]],
            array_map(
                static fn(array $step): array => array_map(
                    static fn(array $item): array => [$item['line'], $item['share']],
                    array_values(array_filter($step['uses'], static fn(array $item): bool => $item['share'] > 0)),
                ),
                $sheet['steps'],
            ),
        );
        self::assertSame([[], [], [5]], array_column($sheet['steps'], 'taken_out'));
        self::assertSame(['heat', 'heat', 'off-heat'], array_column($sheet['steps'], 'after'));
        self::assertSame('half of 100 ml', $sheet['steps'][1]['uses'][0]['measure']);
        self::assertSame('Keeps 2 months.', $sheet['keeping_claim']);
        self::assertTrue($sheet['pan']['assumed']);
        self::assertSame(0, self::call(['cook', '--stdin', '--to', '2 x 250 ml', '--no-scale'], $recipe)[0]);
    }

    public function test_a_resized_sheet_tells_the_water_of_one_yield_only(): void
    {
        $recipe = "Yield: 500 g\n1 kg tomatoes\n100 ml cider vinegar\n\nMethod:\nPut everything in a pan and simmer, uncovered, for 40 minutes.\n";
        $notes = static fn(string ...$more): string => implode(
            "\n",
            json_decode(self::call(['cook', '--stdin', '--json', ...$more], $recipe)[1], true)['notes'],
        );

        self::assertStringNotContainsString('which is assumed', $notes());
        self::assertStringNotContainsString('which is assumed', $notes('--to', '250 g'));
        self::assertStringContainsString('boiled off between mixing and the yield', $notes('--to', '250 g'));
    }

    public function test_measures_change_what_a_cup_is(): void
    {
        $grams = static fn(string $measures): float => json_decode(
            self::call(['balance', '--stdin', '--json', '--measures', $measures], "1 cup water\n")[1],
            true,
        )['lines'][0]['millilitres'];

        self::assertEqualsWithDelta(236.588, $grams('us'), 0.001);
        self::assertEqualsWithDelta(250.0, $grams('metric'), 0.001);
    }

    public function test_catalogue_and_styles_are_listed(): void
    {
        $ingredients = json_decode(self::call(['ingredients', '--json'])[1], true)['ingredients'];
        $styles = json_decode(self::call(['styles', '--json'])[1], true)['styles'];

        self::assertGreaterThanOrEqual(45, count($ingredients));
        foreach ([
            'key',
            'name',
            'aliases',
            'roles',
            'components',
            'sweet_per_100g',
            'shu',
            'nose_heat_per_100g',
            'sid_meq_per_100g',
            'ph',
            'density',
            'forms',
            'units',
            'allergens',
            'diets',
            'grades',
            'sources',
        ] as $key) {
            self::assertArrayHasKey($key, $ingredients[0]);
        }
        self::assertGreaterThanOrEqual(6, count($styles));
        self::assertSame(['sweet', 'sour', 'salt', 'umami', 'heat'], array_keys($styles[0]['windows']));
        self::assertSame(
            'cider-vinegar',
            json_decode(
                self::call(['ingredients', '--search', 'cider vinegar', '--json'])[1],
                true,
            )['ingredients'][0]['key'],
        );
    }

    public function test_text_for_people_says_the_same(): void
    {
        [, $out] = self::call(['balance', '--stdin'], self::RECIPE);

        self::assertStringContainsString('Tinned tomatoes', $out);
        self::assertMatchesRegularExpression('/^salt\s+[\d.]+/m', $out);
        self::assertStringContainsString('tomato-barbecue', self::call(['styles'])[1]);
        self::assertStringContainsString(
            'steps off',
            self::call(['advise', '--stdin', '--style', 'ketchup'], "100 g water\n10 g salt\n")[1],
        );
    }

    public function test_a_cooked_sauce_without_a_yield_is_told_what_the_figures_are_of(): void
    {
        $cooked = self::RECIPE . "\nMethod:\nSimmer for 8 minutes.\n";

        self::assertStringContainsString('of everything mixed', self::call(['balance', '--stdin'], $cooked)[1]);
        self::assertStringNotContainsString(
            'of everything mixed',
            self::call(['balance', '--stdin'], str_replace('Style:', "Yield: 500 ml\nStyle:", $cooked))[1],
        );
        self::assertStringNotContainsString('of everything mixed', self::call(['balance', '--stdin'], self::RECIPE)[1]);
    }

    public function test_wrong_calls_exit_2_with_one_line(): void
    {
        $calls = [
            [['simmer'], ''],
            [['balance'], ''],
            [['balance', '/no/such/file'], ''],
            [['balance', '--stdin', '--style', 'nonsense'], '1 g salt'],
            [['balance', '--stdin', '--measures', 'cubits'], '1 g salt'],
            [['balance', '--stdin', '--frob'], '1 g salt'],
            [['advise', '--stdin', '--most', '9'], '1 g salt'],
            [['advise', '--stdin', '--with', 'zorp'], '1 g salt'],
            [['advise', '--stdin', '--complaint', 'too-blue'], '1 g salt'],
            [['balance', '--stdin'], "\0\1\2"],
            [['balance', '--stdin'], ''],
        ];
        foreach ($calls as [$arguments, $input]) {
            [$status, $out, $err] = self::call($arguments, $input);
            self::assertSame([2, ''], [$status, $out], implode(' ', $arguments));
            self::assertSame(1, substr_count($err, "\n"));
        }
    }

    public function test_odd_lines_never_fail_and_never_make_numbers_up(): void
    {
        [$status, $out] = self::call(
            ['balance', '--stdin', '--json', '--style', 'chutney'],
            "zorp\n1/0 cup sugar\n-1 g salt\na million tonnes of salt\n",
        );
        $json = json_decode($out, true);

        self::assertSame(0, $status);
        self::assertSame(['unknown'], array_values(array_unique(array_column($json['lines'], 'status'))));
        self::assertNull($json['ph']);
        self::assertEquals(0, $json['batch']['grams']);
        self::assertStringNotContainsString('NAN', strtoupper($out));
    }

    /** What README says they need: PHP, and its extension for letters. */
    public function test_every_command_answers_with_php_and_mbstring_alone_as_it_does_with_all(): void
    {
        $recipe = "Gochu\u{0301}jang dip\n\n2 jalapeños, nước mắm\n120 ml rice vinegar\n60 g sugar\n"
            . "1 tbsp crème fraîche\n½ tsp salt\n\nSimmer 10 minutes.\n";
        $file = tempnam(sys_get_temp_dir(), 'recipe') . '.txt';
        file_put_contents($file, $recipe);
        foreach ([
            ['balance', $file, '--json', '--style', 'ketchup'],
            ['balance', $file],
            ['advise', $file, '--style', 'ketchup', '--json'],
            ['swap', $file, '--line', '3', '--json'],
            ['convert', $file, '--for', 'vegan', '--json'],
            ['scale', $file, '--factor', '3', '--json'],
            ['scale', $file, '--to', '4 x 250 ml'],
            ['keep', $file, '--json'],
            ['ingredients', '--json'],
            ['styles', '--json'],
        ] as $arguments) {
            $said = array_map(
                static function (array $php) use ($arguments): string {
                    $command = [PHP_BINARY, ...$php, dirname(__DIR__, 2) . '/bin/terminal.php', ...$arguments];
                    exec(implode(' ', array_map(escapeshellarg(...), $command)) . ' 2>&1', $lines, $status);

                    return "{$status}\n" . implode("\n", $lines);
                },
                [['-n', '-d', 'extension=mbstring'], []],
            );
            self::assertSame($said[1], $said[0], implode(' ', $arguments));
            self::assertStringStartsWith("0\n", $said[0], 'it is answered');
        }
    }

    /**
     * @param list<string> $arguments
     *
     * @return array{int, string, string}
     */
    private static function call(array $arguments, string $input = ''): array
    {
        $process = proc_open(
            [dirname(__DIR__, 2) . '/vinculum', ...$arguments],
            [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
            $pipes,
        );
        self::assertIsResource($process);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        [$out, $err] = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

        return [proc_close($process), $out, $err];
    }
}
