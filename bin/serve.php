<?php

declare(strict_types=1);

// The router of PHP's own server, where there is no other: built files from public/build, everything else to the
// application.

const KINDS = [
    'js' => 'text/javascript; charset=utf-8',
    'css' => 'text/css; charset=utf-8',
    'woff2' => 'font/woff2',
    'svg' => 'image/svg+xml',
    'png' => 'image/png',
    'json' => 'application/json',
    'webmanifest' => 'application/manifest+json',
];

$path = rawurldecode((string) parse_url((string) ($_SERVER['REQUEST_URI'] ?? '/'), PHP_URL_PATH));
if (str_contains($path, "\0")) {
    http_response_code(404);

    return true;
}
if ($path === '/api/idle') {
    // by this the one that started the server knows it from any other on the port
    header('X-Vinculum-Server: ' . (getenv('VINCULUM_SERVER') ?: 'unknown'));
}
$build = (string) realpath(__DIR__ . '/../public/build');
$file = str_starts_with($path, '/build/') ? realpath(__DIR__ . '/../public' . $path) : false;
$kind = KINDS[strtolower(pathinfo($path, PATHINFO_EXTENSION))] ?? null;
if ($file !== false && $kind !== null && is_file($file) && str_starts_with($file, $build . '/')) {
    header("Content-Type: {$kind}");
    header('X-Content-Type-Options: nosniff');
    // names in assets carry a hash of their contents; the others keep theirs
    header(
        str_starts_with($path, '/build/assets/')
            ? 'Cache-Control: public, max-age=31536000, immutable'
            : 'Cache-Control: no-cache',
    );
    header('Service-Worker-Allowed: /');
    if (is_file($file . '.gz') && str_contains((string) ($_SERVER['HTTP_ACCEPT_ENCODING'] ?? ''), 'gzip')) {
        header('Content-Encoding: gzip');
        header('Vary: Accept-Encoding');
        $file .= '.gz';
    }
    header('Content-Length: ' . filesize($file));
    readfile($file);

    return true;
}

if (str_starts_with($path, '/build/')) {
    // of an older build, or of none
    http_response_code(404);
    header('Content-Type: text/plain; charset=utf-8');
    header('Cache-Control: no-store');
    echo "There is no such file: load the page anew.\n";

    return true;
}
require __DIR__ . '/../public/index.php';
