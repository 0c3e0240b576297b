<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

/** Which box takes what, what is carried by itself, and in which order the boxes are unpacked. */
final readonly class PackingPlan
{
    /**
     * @param list<MovingBox> $boxes in the order in which they are packed
     * @param list<PackedThing> $byHand what is too large or too heavy for a box
     * @param BoxLimits $limits of each box
     */
    public function __construct(public array $boxes, public array $byHand, public BoxLimits $limits)
    {
    }

    /**
     * Returns which box is unpacked as which, from 1: those first from which something is fetched most often, which are the ones that
     * are missed soonest; of equal ones the one that was packed first.
     *
     * @return list<int> by box
     */
    public function unpackingOrder(): array
    {
        $order = array_keys($this->boxes);
        usort($order, fn (int $one, int $other): int => [$this->boxes[$other]->uses(), $one] <=> [$this->boxes[$one]->uses(), $other]);
        $nth = [];
        foreach ($order as $at => $box) {
            $nth[$box] = $at + 1;
        }
        ksort($nth);

        return array_values($nth);
    }

    /** Returns how many boxes there must be at the least, by room and by weight. */
    public function leastBoxes(): int
    {
        $all = MovingBox::sum(array_merge([], ...array_map(static fn (MovingBox $box): array => $box->things, $this->boxes)));

        return (int) max(ceil($all->litres / max(1e-9, $this->limits->litres()) - 1e-9), ceil($all->grams / $this->limits->mostGrams - 1e-9));
    }
}
