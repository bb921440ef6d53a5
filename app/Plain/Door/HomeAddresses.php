<?php

declare(strict_types=1);

namespace App\Plain\Door;

/** Under what this machine is found on its own network. */
final class HomeAddresses
{
    /**
     * @return list<string> IPv4 addresses first, then those of IPv6 in brackets as an address line has them, then the
     *     machine's name, plain and as home networks call it
     */
    public static function here(): array
    {
        $addresses = [];
        foreach (net_get_interfaces() ?: [] as $interface) {
            $unicast = is_array($interface) ? $interface['unicast'] ?? null : null;
            foreach (is_array($unicast) ? $unicast : [] as $one) {
                $addresses[] = is_array($one) && is_string($one['address'] ?? null) ? $one['address'] : '';
            }
        }

        return self::among($addresses, (string) gethostname());
    }

    /**
     * @param list<string> $addresses of this machine's interfaces
     *
     * @return list<string> as here() gives them
     */
    public static function among(array $addresses, string $name): array
    {
        $isOf = static fn(int $kind): \Closure => static fn(string $one): bool
            => filter_var($one, FILTER_VALIDATE_IP, $kind) !== false;
        $four = array_filter(
            array_filter($addresses, $isOf(FILTER_FLAG_IPV4)),
            static fn(string $one): bool => !str_starts_with($one, '127.') && !str_starts_with($one, '169.254.'),
        );
        $six = array_filter(
            array_filter($addresses, $isOf(FILTER_FLAG_IPV6)),
            static fn(string $one): bool => $one !== '::1' && !str_starts_with(strtolower($one), 'fe80'),
        );
        $name = strtolower($name);
        $names = preg_match('/^[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?$/', $name) === 1 ? [$name, "{$name}.local"] : [];

        return [
            ...array_values($four),
            ...array_map(static fn(string $one): string => "[{$one}]", array_values($six)),
            ...$names,
        ];
    }
}
