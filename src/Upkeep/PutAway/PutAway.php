<?php

declare(strict_types=1);

namespace App\Upkeep\PutAway;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitReading;
use App\Kits\Rounds\BringHome;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use App\Upkeep\Rounds\RoundPurpose;
use App\Upkeep\Rounds\UpkeepRound;
use App\Upkeep\Rounds\UpkeepRoundRefused;
use Lottel\Core\Round\Purpose as WalkPurpose;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use Lottel\Core\Words\Counted;

/** One round that brings home what is on the trays of several kits. */
final readonly class PutAway
{
    public function __construct(
        private BringHome $bring,
        private KitReading $reading,
        private BeginUpkeepRound $begin,
        private Items $items,
        private Places $places,
        private RoomReading $room,
    ) {
    }

    /**
     * @param list<Kit> $kits
     *
     * @throws UpkeepRoundRefused if nothing on their trays has a home
     */
    public function __invoke(Step $step, array $kits): UpkeepRound
    {
        $byPlace = $heavy = [];
        foreach ($kits as $kit) {
            $this->bring->begin($kit);
            foreach ($this->reading->tray((int) $kit->id) as $row) {
                $home = $row->thing->homeId;
                if (null !== $home && null !== $this->room->place($home)) {
                    $byPlace[$home][] = PlannedTask::home($this->items->one($row->thing->id), $kit, $this->places->number($home));
                    $heavy = $row->thing->isCarriedShort() ? [...$heavy, $home] : $heavy;
                }
            }
        }
        $stops = array_values(array_filter(array_map($this->room->stop(...), array_keys($byPlace)), static fn (?Stop $stop): bool => null !== $stop));
        $ordered = (new WalkingOrder())->of($stops, $heavy, WalkPurpose::PutAway->beginsLoaded());
        $tasks = array_merge(...array_map(static fn (Stop $stop): array => $byPlace[$stop->place], $ordered));

        $name = Counted::names(array_map(static fn (Kit $kit): string => $kit->name, $kits), 'kit', 2);

        return ($this->begin)($step, RoundPurpose::PutAway, $name, $tasks, isInOrder: true);
    }
}
