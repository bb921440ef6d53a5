<?php

declare(strict_types=1);

use App\Server\ResidentSocket;
use Illuminate\Http\Request;

// what only reads is answered by a process that stays, where there is one: before anything else is loaded
if (in_array(getenv('VINCULUM_RESIDENTS_SOCKET'), [false, ''], true) === false) {
    require_once __DIR__ . '/../app/Server/ServedCaches.php';
    require_once __DIR__ . '/../app/Server/ResidentSocket.php';
    require_once __DIR__ . '/../app/Server/ResidentAnswer.php';
    $answer = ResidentSocket::here(dirname(__DIR__))->ask($_SERVER);
    if ($answer !== null) {
        $answer->send();

        return true;
    }
}

require __DIR__ . '/../vendor/autoload.php';

(require __DIR__ . '/../bootstrap/app.php')->handleRequest(Request::capture());
