<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use Lottel\Core\Kit\Readiness;

/** A planned kit as a slip: its list, and whether it can be pulled. */
final readonly class KitSlip
{
    public Readiness $readiness;

    /**
     * @param list<NeedRow> $needs
     * @param list<string> $withoutPaper
     */
    public function __construct(public KitRow $kit, public array $needs, array $withoutPaper = [])
    {
        $out = $short = [];
        foreach ($needs as $need) {
            if ($need->shortfall() > 0 && 0 === $need->stored && '' !== $need->outWith) {
                $out[$need->thing->name] = $need->outWith;
            } elseif ($need->shortfall() > 0) {
                $short[] = $need->thing->name;
            }
        }
        $this->readiness = new Readiness(\count($needs), $short, $out, $withoutPaper);
    }
}
