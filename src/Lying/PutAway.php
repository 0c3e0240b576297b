<?php

declare(strict_types=1);

namespace App\Lying;

use App\Catalogue\Items;
use App\Errands\BeginErrand;
use App\Errands\Errand;
use App\Errands\ErrandRefused;
use App\Errands\PlannedTask;
use App\Errands\Purpose;
use App\Kits\Kit;
use App\Kits\KitReading;
use App\Rounds\BringHome;
use App\Steps\Step;
use App\Stores\Places;
use App\Stores\RoomReading;
use Lottel\Core\Round\Purpose as RoundPurpose;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use Lottel\Core\Words\Counted;

/** One round that brings home what is on the trays of several kits. */
final readonly class PutAway
{
    public function __construct(
        private BringHome $bring,
        private KitReading $reading,
        private BeginErrand $begin,
        private Items $items,
        private Places $places,
        private RoomReading $room,
    ) {
    }

    /**
     * @param list<Kit> $kits
     *
     * @throws ErrandRefused if nothing on their trays has a home
     */
    public function __invoke(Step $step, array $kits): Errand
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
        $ordered = (new WalkingOrder())->of($stops, $heavy, RoundPurpose::PutAway->beginsLoaded());
        $tasks = array_merge(...array_map(static fn (Stop $stop): array => $byPlace[$stop->place], $ordered));

        $name = Counted::names(array_map(static fn (Kit $kit): string => $kit->name, $kits), 'kit', 2);

        return ($this->begin)($step, Purpose::PutAway, $name, $tasks, isInOrder: true);
    }
}
