<?php

declare(strict_types=1);

namespace App\Plain\Copies;

/** Whether a file is a sound kitchen of this or an older Vinculum. Plain PHP. */
final readonly class KitchenCheck
{
    /** @param string $root of the project, for its migrations */
    public function __construct(private string $root) {}

    public function opens(string $file): bool
    {
        try {
            $this->check($file);

            return true;
        } catch (BackupFault) {
            return false;
        }
    }

    /**
     * @param string|null $named what the file is called where it is told about; itself when null
     *
     * @throws BackupFault when a file is no sound kitchen
     */
    public function check(string $file, ?string $named = null): void
    {
        $named ??= $file;
        if (!is_file($file)) {
            throw BackupFault::notThere($named);
        }
        if (!DatabaseFile::at($file)->hasHeader()) {
            throw BackupFault::noCopy($named);
        }
        $schema = DatabaseFile::at($file)->schema($named);
        $newest = $schema['newest'];
        if ($newest === null) {
            throw BackupFault::noCopy($named);
        }
        $ours = KitchenSchema::ofThisVersion($this->root);
        if ($newest > $ours->newest()) {
            throw BackupFault::newer($named);
        }
        $odd = $ours->difference($newest, $schema['sql']);
        if ($odd !== null) {
            throw BackupFault::foreign($named, $odd);
        }
    }
}
