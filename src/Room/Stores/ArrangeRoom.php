<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Room\Footprint;
use Lottel\Core\Room\RoomLayout;

/** Keeps the floor plan: where units stand, and in which turn one walks past them. */
final readonly class ArrangeRoom
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** Gives a unit a spot along the walls: at the one that it is said to stand at, where others stand there already and it has room. */
    public function setDown(Unit $unit): void
    {
        $standing = array_filter($this->units($unit->room), static fn (Unit $other): bool => $other !== $unit && null !== $other->planX);
        $placed = $unit->room
            ->layout()
            ->arrange(
                array_map(static fn (Unit $other): Footprint => $other->footprint(), array_values($standing)),
                [$unit->footprint()],
                self::turnAt($unit->wall, $standing),
            )[0];
        $unit->standAt($placed->x, $placed->y, $placed->turn);
    }

    /** Whether a unit stands at another wall than most of those that are said to stand at the same one. */
    public function isAtAnotherWall(Unit $unit): bool
    {
        $others = array_filter($this->units($unit->room), static fn (Unit $other): bool => $other !== $unit);
        $turn = self::turnAt($unit->wall, $others);

        return null !== $turn && $turn !== $unit->turn;
    }

    /**
     * @param array<int, Unit> $standing
     *
     * @return int|null how most of the units of a wall are turned, null where none is there yet
     */
    private static function turnAt(string $wall, array $standing): ?int
    {
        $there = array_filter($standing, static fn (Unit $unit): bool => mb_strtolower($unit->wall) === mb_strtolower($wall));
        $turns = array_count_values(array_map(static fn (Unit $unit): int => $unit->turn, $there));
        arsort($turns);

        return array_key_first($turns);
    }

    /**
     * Puts the units of a room where the plan says, and numbers all units by the shortest walk past them: the first room
     * first.
     *
     * @param array<int, array{int, int, int}> $spots x, y and turn by unit
     *
     * @throws InvalidUnit if a unit would stand outside the walls or in another
     */
    public function __invoke(Room $room, RoomLayout $layout, array $spots): void
    {
        $units = $this->units($room);
        foreach ($units as $unit) {
            if (isset($spots[(int) $unit->id])) {
                $unit->standAt(...$spots[(int) $unit->id]);
            }
        }
        $layout->check(array_map(static fn (Unit $unit): Footprint => $unit->footprint(), $units));
        $room->arrange($layout);
        $this->number();
    }

    public function number(): void
    {
        $walk = 0;
        foreach ($this->entities->getRepository(Room::class)->findBy([], ['id' => 'ASC']) as $room) {
            $units = [];
            foreach ($this->units($room) as $unit) {
                $units[(int) $unit->id] = $unit;
            }
            foreach ($room->layout()->walk(array_values(array_map(static fn (Unit $unit): Footprint => $unit->footprint(), $units))) as $id) {
                $units[$id]->numberOnWalk(++$walk);
            }
        }
    }

    /** @return list<Unit> those that stand in a room */
    private function units(Room $room): array
    {
        $units = null === $room->id ? [] : $this->entities->getRepository(Unit::class)->findBy(['room' => $room], ['walk' => 'ASC', 'id' => 'ASC']);

        return array_values(array_filter($units, static fn (Unit $unit): bool => !$unit->isRetired()));
    }
}
