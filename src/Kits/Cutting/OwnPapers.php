<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use Lottel\Core\Kit\Availability;

/** What one kit has of papers already, and what it wants of them, by item. */
final readonly class OwnPapers
{
    /**
     * @param array<int, int> $onTray on its tray now
     * @param array<int, int> $wanted wanted by it and not yet taken
     * @param array<int, int> $byHand on its list for something else than its cuts
     * @param array<int, int> $used used for that
     * @param array<int, int> $begun sheets on its tray that are cut into
     */
    public function __construct(private array $onTray, private array $wanted, private array $byHand, private array $used, private array $begun)
    {
    }

    /**
     * Returns how many sheets of a paper it may cut.
     *
     * @param int $here in storage
     * @param int $wanted by all kits, this one included, and not yet taken
     */
    public function forCuts(int $item, int $here, int $wanted): int
    {
        $others = new Availability($here, 0, $wanted - ($this->wanted[$item] ?? 0));

        return $others->forCuts(
            ($this->onTray[$item] ?? 0) - ($this->begun[$item] ?? 0),
            ($this->byHand[$item] ?? 0) - ($this->used[$item] ?? 0),
        );
    }
}
