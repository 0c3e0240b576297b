<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

/** A shop, and what is to be bought there. */
final readonly class Shop
{
    /** @param list<ShoppingLine> $lines */
    public function __construct(public string $name, public array $lines)
    {
    }

    /** What it costs as far as prices are known; null where none is. */
    public function cents(): ?int
    {
        $known = array_filter(array_map(static fn (ShoppingLine $line): ?int => $line->cents, $this->lines), is_int(...));

        return [] === $known ? null : array_sum($known);
    }

    /** How many of them have no known price. */
    public function unpriced(): int
    {
        return \count(array_filter($this->lines, static fn (ShoppingLine $line): bool => null === $line->cents));
    }
}
