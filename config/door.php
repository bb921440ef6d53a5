<?php

declare(strict_types=1);

return [
    // names and addresses under which the home network finds this machine; none: only this machine itself is let in
    'hosts' => [],
    'folder' => storage_path('door'),
    // wrong passphrases in a quarter of an hour: from one device, and from all together
    'tries' => ['device' => 5, 'house' => 20, 'seconds' => 900],
    // a device is out when it did nothing for half a day (session.lifetime), and in any case after a week
    'longest_seconds' => 7 * 86_400,
];
