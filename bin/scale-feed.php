<?php

declare(strict_types=1);

// Tells every page that looks what the scale shows: php bin/scale-feed.php SOCKET
// Started by bin/server.php; the kitchen gives a ticket to whom it lets in.

use App\Instruments\FeedTicket;
use App\Instruments\InstrumentAddress;
use App\Instruments\ScaleFeed;

require dirname(__DIR__) . '/vendor/autoload.php';

@unlink($argv[1]);
$before = umask(0o177);
$socket = stream_socket_server("unix://{$argv[1]}");
umask($before);
$ticket = FeedTicket::here();
if ($socket === false || $ticket === null) {
    exit(1);
}
$feed = new ScaleFeed($socket, InstrumentAddress::here(...), $ticket);
for ($parent = posix_getppid(); posix_getppid() === $parent;) {
    $feed->turn();
}
