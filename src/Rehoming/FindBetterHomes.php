<?php

declare(strict_types=1);

namespace App\Rehoming;

use App\Database\RoomMark;
use Lottel\Core\Upkeep\Better\BetterHomes;
use Psr\Cache\CacheItemPoolInterface;

/** Finds the few moves that save most; what was found is kept until something of the room changes. */
final readonly class FindBetterHomes
{
    /** So many moves are asked for where nobody says otherwise. */
    public const USUAL = 10;

    public function __construct(
        private LivingReading $reading,
        private RoomMark $mark,
        private CacheItemPoolInterface $cache,
        private BetterHomes $search = new BetterHomes(),
    ) {
    }

    /** Returns what was found before, if it is still true. */
    public function kept(int $most): ?KeptPlan
    {
        $kept = $this->cache->getItem('better-homes-'.$most)->get();

        return $kept instanceof KeptPlan && $kept->mark === $this->mark->now() && $this->mark->follows($kept->mark) ? $kept : null;
    }

    public function find(int $most): KeptPlan
    {
        $known = $this->kept($most);
        if (null !== $known) {
            return $known;
        }
        $span = $this->reading->span();
        $found = new KeptPlan($this->mark->now(), $this->search->of(...[...$this->reading->living($span), $most]), $span);
        $this->cache->save($this->cache->getItem('better-homes-'.$most)->set($found));

        return $found;
    }
}
