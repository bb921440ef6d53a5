<?php

declare(strict_types=1);

namespace App\Plain\Copies;

/** Looks at the rows of a copy before it is put in place of the kitchen. */
interface CopiedRows
{
    /**
     * @param string $file the copy, which may be written
     * @param string $named what it is called where it is told about
     *
     * @throws BackupFault that names the row
     */
    public function check(string $file, string $named): void;
}
