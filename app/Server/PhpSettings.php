<?php

declare(strict_types=1);

namespace App\Server;

/** Of the PHP that serves. Plain PHP. */
final class PhpSettings
{
    private const SERVING = [
        'opcache.enable' => '1',
        'opcache.enable_cli' => '1',
        // hot paths, as they are found: whole functions would answer no faster, and take 1.6 s longer to start
        'opcache.jit' => 'tracing',
        'opcache.jit_buffer_size' => '64M',
        'opcache.memory_consumption' => '128',
        'opcache.interned_strings_buffer' => '16',
        'opcache.max_accelerated_files' => '8000',
        'opcache.revalidate_freq' => '2',
        // the facts are moved into place whole just before: no need to wait until they are two seconds old
        'opcache.file_update_protection' => '0',
        'memory_limit' => '128M',
        'max_execution_time' => '20',
        'post_max_size' => '6M',
        'display_errors' => '0',
        'expose_php' => '0',
    ];

    /** @return array<string, string> */
    public static function serving(): array
    {
        return self::SERVING;
    }

    /**
     * @param array<string, string> $settings
     *
     * @return list<string> as PHP is started with them
     */
    public static function arguments(array $settings): array
    {
        $arguments = [];
        foreach ($settings as $name => $value) {
            array_push($arguments, '-d', "{$name}={$value}");
        }

        return $arguments;
    }

    /**
     * Where the command line's PHP finds its extensions: FPM, unpacked and never installed, has no folder of its own.
     *
     * @return array<string, string>
     */
    public static function environment(): array
    {
        return ['PHP_INI_SCAN_DIR' => getenv('PHP_INI_SCAN_DIR') ?: PHP_CONFIG_FILE_SCAN_DIR];
    }
}
