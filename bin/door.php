<?php

declare(strict_types=1);

// What the home network needs: "passphrase" reads a new one from standard input, "has-passphrase" says whether there is
// one, "addresses" lists the names and addresses under which this machine is found at home.

use App\Plain\Door\AuthFault;
use App\Plain\Door\HomeAddresses;
use App\Plain\Door\Passphrase;

require __DIR__ . '/autoload.php';

$passphrase = Passphrase::ofThisKitchen();
switch ($argv[1] ?? '') {
    case 'has-passphrase':
        exit($passphrase->isSet() ? 0 : 1);
    case 'addresses':
        echo implode(' ', HomeAddresses::here()), "\n";
        exit(0);
    case 'passphrase':
        try {
            $passphrase->set(rtrim((string) fgets(STDIN), "\r\n"));
            echo "The passphrase is kept, as a hash. Whoever came in with an older one must enter this one.\n";
            exit(0);
        } catch (AuthFault $fault) {
            fwrite(STDERR, "vinculum: {$fault->getMessage()}\n");
            exit(2);
        }
    default:
        fwrite(STDERR, "vinculum: the door knows passphrase, has-passphrase and addresses.\n");
        exit(2);
}
