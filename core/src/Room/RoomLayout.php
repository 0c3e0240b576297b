<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Round\FloorPlan;
use Lottel\Core\Round\Obstacle;
use Lottel\Core\Round\Point;
use Lottel\Core\Round\RoundPlanner;

/**
 * The floor plan of a room: walls, door, bench and what else stands about, in whole millimetres from the left upper corner.
 * The door is in the wall at the bottom of the plan.
 */
final readonly class RoomLayout
{
    public const LEAST_MM = 500;
    public const MOST_MM = 30_000;

    /** Units are set down so far apart when nobody has said where they stand. */
    private const GAP_MM = 60;

    /** @param list<array{name: string, x: int, y: int, width: int, depth: int}> $fixtures what stands in the way; the first is the bench where there is one */
    public function __construct(
        public int $width = 4800,
        public int $depth = 3600,
        public int $doorAt = 200,
        public int $doorWidth = 800,
        public array $fixtures = [],
    ) {
    }

    /** Reads what toArray() wrote; what is missing is as usual. */
    public static function fromArray(mixed $plan): self
    {
        if (!\is_array($plan) || !isset($plan['width'], $plan['depth'])) {
            return new self(fixtures: [['name' => 'bench', 'x' => 1700, 'y' => 1500, 'width' => 1400, 'depth' => 700]]);
        }
        $fixtures = [];
        foreach (\is_array($plan['fixtures'] ?? null) ? $plan['fixtures'] : [] as $fixture) {
            if (\is_array($fixture)) {
                $fixtures[] = [
                    'name' => self::text($fixture['name'] ?? ''),
                    'x' => self::whole($fixture['x'] ?? 0),
                    'y' => self::whole($fixture['y'] ?? 0),
                    'width' => self::whole($fixture['width'] ?? 0),
                    'depth' => self::whole($fixture['depth'] ?? 0),
                ];
            }
        }

        return new self(
            self::whole($plan['width']),
            self::whole($plan['depth']),
            self::whole($plan['door_at'] ?? 200),
            self::whole($plan['door_width'] ?? 800),
            $fixtures,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['width' => $this->width, 'depth' => $this->depth, 'door_at' => $this->doorAt, 'door_width' => $this->doorWidth, 'fixtures' => $this->fixtures];
    }

    /**
     * Checks that all stand within the walls and no two on the same spot.
     *
     * @param list<Footprint> $footprints
     *
     * @throws InvalidUnit if one does not
     */
    public function check(array $footprints): void
    {
        foreach ($footprints as $index => $one) {
            if ($one->x < 0 || $one->y < 0 || $one->x + $one->across() > $this->width || $one->y + $one->down() > $this->depth) {
                throw InvalidUnit::outsideTheWalls($one->name);
            }
            foreach (\array_slice($footprints, $index + 1) as $other) {
                if ($one->meets($other)) {
                    throw InvalidUnit::stand($one->name, $other->name);
                }
            }
        }
    }

    /**
     * Sets units down along the walls, clockwise from the left upper corner, where nothing stands yet; what finds no wall goes
     * to the left upper corner.
     *
     * @param list<Footprint> $standing
     * @param list<Footprint> $units their x, y and turn do not matter
     * @param int|null $first the turn of those that stand at the wall that they belong to: this wall is tried first
     *
     * @return list<Footprint>
     */
    public function arrange(array $standing, array $units, ?int $first = null): array
    {
        $placed = [];
        foreach ($units as $unit) {
            $spot = $this->freeSpot([...$standing, ...$placed], $unit, $first) ?? $unit->at(0, 0, 0);
            $placed[] = $spot;
        }

        return $placed;
    }

    /**
     * Returns the units in the order of the shortest closed walk from the bench past all of them, around what stands in the
     * way; units that cannot be reached come last. Of the two ways round, the one that goes from older units to newer ones.
     *
     * @param list<Footprint> $footprints
     *
     * @return list<int> ids
     */
    public function walk(array $footprints): array
    {
        $obstacles = array_map(static fn (Footprint $footprint): Obstacle => $footprint->obstacle(), $footprints);
        foreach ($this->fixtures as $fixture) {
            $obstacles[] = new Obstacle($fixture['x'], $fixture['y'], $fixture['width'], $fixture['depth']);
        }
        $plan = new FloorPlan($obstacles);
        $start = $this->seat();
        $reached = $points = $last = [];
        foreach ($footprints as $footprint) {
            $stand = $this->within($footprint->stand());
            if ($plan->isFree($stand) && is_finite($plan->distances([$start, $stand])[0][1])) {
                $points[] = $stand;
                $reached[] = $footprint->id;
            } else {
                $last[] = $footprint->id;
            }
        }
        $order = array_map(
            static fn (int $stop): int => $reached[$stop],
            (new RoundPlanner())->plan($plan->distances([$start, ...$points, $start]), \count($points))->order,
        );

        $rises = 0;
        foreach ($order as $at => $id) {
            $rises += $id > ($order[$at - 1] ?? $id) ? 1 : -1;
        }

        return [...$rises < 0 ? array_reverse($order) : $order, ...$last];
    }

    /** Where one sits: before the bench, or in the middle of the room. */
    public function seat(): Point
    {
        $bench = $this->fixtures[0] ?? null;

        return null === $bench
            ? new Point($this->width / 2, $this->depth / 2)
            : $this->within(new Point($bench['x'] + $bench['width'] / 2, $bench['y'] + $bench['depth'] + 300));
    }

    private function within(Point $point): Point
    {
        return new Point(max(0, min($this->width, $point->x)), max(0, min($this->depth, $point->y)));
    }

    /** @param list<Footprint> $standing */
    private function freeSpot(array $standing, Footprint $unit, ?int $first): ?Footprint
    {
        foreach (array_unique([$first ?? 0, 0, 90, 180, 270]) as $turn) {
            $turned = $unit->at(0, 0, $turn);
            [$farX, $farY] = [$this->width - $turned->across(), $this->depth - $turned->down()];
            $most = 0 === $turn % 180 ? $farX : $farY;
            for ($along = 0; $along <= $most; $along += self::GAP_MM) {
                $spot = match ($turn) {
                    0 => $unit->at($along, 0, 0),
                    90 => $unit->at($farX, $along, 90),
                    180 => $unit->at($farX - $along, $farY, 180),
                    default => $unit->at(0, $farY - $along, 270),
                };
                if ($farX >= 0 && $farY >= 0 && [] === array_filter($standing, $spot->meets(...)) && !$this->isOnFixture($spot)) {
                    return $spot;
                }
            }
        }

        return null;
    }

    private function isOnFixture(Footprint $spot): bool
    {
        foreach ($this->fixtures as $index => $fixture) {
            if ($spot->meets(new Footprint(-1 - $index, $fixture['name'], $fixture['x'], $fixture['y'], $fixture['width'], $fixture['depth'], 0, 0, 1000))) {
                return true;
            }
        }
        $door = new Footprint(0, 'door', $this->doorAt, $this->depth - $this->doorWidth, $this->doorWidth, $this->doorWidth, 0, 0, 3000);

        return $this->doorWidth > 0 && $spot->meets($door);
    }

    private static function whole(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }

    private static function text(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}
