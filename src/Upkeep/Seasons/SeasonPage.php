<?php

declare(strict_types=1);

namespace App\Upkeep\Seasons;

use Lottel\Core\Upkeep\Seasons\Seasonal;
use Lottel\Core\Upkeep\Seasons\SeasonCalendar;

/** What comes forward for the season at hand and what goes back, and the places kept for it. */
final readonly class SeasonPage
{
    /**
     * @param list<FrontPlace> $fronts the places kept for the season at hand
     * @param list<Seasonal> $forward what comes forward, each with the place it comes to
     * @param list<Seasonal> $waiting what would come forward, had those places room for it
     * @param list<Seasonal> $back what goes back, each with the place it goes to
     * @param list<Seasonal> $homeless what would go back, but to a place that is not there any more, or never was
     */
    public function __construct(
        public SeasonCalendar $calendar,
        public array $fronts,
        public array $forward,
        public array $waiting,
        public array $back,
        public array $homeless,
    ) {
    }

    /** How many would come forward, whether or not there is room for them. */
    public function comes(): int
    {
        return \count($this->forward) + \count($this->waiting);
    }

    /** @return array<string, Seasonal> what moves, by what names it in a form: its first thing and where it goes */
    public function moves(): array
    {
        $moves = [];
        foreach ([...$this->back, ...$this->forward] as $seasonal) {
            $moves[$seasonal->household->things[0]->id.'-'.$seasonal->to?->id] = $seasonal;
        }

        return $moves;
    }
}
