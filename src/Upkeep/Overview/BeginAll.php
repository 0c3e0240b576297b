<?php

declare(strict_types=1);

namespace App\Upkeep\Overview;

use App\Platform\Steps\Step;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use App\Upkeep\Lost\LostReading;
use App\Upkeep\Rehoming\BeginRehoming;
use App\Upkeep\Rehoming\FindBetterHomes;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use App\Upkeep\Rounds\RoundPurpose;
use App\Upkeep\Rounds\UpkeepRound;
use Lottel\Core\Words\Counted;

/** One walk that does several things at once: moves things to better homes, and looks for what is lost where it is likeliest. */
final readonly class BeginAll
{
    private const MOST_MOVES = 6;
    private const MOST_LOST = 3;
    private const MOST_LOOKS = 3;

    public function __construct(
        private FindBetterHomes $homes,
        private BeginRehoming $rehoming,
        private LostReading $lost,
        private BeginUpkeepRound $begin,
        private Items $items,
        private Places $places,
        private RoomReading $room,
    ) {
    }

    public function __invoke(Step $step): UpkeepRound
    {
        [$moves, $saves] = $this->moves();
        $looks = $this->looks();

        return ($this->begin)($step, RoundPurpose::All, self::name(\count($moves), \count($looks)), [...$moves, ...$looks], $saves);
    }

    private static function name(int $moves, int $looks): string
    {
        return implode(' and ', array_filter([
            0 === $moves ? '' : Counted::of($moves, 'thing').' to better homes',
            0 === $looks ? '' : Counted::of($looks, 'look').' for what is lost',
        ], static fn (string $part): bool => '' !== $part));
    }

    /** @return array{list<PlannedTask>, float} moves of the plan that is kept, and what they save in seconds a month */
    private function moves(): array
    {
        $tasks = [];
        $saves = 0.0;
        foreach ($this->homes->kept(FindBetterHomes::USUAL)->plan->exchanges ?? [] as $exchange) {
            $more = $this->rehoming->tasks($exchange);
            if (\count($tasks) + \count($more) <= self::MOST_MOVES) {
                $tasks = [...$tasks, ...$more];
                $saves += $exchange->saves();
            }
        }

        return [$tasks, $saves];
    }

    /** @return list<PlannedTask> */
    private function looks(): array
    {
        $tasks = [];
        foreach (\array_slice($this->lost->all(), 0, self::MOST_LOST) as $row) {
            $item = $this->items->one($row->thing->id);
            $looks = 0;
            foreach ($this->lost->search($row->thing->id)->order ?? [] as $spot) {
                if ($looks < self::MOST_LOOKS && null !== $this->room->place($spot->likely->place)) {
                    $tasks[] = PlannedTask::look($item, $this->places->number($spot->likely->place), (int) round(1000 * $spot->likely->chance));
                    ++$looks;
                }
            }
        }

        return $tasks;
    }
}
