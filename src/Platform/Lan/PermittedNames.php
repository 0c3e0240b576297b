<?php

declare(strict_types=1);

namespace App\Platform\Lan;

use Symfony\Component\DependencyInjection\Attribute\Exclude;

/**
 * For which names and addresses a room's authority may vouch (name constraints, RFC 5280, 4.2.1.10): those of a network of one's own, and
 * those of this machine when it was made. Whoever came by its key could not pass for another site.
 */
#[Exclude]
final readonly class PermittedNames
{
    /** Names that are given out on networks of one's own (RFC 6761, RFC 6762, RFC 8375, and common practice). */
    private const DOMAINS = ['localhost', 'local', 'home.arpa', 'internal', 'lan', 'home', 'test'];

    /** Loopback, private, link-local and unique local addresses (RFC 1918, RFC 3927, RFC 4193, RFC 4291). */
    private const NETWORKS = [
        '127.0.0.0/255.0.0.0', '10.0.0.0/255.0.0.0', '172.16.0.0/255.240.0.0', '192.168.0.0/255.255.0.0', '169.254.0.0/255.255.0.0',
        '::1/ffff:ffff:ffff:ffff:ffff:ffff:ffff:ffff', 'fc00::/fe00::', 'fe80::/ffc0::',
    ];

    /**
     * @param list<string> $domains
     * @param list<string> $networks address and mask
     */
    private function __construct(private array $domains, private array $networks)
    {
    }

    /** @param list<string> $names of this machine now */
    public static function with(array $names): self
    {
        $own = new self(self::DOMAINS, self::NETWORKS);
        $others = array_filter($names, static fn (string $name): bool => !$own->permits($name));
        $addresses = array_filter($others, self::isAddress(...));
        $networks = array_map(
            static fn (string $address): string => $address.'/'.(str_contains($address, ':') ? 'ffff:ffff:ffff:ffff:ffff:ffff:ffff:ffff' : '255.255.255.255'),
            $addresses,
        );

        return new self([...self::DOMAINS, ...array_values(array_diff($others, $addresses))], [...self::NETWORKS, ...array_values($networks)]);
    }

    /** Reads what an authority may vouch for; null where it is one from before, which may for all. */
    public static function of(string $authority): ?self
    {
        $said = openssl_x509_parse($authority);
        $extensions = \is_array($said) && \is_array($said['extensions'] ?? null) ? $said['extensions'] : [];
        $constraints = $extensions['nameConstraints'] ?? null;
        if (!\is_string($constraints)) {
            return null;
        }
        preg_match_all('/DNS:(\S+)/', $constraints, $domains);
        preg_match_all('/IP:(\S+)/', $constraints, $networks);

        return new self($domains[1], $networks[1]);
    }

    public function permits(string $name): bool
    {
        if (!self::isAddress($name)) {
            return [] !== array_filter($this->domains, static fn (string $domain): bool => $name === $domain || str_ends_with($name, '.'.$domain));
        }
        $address = (string) inet_pton($name);

        return [] !== array_filter($this->networks, static function (string $network) use ($address): bool {
            [$base, $mask] = array_map(static fn (string $part): string => (string) @inet_pton($part), explode('/', $network.'/', 3));

            return \strlen($base) === \strlen($address) && \strlen($mask) === \strlen($address) && ($address & $mask) === ($base & $mask);
        });
    }

    /** The extension as OpenSSL's settings say it. */
    public function extension(): string
    {
        $permitted = static fn (string $kind): callable => static fn (string $one): string => "permitted;{$kind}:{$one}";

        return 'critical, '.implode(', ', [...array_map($permitted('DNS'), $this->domains), ...array_map($permitted('IP'), $this->networks)]);
    }

    private static function isAddress(string $name): bool
    {
        return false !== filter_var($name, \FILTER_VALIDATE_IP);
    }
}
