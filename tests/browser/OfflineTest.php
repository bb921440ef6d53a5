<?php

declare(strict_types=1);

namespace Tests\browser;

/** At the stove without a network: the server is stopped in the middle of a cook, and nothing is lost by it. */
final class OfflineTest extends BrowserTestCase
{
    protected static function startOptions(): array
    {
        return [];
    }

    public function test_it_can_be_installed_as_an_app(): void
    {
        self::open('/');
        $manifest = self::fetched((string) self::find('link[rel="manifest"]')->getAttribute('href'));
        self::assertSame(['/', '/', 'standalone'], [$manifest['start_url'], $manifest['scope'], $manifest['display']]);
        foreach ($manifest['icons'] as $icon) {
            $picture = (string) file_get_contents(self::address($icon['src']));
            $size = getimagesizefromstring($picture);
            self::assertIsArray($size);
            self::assertSame($icon['sizes'], "{$size[0]}x{$size[1]}");
        }
        self::assertContains('maskable', array_column($manifest['icons'], 'purpose'));
        self::untilKept();
    }

    public function test_a_cook_goes_on_without_the_server_and_what_happened_is_sent_later(): void
    {
        self::resize(390, 844);
        self::open('/');
        self::untilKept();
        self::open('/sauce/5');
        self::find('[data-batch]');
        self::tap('[data-choice="scale"]');
        self::find('[data-scale="to"]')->sendKeys('4 x 250 ml');
        self::tap('[data-cook-it]');
        self::until(static fn(): bool => str_contains(self::$browser->getCurrentURL(), '/cook/'), 'the cook begins');
        $batch = (int) basename(self::$browser->getCurrentURL());
        self::find('[data-move]');

        self::stopServer();
        self::byHand(850);
        for ($measured = 0; self::move() === 'measure'; ++$measured) {
            self::byHand(10 * (int) self::find('[data-measure]')->getAttribute('data-measure'));
        }
        self::assertGreaterThan(3, $measured);
        self::assertSame('step', self::move());
        self::tap('[data-start-timer]');
        self::until(static fn(): bool => count(self::findAll('[data-timer]')) === 1, 'its timer runs');
        self::tap('[data-start-timer]');
        self::until(static fn(): bool => count(self::findAll('[data-timer]')) === 2, 'and another');
        self::tap('[data-timer]:nth-child(2) button');
        self::until(static fn(): bool => count(self::findAll('[data-timer]')) === 1, 'which is stopped again');

        // the page is closed and opened again, and the server is still away
        self::$browser->navigate()->refresh();
        self::until(
            static fn(): bool => count(self::findAll('[data-timer]')) === 1,
            'the timer runs on after a reload',
        );
        self::assertMatchesRegularExpression('/1[0-5]:\d\d/', self::text('[data-timer]'));
        self::assertSame('step', self::move(), 'at the move where it was left');
        self::assertStringContainsString('to send', self::text('[data-waiting]'));
        self::until(
            static fn(): bool => str_contains(self::text('[data-away]'), 'sent later'),
            'it says that the server is away',
        );
        self::tap('[aria-expanded]');
        self::assertSame($measured + 1, substr_count(self::text('ol'), '✓'), 'the list says what is done');
        self::tap('[aria-expanded]');
        self::tap('[data-done]');
        self::open('/');
        self::tap('[data-kept-sheets] a');
        self::find('[data-move]');

        self::startServer();
        self::until(
            static fn(): bool => self::find('[data-waiting]')->getAttribute('data-waiting') === '0',
            'all of it is sent',
            40,
        );
        $after = self::fetched("/api/batches/{$batch}/cook");
        self::assertSame(850, $after['pan']['empty_grams']);
        $in = array_filter(
            array_column($after['moves'], 'measure'),
            static fn(?array $measure): bool => ($measure['actual_grams'] ?? null) !== null,
        );
        self::assertCount($measured, $in);
        foreach ($in as $measure) {
            self::assertSame(10 * $measure['line'], $measure['actual_grams']);
        }
        self::assertCount(2, $after['timers']);
        self::assertCount(
            1,
            array_filter($after['timers'], static fn(array $timer): bool => $timer['stopped'] !== null),
        );
        $done = array_map(
            static fn(array $event): int => $event['figures']['step'],
            array_filter($after['events'], static fn(array $event): bool => $event['kind'] === 'step-done'),
        );
        self::assertSame(array_unique($done), $done, 'once each');
        self::assertCount(1, self::findAll('[data-timer]'));
        $at = array_column($after['events'], 'at');
        self::assertSame($at, array_values(array_unique($at)), 'each at the moment it happened');
    }

    private static function byHand(int $grams): void
    {
        $at = self::text('[aria-expanded]');
        self::find('input[aria-label="Grams by hand"]')->sendKeys((string) $grams);
        self::tap('[data-accept]');
        self::until(static fn(): bool => self::text('[aria-expanded]') !== $at, 'the next move comes');
    }

    private static function move(): string
    {
        return (string) self::find('[data-move]')->getAttribute('data-move');
    }

    /** The browser has the pages, and this one is served through what keeps them. */
    private static function untilKept(): void
    {
        self::until(
            static fn(): bool => self::$browser->executeScript(
                'return navigator.serviceWorker.controller !== null',
            ) === true,
            'the pages are kept',
            40,
        );
    }

    /** @return array<string, mixed> */
    private static function fetched(string $address): array
    {
        $found = json_decode((string) file_get_contents(self::address($address)), true);
        self::assertIsArray($found);

        return $found;
    }

    private static function address(string $path): string
    {
        return (string) preg_replace(
            '~^(http://[^/]+).*~',
            '$1',
            self::$browser->getCurrentURL(),
        ) . (string) preg_replace('~^http://[^/]+~', '', $path);
    }
}
