<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use App\Platform\Database\KeptUntilChanged;
use Lottel\Core\Upkeep\Better\BetterHomes;

/** Finds the few moves that save most; what was found is kept until something of the room changes. */
final readonly class FindBetterHomes
{
    /** So many moves are asked for where nobody says otherwise. */
    public const USUAL = 10;

    public function __construct(private LivingReading $reading, private KeptUntilChanged $kept, private BetterHomes $search = new BetterHomes())
    {
    }

    /** Returns what was found before, if it is still true. */
    public function kept(int $most): ?KeptPlan
    {
        return $this->kept->known(KeptPlan::class, (string) $most);
    }

    public function find(int $most): KeptPlan
    {
        return $this->kept->get(KeptPlan::class, (string) $most, function () use ($most): KeptPlan {
            $span = $this->reading->span();
            [$households, $dwellings] = $this->reading->living($span);

            return new KeptPlan($this->search->of($households, $dwellings, $most), $span);
        });
    }
}
