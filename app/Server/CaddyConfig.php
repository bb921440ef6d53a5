<?php

declare(strict_types=1);

namespace App\Server;

use App\Instruments\FeedTicket;

/** The configuration of Caddy, as its own JSON: a name with odd letters in it stays a name. Plain PHP. */
final readonly class CaddyConfig
{
    private const MOST_BYTES = 8_000_000;
    /** What PHP takes longer for was ended by FPM before. */
    private const PATIENCE = '25s';
    private const GRACE = '2s';

    private const TOO_BUSY = 'The kitchen could not answer this in time, and nothing that was not acknowledged counts as done. Try again; if it is a long recipe, make it shorter.';
    private const TOO_LARGE = 'This is more than 6 MB: send it in smaller parts.';

    public function __construct(private ServerPlan $plan) {}

    public function json(): string
    {
        $isAtHome = $this->plan->homeAddresses !== [];

        return json_encode([
            'admin' => ['disabled' => true, 'config' => ['persist' => false]],
            'logging' => ['logs' => ['default' => [
                'writer' => ['output' => 'file', 'filename' => "{$this->plan->root}/storage/logs/caddy.log", 'roll_size_mb' => 2, 'roll_keep' => 3],
                'level' => 'WARN',
            ]]],
            'storage' => ['module' => 'file_system', 'root' => $this->plan->authority()],
            'apps' => [
                'http' => [
                    'grace_period' => self::GRACE,
                    'servers' => ['here' => $this->kitchen("127.0.0.1:{$this->plan->port}") + ['automatic_https' => ['disable' => true]]]
                        + ($isAtHome ? ['home' => $this->home(), 'welcome' => $this->welcome()] : []),
                ],
            ] + ($isAtHome ? ['tls' => $this->certificates(), 'pki' => $this->authority()] : []),
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /** @return array<string, mixed> */
    private function home(): array
    {
        return $this->kitchen(":{$this->plan->securePortHere()}") + [
            // who asks by address names no server in its greeting
            'tls_connection_policies' => [['default_sni' => self::subject($this->plan->homeAddresses[0])]],
            'automatic_https' => ['disable_redirects' => true],
        ];
    }

    /** @return array<string, mixed> */
    private function certificates(): array
    {
        $subjects = array_map(self::subject(...), $this->plan->homeAddresses);

        return [
            'certificates' => ['automate' => $subjects],
            'automation' => ['policies' => [['subjects' => $subjects, 'issuers' => [['module' => 'internal']]]]],
        ];
    }

    /** @return array<string, mixed> */
    private function authority(): array
    {
        return ['certificate_authorities' => ['local' => [
            'name' => 'Vinculum at home',
            'root_common_name' => 'Vinculum at home',
            'intermediate_common_name' => 'Vinculum at home, intermediate',
            'install_trust' => false,
        ]]];
    }

    /** An address as a certificate names it. */
    private static function subject(string $host): string
    {
        return trim($host, '[]');
    }

    /**
     * The kitchen, behind one address.
     *
     * @return array<string, mixed>
     */
    private function kitchen(string $listen): array
    {
        return [
            'listen' => [$listen],
            'protocols' => ['h1', 'h2'],
            'routes' => [
                ['handle' => [
                    self::headers(['-Server']),
                    ['handler' => 'request_body', 'max_size' => self::MOST_BYTES],
                    [
                        'handler' => 'encode',
                        'encodings' => ['gzip' => ['level' => 4]],
                        'prefer' => ['gzip'],
                        'minimum_length' => 600,
                    ],
                ]],
                $this->built('/build/assets/*', 'public, max-age=31536000, immutable'),
                $this->built('/build/*', 'no-cache'),
                [
                    'match' => [['path' => [FeedTicket::PATH], 'method' => ['GET']]],
                    'handle' => [$this->live()],
                    'terminal' => true,
                ],
                ['match' => [['path' => ['/api/idle']]], 'handle' => [self::headers(["X-Vinculum-Server: {$this->plan->token}"])]],
                ['handle' => [['handler' => 'rewrite', 'uri' => '/index.php?{http.request.uri.query}'], $this->php()]],
            ],
            'errors' => ['routes' => [
                // of an older build, or of none
                self::says(['path' => ['/build/*']], 404, 'There is no such file: load the page anew.'),
                self::says(['expression' => '{http.error.status_code} == 413'], 413, self::TOO_LARGE),
                self::says(null, 503, self::TOO_BUSY),
            ]],
        ];
    }

    /**
     * Built files: those in assets carry a hash of their contents in their names, the others keep theirs.
     *
     * @return array<string, mixed>
     */
    private function built(string $path, string $kept): array
    {
        return [
            'match' => [['path' => [$path]]],
            'handle' => [
                self::headers(["Cache-Control: {$kept}", 'X-Content-Type-Options: nosniff', 'Service-Worker-Allowed: /']),
                [
                    'handler' => 'file_server',
                    'root' => "{$this->plan->root}/public",
                    'index_names' => [],
                    'precompressed' => ['gzip' => new \stdClass()],
                    'precompressed_order' => ['gzip'],
                ],
            ],
            'terminal' => true,
        ];
    }

    /**
     * Weights as they change: whoever has a ticket is handed over.
     *
     * @return array<string, mixed>
     */
    private function live(): array
    {
        return [
            'handler' => 'reverse_proxy',
            'upstreams' => [['dial' => "unix/{$this->plan->socket('live')}"]],
            'flush_interval' => -1,
            'transport' => ['protocol' => 'http', 'dial_timeout' => '1s', 'keep_alive' => ['enabled' => false]],
        ];
    }

    /** @return array<string, mixed> */
    private function php(): array
    {
        return [
            'handler' => 'reverse_proxy',
            'upstreams' => [['dial' => "unix/{$this->plan->socket('kitchen')}"]],
            'transport' => [
                'protocol' => 'fastcgi',
                'root' => "{$this->plan->root}/public",
                'split_path' => ['.php'],
                'dial_timeout' => '3s',
                'read_timeout' => self::PATIENCE,
                'write_timeout' => self::PATIENCE,
            ],
        ];
    }

    /**
     * The page that helps a device to trust this kitchen: nothing else is reached without encryption.
     *
     * @return array<string, mixed>
     */
    private function welcome(): array
    {
        return [
            'listen' => [":{$this->plan->welcomePortHere()}"],
            'automatic_https' => ['disable' => true],
            'routes' => [['handle' => [
                self::headers([
                    '-Server',
                    'X-Content-Type-Options: nosniff',
                    'X-Frame-Options: DENY',
                    'Referrer-Policy: no-referrer',
                    'Cache-Control: no-store',
                    "Content-Security-Policy: default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'; form-action 'none'",
                ]),
                ['handler' => 'file_server', 'root' => "{$this->plan->folder()}/welcome"],
            ]]],
        ];
    }

    /**
     * @param list<string> $lines each "Name: value", or "-Name" to take one away
     *
     * @return array<string, mixed>
     */
    private static function headers(array $lines): array
    {
        [$set, $deleted] = [[], []];
        foreach ($lines as $line) {
            if (str_starts_with($line, '-')) {
                $deleted[] = substr($line, 1);
            } else {
                [$name, $value] = explode(': ', $line, 2);
                $set[$name] = [$value];
            }
        }

        return [
            'handler' => 'headers',
            'response' => ['deferred' => true] + array_filter(['set' => $set, 'delete' => $deleted]),
        ];
    }

    /**
     * @param array<string, mixed>|null $when what it matches; null for every other fault
     *
     * @return array<string, mixed>
     */
    private static function says(?array $when, int $status, string $message): array
    {
        return ($when === null ? [] : ['match' => [$when]]) + [
            'handle' => [[
                'handler' => 'static_response',
                'status_code' => (string) $status,
                'headers' => [
                    'Content-Type' => ['application/json'],
                    'Cache-Control' => ['no-store'],
                    'X-Content-Type-Options' => ['nosniff'],
                ],
                'body' => json_encode(['message' => $message], JSON_THROW_ON_ERROR),
            ]],
            'terminal' => true,
        ];
    }
}
