<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

use Lottel\Core\Measure\Length;
use Lottel\Core\Round\Obstacle;
use Lottel\Core\Round\Point;

/**
 * Where a unit stands on the floor plan, in millimetres from the room's left upper corner. Unturned its front faces down the
 * plan; turned by 90, 180 or 270 degrees clockwise it faces left, up or right.
 */
final readonly class Footprint
{
    /** How far in front of a unit one stands (common practice, no source). */
    private const STANDING_MM = 350;
    private const LEAST_FOR_LETTER_MM = 200;

    /**
     * @param string $name for messages
     * @param int $from height of its lower edge above the floor
     * @param int $to height of its upper edge
     */
    public function __construct(
        public int $id,
        public string $name,
        public int $x,
        public int $y,
        public int $width,
        public int $depth,
        public int $turn = 0,
        public int $from = 0,
        public int $to = 1000,
    ) {
    }

    /** Returns the footprint of a unit whose sides are known in ticks, to the nearest millimetre. */
    public static function ofTicks(int $id, string $name, int $x, int $y, int $turn, int $width, int $height, int $depth, int $aboveFloor): self
    {
        $millimetres = static fn (int $ticks): int => intdiv($ticks + intdiv(Length::TICKS_PER_MILLIMETRE, 2), Length::TICKS_PER_MILLIMETRE);

        return new self($id, $name, $x, $y, $millimetres($width), $millimetres($depth), $turn, $millimetres($aboveFloor), $millimetres($aboveFloor + $height));
    }

    /** How wide it is on the plan as it stands. */
    public function across(): int
    {
        return 0 === $this->turn % 180 ? $this->width : $this->depth;
    }

    /** How deep it is on the plan as it stands. */
    public function down(): int
    {
        return 0 === $this->turn % 180 ? $this->depth : $this->width;
    }

    public function obstacle(): Obstacle
    {
        return new Obstacle($this->x, $this->y, $this->across(), $this->down());
    }

    /** Where a person stands who takes something out. */
    public function stand(): Point
    {
        $x = $this->x + $this->across() / 2;
        $y = $this->y + $this->down() / 2;

        return match ($this->turn) {
            90 => new Point($this->x - self::STANDING_MM, $y),
            180 => new Point($x, $this->y - self::STANDING_MM),
            270 => new Point($this->x + $this->across() + self::STANDING_MM, $y),
            default => new Point($x, $this->y + $this->down() + self::STANDING_MM),
        };
    }

    /** Where its letter stands on the plan, from its left upper corner: in its middle, or in front of it where it is too thin for that. */
    public function letter(): Point
    {
        $isThin = min($this->across(), $this->down()) < self::LEAST_FOR_LETTER_MM;

        return $isThin ? new Point($this->stand()->x - $this->x, $this->stand()->y - $this->y) : new Point($this->across() / 2, $this->down() / 2);
    }

    /**
     * Returns the two ends of its front, from its left upper corner.
     *
     * @return array{Point, Point}
     */
    public function front(): array
    {
        [$right, $bottom] = [$this->across(), $this->down()];

        return match ($this->turn) {
            90 => [new Point(0, 0), new Point(0, $bottom)],
            180 => [new Point(0, 0), new Point($right, 0)],
            270 => [new Point($right, 0), new Point($right, $bottom)],
            default => [new Point(0, $bottom), new Point($right, $bottom)],
        };
    }

    /** Where it begins from the left as one sees it from the room, in millimetres; comparable among units that face the same way. */
    public function along(): int
    {
        return match ($this->turn) {
            90 => $this->y,
            180 => -$this->x - $this->across(),
            270 => -$this->y - $this->down(),
            default => $this->x,
        };
    }

    public function turned(int $turn): self
    {
        return $this->at($this->x, $this->y, $turn);
    }

    public function at(int $x, int $y, int $turn): self
    {
        return new self($this->id, $this->name, $x, $y, $this->width, $this->depth, $turn, $this->from, $this->to);
    }

    /** Whether two units would be in the same spot: on the plan, and at the same height. */
    public function meets(self $other): bool
    {
        return $this->x < $other->x + $other->across() && $other->x < $this->x + $this->across()
            && $this->y < $other->y + $other->down() && $other->y < $this->y + $this->down()
            && $this->from < $other->to && $other->from < $this->to;
    }
}
