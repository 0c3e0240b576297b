<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Database\Row;
use App\Room\Catalogue\ThingRow;
use App\Room\Stores\RoomReading;
use App\Upkeep\Rehoming\LivingReading;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Round\Stop;
use Lottel\Core\Round\WalkingOrder;
use Lottel\Core\Upkeep\Moving\BoxLimits;
use Lottel\Core\Upkeep\Moving\PackBoxes;
use Lottel\Core\Upkeep\Moving\PackedThing;
use Lottel\Core\Upkeep\Moving\PackingPlan;

/** Reads what lies in some furniture, and works out which box takes what. */
final readonly class MovingReading
{
    /** So many things at once, and no more. */
    private const MOST = 2000;

    public function __construct(private Connection $database, private LivingReading $living, private RoomReading $room)
    {
    }

    /**
     * @param list<int> $units
     *
     * @throws MovingRefused if that is too much at once
     */
    public function plan(array $units, BoxLimits $limits): PackingPlan
    {
        [$byPlace, $twice] = $this->things($units);
        $things = array_sum(array_map(\count(...), $byPlace));
        if ($things > self::MOST) {
            throw MovingRefused::tooMuch($things, self::MOST);
        }
        $plan = (new PackBoxes($limits))->pack($this->inOrder($byPlace));

        return new PackingPlan($plan->boxes, [...$plan->byHand, ...$twice], $limits);
    }

    /** How many things of the room are out with kits or lent, and so in no box. */
    public function out(): int
    {
        return Row::number($this->database->fetchOne(
            "SELECT count(DISTINCT b.item_id) FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'tray' AND p.kind <> 'basket'",
        ));
    }

    /**
     * @param list<int> $units
     *
     * @return array{array<int, list<PackedThing>>, list<PackedThing>} by place; and what lies in a second place, too
     */
    private function things(array $units): array
    {
        $uses = $this->living->uses($this->living->span());
        $byPlace = $twice = $known = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT i.*, b.quantity, b.place_id FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'storage' AND p.retired_at IS NULL
             JOIN item i ON i.id = b.item_id WHERE p.unit_id IN (?) AND b.quantity > 0 ORDER BY b.place_id, i.name, i.id",
            [$units],
            [ArrayParameterType::INTEGER],
        ) as $columns) {
            $row = new Row($columns);
            $thing = ThingRow::of($row);
            $packed = new PackedThing(
                $thing->id,
                $row->int('place_id'),
                $thing->contents(),
                $thing->box ?? TypicalSize::box($thing->thing->kind),
                $uses[$thing->id] ?? 0.0,
                \in_array(Hazard::Solvent, $thing->hazards, true),
            );
            // What lies in two places goes into one box only, so that each box knows what is in it.
            if (isset($known[$thing->id])) {
                $twice[] = $packed;
            } else {
                $byPlace[$packed->place][] = $packed;
            }
            $known[$thing->id] = true;
        }

        return [$byPlace, $twice];
    }

    /**
     * @param array<int, list<PackedThing>> $byPlace
     *
     * @return list<list<list<PackedThing>>> by unit and place, in the order of a walk
     */
    private function inOrder(array $byPlace): array
    {
        $stops = array_values(array_filter(array_map($this->room->stop(...), array_keys($byPlace)), static fn (?Stop $stop): bool => null !== $stop));
        $units = [];
        foreach ((new WalkingOrder())->of($stops) as $stop) {
            $units[$this->room->place($stop->place)->unitId ?? 0][] = $byPlace[$stop->place];
        }

        return array_values($units);
    }
}
