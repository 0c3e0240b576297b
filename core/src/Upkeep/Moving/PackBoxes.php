<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

/**
 * Packs a room into boxes of one size. What lies in one place stays together in one box where that takes it; a box takes places of one
 * unit, and only what is left over at the end of a unit shares a box with the next. No box is filled beyond its room or its weight;
 * solvents travel apart from paper. What no box takes is carried by itself.
 */
final readonly class PackBoxes
{
    public function __construct(private BoxLimits $limits)
    {
    }

    /** @param list<list<list<PackedThing>>> $units their places, with what lies in each, in the order of a walk */
    public function pack(array $units): PackingPlan
    {
        $all = array_merge([], ...array_merge([], ...$units));
        $byHand = array_values(array_filter($all, fn (PackedThing $thing): bool => !$this->limits->take($thing)));
        $boxes = [];
        foreach ([false, true] as $isApart) {
            $boxes = [...$boxes, ...$this->packUnits($units, $isApart)];
        }

        return new PackingPlan($boxes, $byHand, $this->limits);
    }

    /**
     * @param list<list<list<PackedThing>>> $units
     *
     * @return list<MovingBox>
     */
    private function packUnits(array $units, bool $isApart): array
    {
        $boxes = [];
        foreach ($units as $places) {
            // The last box of the unit before may have room left; fuller ones are closed.
            $open = \array_slice($boxes, -1);
            $boxes = \array_slice($boxes, 0, -1);
            foreach ($places as $things) {
                $wanted = array_values(array_filter($things, fn (PackedThing $thing): bool => $isApart === $thing->isApart && $this->limits->take($thing)));
                $open = $this->add($open, $wanted);
            }
            $boxes = [...$boxes, ...$open];
        }

        return $boxes;
    }

    /**
     * @param list<MovingBox> $boxes
     * @param list<PackedThing> $together what lies in one place
     *
     * @return list<MovingBox>
     */
    private function add(array $boxes, array $together): array
    {
        if ([] === $together) {
            return $boxes;
        }
        foreach ($boxes as $nth => $box) {
            if ($this->limits->hold($box->contents()->plus(MovingBox::sum($together)))) {
                $boxes[$nth] = $box->and($together);

                return array_values($boxes);
            }
        }

        return [...$boxes, ...$this->anew($together)];
    }

    /**
     * @param list<PackedThing> $things
     *
     * @return list<MovingBox> as many new boxes as they take, in their order
     */
    private function anew(array $things): array
    {
        $boxes = [];
        $box = new MovingBox([]);
        foreach ($things as $thing) {
            if ([] !== $box->things && !$this->limits->hold($box->contents()->plus($thing->contents))) {
                $boxes[] = $box;
                $box = new MovingBox([]);
            }
            $box = $box->and([$thing]);
        }

        return [...$boxes, $box];
    }
}
