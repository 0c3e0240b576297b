<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Measure\Length;

/** Writes down what is said about a unit, and moves it into another room. */
final readonly class DescribeUnit
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ArrangeRoom $arrange,
        private Places $places,
        private PlaceIndex $index,
        private WallNames $walls,
    ) {
    }

    public function __invoke(Unit $unit, string $name, string $wall, string $caution, ?Length $aboveFloor, Room $room): void
    {
        $wasAt = mb_strtolower($unit->wall);
        $wall = mb_strtolower($wall) === $wasAt ? $wall : $this->walls->spelt($wall);
        $unit->describe($name, $wall, $caution, $aboveFloor);
        $isMoved = $unit->room !== $room;
        $hasOtherWall = mb_strtolower($wall) !== $wasAt && $this->arrange->isAtAnotherWall($unit);
        $unit->goInto($room);
        if ($isMoved || $hasOtherWall) {
            $this->arrange->setDown($unit);
            $this->entities->flush();
            $this->arrange->number();
        }
        array_map($this->index->place(...), $this->places->ofUnit($unit));
    }
}
