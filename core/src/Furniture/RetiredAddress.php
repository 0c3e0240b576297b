<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

/** The address of a place out of use: its old one with a tail that nobody can type, so that the old one is free again. */
final class RetiredAddress
{
    private const MOST_CHARACTERS = 14;

    private function __construct()
    {
    }

    /** Returns the address that a place has once it is out of use. */
    public static function of(string $address, int $place): string
    {
        return \sprintf('%s~%d', mb_substr($address, 0, self::MOST_CHARACTERS), $place);
    }

    /** Whether an address is that of a place out of use. */
    public static function isOne(string $address): bool
    {
        return str_contains($address, '~');
    }

    /** Returns the address that a place had on its label, also of one that is out of use. */
    public static function onLabel(string $address): string
    {
        return (string) preg_replace('/(?<=.)~.*$/', '', $address);
    }
}
