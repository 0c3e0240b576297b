<?php

declare(strict_types=1);

namespace App\Making;

use App\Kits\TrayRow;
use Lottel\Core\Kit\Bench;
use Lottel\Core\Kit\Makes;

/** A tray on the bench: the pieces as far as they are, what lasts, and what is used up. */
final readonly class AtBench
{
    /**
     * @param list<TrayRow> $lasting
     * @param list<BenchRow> $usedUp
     * @param list<MadePiece> $made
     */
    public function __construct(public Bench $bench, public Makes $makes, public array $lasting, public array $usedUp, public array $made)
    {
    }

    /** How many different things go home again. */
    public function toReturn(): int
    {
        return \count($this->lasting) + \count($this->usedUp) + \count(array_filter($this->made, static fn (MadePiece $piece): bool => $piece->quantity > 0));
    }

    /** Returns how much of a thing on the tray the next pieces take. */
    public function named(int $item): ?BenchRow
    {
        return array_values(array_filter($this->usedUp, static fn (BenchRow $row): bool => $row->row->thing->id === $item))[0] ?? null;
    }
}
