<?php

declare(strict_types=1);

namespace App\Kits;

use Lottel\Core\Kit\Readiness;

/** A planned kit as a slip: its list, and whether it can be pulled. */
final readonly class KitSlip
{
    public Readiness $readiness;

    /** @param list<NeedRow> $needs */
    public function __construct(public KitRow $kit, public array $needs)
    {
        $short = array_filter($needs, static fn (NeedRow $need): bool => $need->shortfall() > 0);
        $this->readiness = new Readiness(\count($needs), array_values(array_map(static fn (NeedRow $need): string => $need->thing->name, $short)));
    }
}
