<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Kits\Kits\TrayRow;
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
    public function __construct(
        public Bench $bench,
        public Makes $makes,
        public array $lasting,
        public array $usedUp,
        public array $made,
        public ?DesignAtBench $design = null,
    ) {
    }

    /** Returns the row of a thing that is used up, null where it is none on the tray. */
    public function named(int $item): ?BenchRow
    {
        return array_values(array_filter($this->usedUp, static fn (BenchRow $row): bool => $row->row->thing->id === $item))[0] ?? null;
    }
}
