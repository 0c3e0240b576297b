<?php

declare(strict_types=1);

namespace App\Platform\Lan;

use Symfony\Component\DependencyInjection\Attribute\Exclude;

/** By which names and addresses this machine is reached on the workroom's network. */
#[Exclude]
final readonly class LanAddress
{
    /** @param non-empty-list<string> $names the one to be said first */
    private function __construct(public array $names, public int $port, public int $plainPort)
    {
    }

    /** @param string $name as somebody wants it called; empty where nothing is said */
    public static function of(string $name, int $port, int $plainPort): self
    {
        $host = strtolower((string) gethostname());
        $names = [$name, ...self::addresses(), '' === $host ? '' : "{$host}.local", $host, 'localhost'];
        $fit = array_values(array_unique(array_filter($names, self::isFit(...))));

        return new self([] === $fit ? ['localhost'] : $fit, $port, $plainPort);
    }

    /** The address that is printed, and that the QR code opens. */
    public function url(): string
    {
        return \sprintf('https://%s:%d/', self::inUrl($this->names[0]), $this->port);
    }

    /** Where the authority's certificate is to be had, before the device trusts it. */
    public function trustUrl(): string
    {
        return \sprintf('http://%s:%d/trust', self::inUrl($this->names[0]), $this->plainPort);
    }

    /** A pattern of all of them, for the hosts that are answered. */
    public function pattern(): string
    {
        return '^('.implode('|', array_map(static fn (string $name): string => preg_quote(self::inUrl($name)), $this->names)).')$';
    }

    /** @return list<string> the addresses of this machine that others can reach */
    private static function addresses(): array
    {
        $found = [];
        $interfaces = array_filter(net_get_interfaces() ?: [], is_array(...));
        foreach (array_filter($interfaces, static fn (array $of): bool => true === ($of['up'] ?? false)) as $interface) {
            foreach (\is_array($interface['unicast'] ?? null) ? $interface['unicast'] : [] as $one) {
                $address = \is_array($one) && \is_string($one['address'] ?? null) ? $one['address'] : '';
                $isOpen = '' !== $address && !str_starts_with($address, '127.') && '::1' !== $address && !str_starts_with($address, 'fe80');
                if ($isOpen) {
                    $found[] = $address;
                }
            }
        }
        usort($found, static fn (string $a, string $b): int => str_contains($a, ':') <=> str_contains($b, ':'));

        return $found;
    }

    private static function isFit(string $name): bool
    {
        return false !== filter_var($name, \FILTER_VALIDATE_IP) || 1 === preg_match('/^(?=.{1,60}$)[a-z0-9](?:[a-z0-9.-]*[a-z0-9])?$/D', $name);
    }

    private static function inUrl(string $name): string
    {
        return str_contains($name, ':') ? "[{$name}]" : $name;
    }
}
