<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

use Lottel\Core\Measure\Length;

/** The front of a place as seen in elevation, measured from the unit's left upper corner. */
final readonly class Front
{
    public function __construct(public Length $x, public Length $y, public Length $width, public Length $height)
    {
    }

    /** Returns the true inside of a place behind this front, in a unit of that depth; bottoms and sides take no more than half of it. */
    public function inside(UnitTemplate $template, Length $depth): Box
    {
        [$width, $height, $back] = array_map(static fn (int $millimetres): int => $millimetres * Length::TICKS_PER_MILLIMETRE, $template->walls());
        $inside = static fn (int $side, int $walls): Length => Length::ofTicks(max(Length::TICKS_PER_MILLIMETRE, $side - min($walls, intdiv($side, 2))));

        return new Box(
            $inside($this->width->ticks, $width),
            $inside($this->height->ticks, $height),
            Length::ofTicks(max(Length::TICKS_PER_MILLIMETRE, $depth->ticks - $back)),
        );
    }

    /** Whether they share an edge, or a part of one: unit fronts stand so near each other, up to a finger's breadth. */
    public function touches(self $other): bool
    {
        $near = 20 * Length::TICKS_PER_MILLIMETRE;
        $across = max($other->x->ticks - $this->x->ticks - $this->width->ticks, $this->x->ticks - $other->x->ticks - $other->width->ticks);
        $down = max($other->y->ticks - $this->y->ticks - $this->height->ticks, $this->y->ticks - $other->y->ticks - $other->height->ticks);

        return ($across <= $near && $down < 0) || ($down <= $near && $across < 0);
    }

    /** Returns how high its middle is above the floor, in a unit of that height which stands or hangs $aboveFloor. */
    public function middleAboveFloor(Length $unitHeight, Length $aboveFloor): Length
    {
        return Length::ofTicks(max(0, $aboveFloor->ticks + $unitHeight->ticks - $this->y->ticks - intdiv($this->height->ticks, 2)));
    }

    /**
     * Returns the fronts that it is parted into: side by side, or one above the other.
     *
     * @return list<self>
     *
     * @throws InvalidUnit if the parts are fewer than two, more than twelve, or too small
     */
    public function parted(int $parts, bool $isSideBySide): array
    {
        if ($parts < 2 || $parts > 12) {
            throw InvalidUnit::partsOutOfRange(2, 12);
        }
        $whole = $isSideBySide ? $this->width->ticks : $this->height->ticks;
        $each = intdiv($whole, $parts);
        if ($each < 10 * Length::TICKS_PER_MILLIMETRE) {
            throw InvalidUnit::tooSmall();
        }
        $fronts = [];
        for ($part = 0; $part < $parts; ++$part) {
            $length = Length::ofTicks($part === $parts - 1 ? $whole - $part * $each : $each);
            $fronts[] = $isSideBySide
                ? new self(Length::ofTicks($this->x->ticks + $part * $each), $this->y, $length, $this->height)
                : new self($this->x, Length::ofTicks($this->y->ticks + $part * $each), $this->width, $length);
        }

        return $fronts;
    }

    /** Returns the front that two make together, or null where they are no rectangle side by side. */
    public function joined(self $other): ?self
    {
        $areaOfBoth = $this->width->ticks * $this->height->ticks + $other->width->ticks * $other->height->ticks;
        $x = min($this->x->ticks, $other->x->ticks);
        $y = min($this->y->ticks, $other->y->ticks);
        $width = max($this->x->ticks + $this->width->ticks, $other->x->ticks + $other->width->ticks) - $x;
        $height = max($this->y->ticks + $this->height->ticks, $other->y->ticks + $other->height->ticks) - $y;

        return $width * $height === $areaOfBoth ? new self(Length::ofTicks($x), Length::ofTicks($y), Length::ofTicks($width), Length::ofTicks($height)) : null;
    }
}
