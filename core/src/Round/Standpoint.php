<?php

declare(strict_types=1);

namespace Lottel\Core\Round;

/** Where one stands to take something: a point of the floor plan, in one of the rooms. */
final readonly class Standpoint
{
    /** A door counts as so many millimetres of way, so that a round does not go to and fro between rooms; a judgement of ours. */
    private const DOOR_MM = 6000.0;

    /**
     * @param Point|null $point null where it is on no floor plan
     * @param int $room which of the rooms, the bench's being 0
     */
    public function __construct(private ?Point $point, private int $room)
    {
    }

    /** Returns the way to another, in millimetres; within a room none where one of the two is on no floor plan. */
    public function wayTo(self $other): float
    {
        $within = null === $this->point || null === $other->point ? 0.0 : $this->point->distanceTo($other->point);

        return $within + ($this->room === $other->room ? 0.0 : self::DOOR_MM);
    }

    /**
     * @param list<self> $all
     *
     * @return list<list<float>> millimetres from each to each
     */
    public static function between(array $all): array
    {
        return array_map(static fn (self $from): array => array_map($from->wayTo(...), $all), $all);
    }
}
