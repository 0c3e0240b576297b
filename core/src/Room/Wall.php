<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/** The units that stand at one wall, from left to right as one sees them from the room. */
final readonly class Wall
{
    /** @param non-empty-list<Standing> $units */
    private function __construct(public string $name, public array $units)
    {
    }

    /**
     * Returns the walls in the order in which one walks past them. A wall at which the walk both begins and ends counts by the
     * unit in the middle of its own.
     *
     * @param list<Standing> $units
     *
     * @return list<self>
     */
    public static function of(array $units): array
    {
        $byWall = [];
        foreach ($units as $unit) {
            $byWall['='.mb_strtolower($unit->wall)][] = $unit;
        }
        $walls = [];
        foreach ($byWall as $standing) {
            $name = $standing[0]->wall;
            usort($standing, static fn (Standing $a, Standing $b): int => [$a->along, $a->walk, $a->id] <=> [$b->along, $b->walk, $b->id]);
            $walls[] = new self($name, $standing);
        }
        usort($walls, static fn (self $a, self $b): int => $a->middleOfWalk() <=> $b->middleOfWalk());

        return $walls;
    }

    public function places(): int
    {
        return array_sum(array_map(static fn (Standing $unit): int => $unit->places, $this->units));
    }

    /**
     * Parts its units into rows of about equal width, in their order.
     *
     * @return non-empty-list<non-empty-list<Standing>>
     */
    public function rows(int $count): array
    {
        $left = $whole = array_sum(array_map(static fn (Standing $unit): int => $unit->width, $this->units));
        $rows = [];
        foreach ($this->units as $unit) {
            $row = min($count - 1, (int) floor($count * ($whole - $left + $unit->width / 2) / max(1, $whole)));
            $rows[$row][] = $unit;
            $left -= $unit->width;
        }

        return array_values($rows);
    }

    private function middleOfWalk(): int
    {
        $walk = array_map(static fn (Standing $unit): int => $unit->walk, $this->units);
        sort($walk);

        return $walk[intdiv(\count($walk), 2)];
    }
}
