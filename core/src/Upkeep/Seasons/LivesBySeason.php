<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Seasons;

use Lottel\Core\Catalogue\Season;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\Household;

/** What belongs to a season, or may: where it lives now, and where it lives for the rest of the year. */
final readonly class LivesBySeason
{
    /**
     * @param bool $isForward whether it lives where it does for its season only
     * @param HomePlace|null $otherwise where it lives else; null where that is not known, or not there any more
     */
    public function __construct(
        public Household $household,
        public ?Season $season,
        public HomePlace $now,
        public bool $isForward,
        public ?HomePlace $otherwise = null,
    ) {
    }

    /** @return list<string> of all its things */
    public function themes(): array
    {
        return array_values(array_unique(array_merge(...array_map(static fn (Thing $thing): array => $thing->themes, $this->household->things))));
    }

    /** Returns why it may go back, once it may. */
    public function whyBack(): string
    {
        return match (true) {
            null !== $this->season => 'its season is over',
            [] === $this->themes() => 'it is of no season',
            default => 'it is of no season, and no date of its themes is near',
        };
    }
}
