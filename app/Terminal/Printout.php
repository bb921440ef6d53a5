<?php

declare(strict_types=1);

namespace App\Terminal;

use Vinculum\Quantity\KitchenNumber;

/** The same answers as readable text. It reads the contract's own shapes, so that the two never disagree. */
final class Printout
{
    private const AXIS_WIDTH = 8;

    /** @param array<string, mixed> $json as Contract::balance() gives it */
    public static function balance(array $json): string
    {
        $text = ($json['title'] ?? 'Untitled') . ($json['style'] === null ? '' : " ({$json['style']})") . "\n\n";
        foreach ($json['lines'] as $line) {
            $grams = $line['grams'] === null ? '—' : KitchenNumber::grams($line['grams']['value']);
            $text .= self::padLeft($grams, 9) . '  ' . self::pad($line['name'] ?? '?', 22) . ' ' . $line['text'] . ($line['status'] === 'measured' ? '' : "  [{$line['status']}]") . "\n";
        }
        $batch = $json['batch'];
        $text .= sprintf("\n%s, %s %s; %s %% dissolved solids, %s %% fat; %s\n\n", KitchenNumber::grams($batch['grams']), KitchenNumber::millilitres($batch['millilitres']), $json['basis'], KitchenNumber::plain($batch['dissolved_solids_percent'], 0), KitchenNumber::plain($batch['fat_percent'], 0), $json['body']['class']);
        $text .= self::axes($json['axes']);
        $text .= $json['ph'] === null ? '' : sprintf("\npH about %.1f (%.1f to %.1f)", $json['ph']['estimate'], $json['ph']['low'], $json['ph']['high']);
        $text .= $json['distance'] === null ? '' : sprintf("\nDistance from the style: %.1f steps", $json['distance']);
        $text .= "\n" . self::paragraph('Allergens: ', $json['allergens']) . self::paragraph('Fits: ', $json['diets']);
        foreach ($json['cautions'] as $caution) {
            $text .= strtoupper($caution['severity']) . ": {$caution['text']} ({$caution['source']})\n";
        }

        return $text . self::notes($json['notes']);
    }

    /** @param array<string, mixed> $json as Contract::advice() gives it */
    public static function advice(array $json): string
    {
        $text = self::axes($json['before']) . sprintf("\n%.1f steps off.\n\n", $json['distance_before']);
        foreach ($json['corrections'] as $index => $correction) {
            $additions = array_map(static fn (array $one): string => "{$one['measure']} {$one['name']} (" . KitchenNumber::grams($one['grams']) . ')', $correction['additions']);
            $text .= sprintf("%d. %s: %.1f steps off afterwards", $index + 1, implode(' + ', $additions), $correction['distance_after']);
            $text .= $correction['side_effects'] === [] ? "\n" : '; ' . implode(', ', $correction['side_effects']) . "\n";
        }

        return $text . self::notes($json['notes']);
    }

    /** @param list<array<string, mixed>> $ingredients */
    public static function ingredients(array $ingredients): string
    {
        $text = '';
        foreach ($ingredients as $one) {
            $text .= self::pad($one['key'], 26) . self::pad($one['name'], 28) . implode(', ', $one['roles']) . "\n";
        }

        return $text === '' ? "Nothing of that name. Try a shorter word.\n" : $text;
    }

    /** @param list<array<string, mixed>> $styles */
    public static function styles(array $styles): string
    {
        $text = '';
        foreach ($styles as $one) {
            $windows = [];
            foreach ($one['windows'] as $axis => [$low, $high]) {
                $windows[] = "{$axis} " . self::figure($low) . '–' . self::figure($high);
            }
            $text .= self::pad($one['key'], 20) . self::pad($one['name'], 28) . implode('  ', $windows) . "\n";
        }

        return $text;
    }

    /** @param array<string, array<string, mixed>> $axes */
    private static function axes(array $axes): string
    {
        $text = '';
        foreach ($axes as $key => $axis) {
            $off = $axis['off_by_steps'];
            $word = match (true) {
                $off === null => '',
                $off > 0 => sprintf('  %.1f steps too much', $off),
                $off < 0 => sprintf('  %.1f steps too little', -$off),
                default => '  inside',
            };
            $window = $axis['window'] === null ? '' : sprintf('  window %s–%s', self::figure($axis['window'][0]), self::figure($axis['window'][1]));
            $text .= self::pad($key, self::AXIS_WIDTH) . self::padLeft(self::figure($axis['value']), 8) . sprintf('  (%s–%s)', self::figure($axis['low']), self::figure($axis['high'])) . "{$window}{$word}\n";
        }

        return $text;
    }

    private static function figure(float $value): string
    {
        return KitchenNumber::plain($value, $value >= 99.5 ? 0 : ($value >= 9.95 ? 1 : 2));
    }

    /** @param list<string> $items */
    private static function paragraph(string $heading, array $items): string
    {
        return $items === [] ? '' : $heading . implode(', ', $items) . "\n";
    }

    /** @param list<string> $notes */
    private static function notes(array $notes): string
    {
        return $notes === [] ? '' : "\n" . implode("\n", array_map(static fn (string $note): string => "- {$note}", $notes)) . "\n";
    }

    private static function pad(string $text, int $width): string
    {
        return $text . str_repeat(' ', max(1, $width - mb_strlen($text)));
    }

    private static function padLeft(string $text, int $width): string
    {
        return str_repeat(' ', max(0, $width - mb_strlen($text))) . $text;
    }
}
