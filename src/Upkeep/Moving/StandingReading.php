<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Database\KeptUntilChanged;
use App\Platform\Database\Row;
use App\Room\Stores\ReachOfPlaces;
use App\Room\Stores\RoomReading;
use App\Room\Stores\UnitRow;
use App\Upkeep\Rehoming\LivingReading;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\Household;
use Lottel\Core\Upkeep\Moving\PlaceGroup;
use Lottel\Core\Upkeep\Moving\StandingUnit;

/** Reads how often furniture is gone to, how far it stands, and what lives in it. */
final readonly class StandingReading
{
    public function __construct(
        private LivingReading $living,
        private RoomReading $room,
        private ReachOfPlaces $reach,
        private Connection $database,
        private KeptUntilChanged $kept,
    ) {
    }

    /** @return list<StandingUnit> the furniture that stands on the floor plan */
    public function units(): array
    {
        $known = $this->kept->get(GoneTo::class, '', function (): GoneTo {
            [$households, $dwellings] = $this->living->living($this->living->span());
            $uses = [];
            foreach ($households as $household) {
                $unit = $dwellings[$household->home]->unit;
                $uses[$unit] = ($uses[$unit] ?? 0.0) + $household->uses;
            }

            return new GoneTo($uses);
        });
        $units = [];
        foreach ($this->onFloor() as $unit) {
            $units[] = new StandingUnit(
                $unit->id,
                $unit->letters,
                $unit->width->wholeMillimetres(),
                $unit->depth->wholeMillimetres(),
                $known->uses[$unit->id] ?? 0.0,
                $this->walk($unit->id),
            );
        }

        return $units;
    }

    /**
     * What lives in each place of one unit, in the order of the addresses, and the places of another with what is in them.
     *
     * @return array{list<PlaceGroup>, list<HomePlace>}
     */
    public function between(UnitRow $old, UnitRow $new): array
    {
        [$households, $dwellings] = $this->living->living($this->living->span());
        $in = [];
        foreach ($households as $household) {
            if ($dwellings[$household->home]->unit === $old->id) {
                $in[$household->home][] = $household;
            }
        }
        $groups = array_map(static fn (int $place): PlaceGroup => new PlaceGroup($dwellings[$place], Household::joined($in[$place])), array_keys($in));
        $places = array_values(array_filter($dwellings, fn (HomePlace $place): bool => $place->unit === $new->id && $this->isFront($place->id)));

        return [self::byAddress($groups, static fn (PlaceGroup $group): string => $group->from->address),
            self::byAddress($places, static fn (HomePlace $place): string => $place->address)];
    }

    /** Whether it is a place that is seen from outside, and no box or layer within one. */
    private function isFront(int $place): bool
    {
        return $this->room->frontOf($place) === $place;
    }

    /** @return list<UnitRow> */
    private function onFloor(): array
    {
        $standing = array_flip(array_map(Row::number(...), $this->database->fetchFirstColumn('SELECT id FROM unit WHERE plan_x IS NOT NULL')));

        return array_values(array_intersect_key($this->room->units(), $standing));
    }

    private function walk(int $unit): float
    {
        foreach ($this->room->places() as $place) {
            if ($place->unitId === $unit) {
                $reach = $this->reach->to($place->id);

                return null === $reach ? 0.0 : $reach->walk + $reach->door;
            }
        }

        return 0.0;
    }

    /**
     * @template T
     *
     * @param list<T> $list
     * @param callable(T): string $address
     *
     * @return list<T>
     */
    private static function byAddress(array $list, callable $address): array
    {
        usort($list, static fn (mixed $one, mixed $other): int => strnatcmp($address($one), $address($other)));

        return $list;
    }
}
