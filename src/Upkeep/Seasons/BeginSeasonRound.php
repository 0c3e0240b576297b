<?php

declare(strict_types=1);

namespace App\Upkeep\Seasons;

use App\Platform\Steps\Step;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use App\Upkeep\Rounds\RoundPurpose;
use App\Upkeep\Rounds\UpkeepRound;
use App\Upkeep\Rounds\UpkeepRoundRefused;
use Lottel\Core\Upkeep\Seasons\Seasonal;
use Lottel\Core\Words\Counted;

/** Begins a round that brings the season's things forward and sends others back, in one walk. */
final readonly class BeginSeasonRound
{
    public function __construct(private SeasonReading $reading, private BeginUpkeepRound $begin, private Items $items, private Places $places)
    {
    }

    /**
     * @param list<string> $keys what names them on the page
     *
     * @throws UpkeepRoundRefused if one of them is not to move any more
     */
    public function __invoke(Step $step, array $keys): UpkeepRound
    {
        $page = $this->reading->page();
        $moves = $page->moves();
        if ([] !== array_diff($keys, array_keys($moves))) {
            throw UpkeepRoundRefused::planHasChanged();
        }
        $chosen = array_values(array_intersect_key($moves, array_flip($keys)));
        $forward = array_filter($chosen, static fn (Seasonal $one): bool => \in_array($one, $page->forward, true));
        $name = implode(', ', array_filter([
            [] === $forward ? '' : Counted::of(self::things($forward), 'thing').' forward for '.$page->calendar->season()->value,
            \count($forward) === \count($chosen) ? '' : Counted::of(self::things($chosen) - self::things($forward), 'thing').' back',
        ], static fn (string $part): bool => '' !== $part));

        return ($this->begin)($step, RoundPurpose::Season, $name, array_merge(...array_map($this->tasks(...), $chosen)));
    }

    /** @param array<Seasonal> $seasonal */
    private static function things(array $seasonal): int
    {
        return array_sum(array_map(static fn (Seasonal $one): int => \count($one->household->things), $seasonal));
    }

    /** @return list<PlannedTask> */
    private function tasks(Seasonal $seasonal): array
    {
        return array_map(fn ($thing): PlannedTask => PlannedTask::move(
            $this->items->one($thing->id),
            $this->places->number($seasonal->from->id),
            $this->places->number((int) $seasonal->to?->id),
        ), $seasonal->household->things);
    }
}
