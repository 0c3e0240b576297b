<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Room;

use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Room\Footprint;
use Lottel\Core\Room\RoomLayout;
use Lottel\Core\Round\Point;
use PHPUnit\Framework\TestCase;

final class RoomLayoutTest extends TestCase
{
    public function testAUnitIsTurnedAboutAndOneStandsBeforeItsFront(): void
    {
        $chest = new Footprint(1, 'C', 1000, 500, 400, 600);
        self::assertEquals(new Point(1200, 1450), $chest->stand());
        $turned = $chest->at(1000, 500, 90);
        self::assertSame([600, 400], [$turned->across(), $turned->down()]);
        self::assertEquals(new Point(650, 700), $turned->stand());
        self::assertEquals(new Point(1200, 150), $chest->at(1000, 500, 180)->stand());
        self::assertEquals(new Point(1950, 700), $chest->at(1000, 500, 270)->stand());
    }

    /** Seeded: the front is the side on which one stands, however a unit is turned. */
    public function testTheFrontIsTheSideOnWhichOneStands(): void
    {
        mt_srand(12);
        foreach ([0, 90, 180, 270] as $turn) {
            for ($case = 0; $case < 50; ++$case) {
                $unit = new Footprint(1, 'A', mt_rand(0, 900), mt_rand(0, 900), mt_rand(200, 900), mt_rand(100, 500), $turn);
                [$from, $to] = $unit->front();
                $middle = new Point($unit->x + ($from->x + $to->x) / 2, $unit->y + ($from->y + $to->y) / 2);
                self::assertEqualsWithDelta($unit->width, $from->distanceTo($to), 1e-9, 'a front is as long as the unit is wide');
                foreach ([[0, 0], [0, 1], [1, 0], [1, 1]] as [$right, $down]) {
                    $corner = new Point($unit->x + $right * $unit->across(), $unit->y + $down * $unit->down());
                    self::assertLessThanOrEqual($corner->distanceTo($unit->stand()) + 1e-9, $middle->distanceTo($unit->stand()));
                }
            }
        }
    }

    public function testNothingStandsOutsideTheWallsOrInAnother(): void
    {
        $room = new RoomLayout(4000, 3000);
        $chest = new Footprint(1, 'C', 0, 0, 400, 600);
        $rail = new Footprint(2, 'G', 0, 0, 600, 80, 0, 1200, 1700);
        $room->check([$chest, $rail]);
        foreach (
            [
                [new Footprint(3, 'D', 3700, 0, 400, 600)],
                [$chest, new Footprint(3, 'D', 399, 599, 400, 600)],
                [new Footprint(3, 'D', -1, 0, 400, 600)],
            ] as $wrong
        ) {
            try {
                $room->check($wrong);
                self::fail('That cannot stand there.');
            } catch (InvalidUnit $refused) {
                self::assertSame('plan', $refused->field);
            }
        }
    }

    public function testUnitsAreSetDownWhereNothingStands(): void
    {
        mt_srand(7);
        for ($case = 0; $case < 40; ++$case) {
            $room = new RoomLayout(mt_rand(3000, 7000), mt_rand(3000, 6000), 200, 800, [
                ['name' => 'bench', 'x' => 1200, 'y' => 1200, 'width' => 900, 'depth' => 600],
            ]);
            $units = array_map(
                static fn (int $id): Footprint => new Footprint($id, 'U'.$id, 0, 0, mt_rand(300, 900), mt_rand(80, 500)),
                range(1, 9),
            );
            $placed = $room->arrange([], $units);
            $room->check($placed);
            self::assertCount(9, $placed);
        }
    }

    public function testAUnitGoesToItsWallWhereThereIsRoom(): void
    {
        $room = new RoomLayout(4000, 3000, 200, 800, []);
        $shelf = new Footprint(1, 'B', 0, 0, 600, 300);
        foreach ([0, 90, 180, 270] as $turn) {
            self::assertSame($turn, $room->arrange([], [$shelf], $turn)[0]->turn);
        }
        $broad = new Footprint(2, 'C', 0, 0, 3800, 300);
        self::assertSame(0, $room->arrange([], [$broad], 90)[0]->turn, 'too broad for that wall');
    }

    public function testTheWalkIsShort(): void
    {
        $room = new RoomLayout(6000, 4000, 200, 800, [['name' => 'bench', 'x' => 2500, 'y' => 1600, 'width' => 1000, 'depth' => 600]]);
        $units = [
            new Footprint(11, 'A', 0, 0, 400, 400), new Footprint(12, 'B', 5600, 0, 400, 400),
            new Footprint(13, 'C', 500, 0, 400, 400), new Footprint(14, 'D', 5100, 0, 400, 400),
        ];
        self::assertContains(
            $room->walk($units),
            [
                [11, 13, 14, 12],
                [12, 14, 13, 11],
                [13, 11, 14, 12],
                [14, 12, 11, 13],
                [11, 13, 12, 14],
                [13, 11, 12, 14],
                [12, 14, 11, 13],
                [14, 12, 13, 11],
            ],
            'the two on the left follow each other',
        );
    }

    public function testWhatCannotBeReachedComesLast(): void
    {
        $room = new RoomLayout(4000, 3000, 200, 800, []);
        $walled = new Footprint(1, 'A', 0, 0, 400, 400, 270);
        $before = new Footprint(2, 'B', 400, 0, 800, 800);
        self::assertSame([2, 1], $room->walk([$walled, $before]));
    }

    public function testAPlanIsKeptAndReadAgain(): void
    {
        $room = new RoomLayout(4000, 3000, 100, 700, [['name' => 'table', 'x' => 1, 'y' => 2, 'width' => 3, 'depth' => 4]]);
        self::assertEquals($room, RoomLayout::fromArray(json_decode((string) json_encode($room->toArray()), true)));
        self::assertSame('bench', RoomLayout::fromArray([])->fixtures[0]['name']);
        self::assertSame([], RoomLayout::fromArray(['width' => 4000, 'depth' => 'x', 'fixtures' => 'none'])->fixtures);
    }
}
