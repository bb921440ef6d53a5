<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Connectors\SQLiteConnector;

/**
 * Opens the kitchen to be read only, and writes nothing beside it: where the disk is full, SQLite could not open it
 * otherwise (https://www.sqlite.org/uri.html, immutable). Nobody may write it meanwhile: the lock of ./vinculum start
 * sees to that.
 */
final class ImmutableConnector extends SQLiteConnector
{
    protected function parseDatabasePath(string $path): string
    {
        return 'file:' . str_replace('%2F', '/', rawurlencode(parent::parseDatabasePath($path))) . '?immutable=1';
    }
}
