<?php

declare(strict_types=1);

namespace App\Auth;

/** Under what this machine is found on its own network. */
final class HomeAddresses
{
    /** @return list<string> IPv4 addresses first, then the machine's name, plain and as home networks call it */
    public static function here(): array
    {
        $found = [];
        foreach (net_get_interfaces() ?: [] as $interface) {
            foreach (is_array($interface) && is_array(
                $interface['unicast'] ?? null,
            ) ? $interface['unicast'] : [] as $one) {
                $address = is_array($one) && is_string($one['address'] ?? null) ? $one['address'] : '';
                if (
                    filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) !== false
                    && !str_starts_with($address, '127.')
                ) {
                    $found[] = $address;
                }
            }
        }
        $name = strtolower((string) gethostname());
        $names = preg_match('/^[a-z0-9-]+$/', $name) === 1 ? [$name, "{$name}.local"] : [];

        return [...$found, ...$names];
    }
}
