<?php

declare(strict_types=1);

namespace App\Server;

use App\Auth\HomeCertificate;
use App\Auth\HomePorts;

/**
 * What is served where: on this machine by http, and at home, where that is asked for, by https on the next port; on the
 * port after it the page that helps a device to trust this kitchen. Plain PHP.
 */
final readonly class ServerPlan
{
    /** Bytes of the path of a socket that every system takes. */
    private const LONGEST_SOCKET = 100;

    /**
     * @param list<string> $homeAddresses names under which the home network finds this machine; none where it is not
     *     served
     * @param string $door the folder of the passphrase, and of the authority that devices trust
     * @param string $token by which our own server is known
     * @param string $feedSecret by which the feed of weights knows whom the kitchen has let in
     */
    public function __construct(
        public string $root,
        public int $port,
        public array $homeAddresses,
        public string $door,
        public string $token,
        public string $feedSecret = '',
    ) {}

    public function kitchen(): string
    {
        return "http://127.0.0.1:{$this->port}";
    }

    public function securePortHere(): int
    {
        return HomePorts::secure($this->port);
    }

    public function welcomePortHere(): int
    {
        return HomePorts::welcome($this->port);
    }

    /** Where configurations and sockets lie while it is served. */
    public function folder(): string
    {
        return "{$this->root}/storage/servers/run-{$this->port}";
    }

    /** A program that was unpacked, where nothing else is said. */
    public function program(string $name): string
    {
        $folder = getenv('VINCULUM_SERVERS');

        return (is_string($folder) && $folder !== '' ? $folder : "{$this->root}/storage/servers") . "/{$name}";
    }

    /** Whether there are real servers; else PHP's own serves this machine alone. */
    public function hasServers(): bool
    {
        return is_executable($this->program('caddy'))
            && is_executable($this->program('php-fpm'))
            && strlen($this->socket('kitchen')) <= self::LONGEST_SOCKET;
    }

    public function socket(string $name): string
    {
        return "{$this->folder()}/{$name}.sock";
    }

    /** By this, in their titles, the processes of FPM are known: it overwrites what they were started with. */
    public function marker(): string
    {
        return ProcessTable::marker($this->root, (int) getmypid());
    }

    public function authority(): string
    {
        return "{$this->door}/authority";
    }

    public function certificate(): HomeCertificate
    {
        return HomeCertificate::behind($this->door);
    }

    public function log(): string
    {
        return "{$this->root}/storage/logs/server.log";
    }
}
