<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The one page. Its script and style carry their own hash in their names; the page itself is never kept. */
final readonly class PageController
{
    public function __invoke(Request $request): Response
    {
        $page = public_path('build/index.html');
        if (!is_file($page)) {
            return new Response(
                'The pages are not built yet: run ./vinculum start.',
                503,
                ['Content-Type' => 'text/plain; charset=utf-8'],
            );
        }

        return new Response((string) file_get_contents($page), 200, [
            'Content-Type' => 'text/html; charset=utf-8',
            'Cache-Control' => 'no-cache',
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'no-referrer',
            'Link' => self::first($request->path()),
        ]);
    }

    /** What the page will ask for first, so that the browser fetches it together with the scripts. */
    private static function first(string $path): string
    {
        $addresses = ['/api/kitchen'];
        if (preg_match('~^sauce/(\d{1,15})$~', $path, $found) === 1) {
            $addresses[] = "/api/sauces/{$found[1]}";
        }

        return implode(', ', array_map(
            static fn(string $address): string => "<{$address}>; rel=preload; as=fetch; crossorigin",
            $addresses,
        ));
    }
}
