<?php

declare(strict_types=1);

namespace App\Server;

/**
 * Where the kitchen is, for whoever started it; and at home the page that helps a device to trust it, with a picture of
 * its address to point a camera at.
 */
final readonly class Announcement
{
    /** How long the authority's certificate may take to be made, at the very first start. */
    private const PATIENCE_SECONDS = 5.0;

    public function __construct(private ServerPlan $plan) {}

    public function say(): void
    {
        echo "Vinculum is at {$this->plan->kitchen()} (Ctrl+C stops it)\n";
        if ($this->plan->homeAddresses !== []) {
            $welcome = $this->welcome();
            echo "The home network finds it here, encrypted, with the passphrase:\n";
            foreach ($this->plan->homeAddresses as $host) {
                echo "  https://{$host}:{$this->plan->securePortHere()}\n";
            }
            echo "A phone or tablet that comes for the first time: point its camera at this, or open {$welcome}\n";
            echo $this->picture($welcome);
        } elseif (!$this->plan->hasServers()) {
            echo "It is served by PHP's own server, to this machine alone, since Caddy and PHP-FPM could not be had here; storage/logs/servers.log says why.\n";
        }
        flush();
    }

    /** Lays out the page, once there is a certificate to hand out. */
    private function welcome(): string
    {
        $folder = "{$this->plan->folder()}/welcome";
        if (!is_dir($folder)) {
            mkdir($folder, 0o700);
        }
        $certificate = $this->plan->certificate();
        for ($end = microtime(true) + self::PATIENCE_SECONDS; !is_file($certificate->file) && microtime(true) < $end;) {
            usleep(50_000);
        }
        @copy($certificate->file, "{$folder}/vinculum.crt");
        $addresses = implode('', array_map(
            fn(string $host): string => sprintf(
                '<li><a href="https://%1$s:%2$d/">https://%1$s:%2$d</a></li>',
                htmlspecialchars($host),
                $this->plan->securePortHere(),
            ),
            $this->plan->homeAddresses,
        ));
        $page = (string) file_get_contents("{$this->plan->root}/app/Server/welcome.html");
        file_put_contents("{$folder}/index.html", strtr($page, [
            '{addresses}' => $addresses,
            '{fingerprint}' => $certificate->fingerprint() ?? 'The certificate is not made yet: load this page anew in a moment.',
        ]));

        return "http://{$this->plan->homeAddresses[0]}:{$this->plan->welcomePortHere()}";
    }

    /** Two rows of squares to a line of letters; nothing where Node.js cannot draw it. */
    private function picture(string $address): string
    {
        $drawn = shell_exec(sprintf(
            'node %s %s 2>/dev/null',
            escapeshellarg("{$this->plan->root}/bin/qr.js"),
            escapeshellarg($address),
        ));

        return is_string($drawn) ? $drawn : '';
    }
}
