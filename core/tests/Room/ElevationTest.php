<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Room;

use Lottel\Core\Room\DrawnRoom;
use Lottel\Core\Room\DrawnRow;
use Lottel\Core\Room\DrawnUnit;
use Lottel\Core\Room\Elevation;
use Lottel\Core\Room\LitFront;
use Lottel\Core\Room\Plate;
use Lottel\Core\Room\Plates;
use Lottel\Core\Room\Standing;
use Lottel\Core\Room\Wall;
use PHPUnit\Framework\TestCase;

/** Rooms as they are drawn from the front. */
final class ElevationTest extends TestCase
{
    private const MM = 320;
    private const NAMES = ['cube wall', 'binders', 'stamp chest', 'scraps by colour', 'paper racks', 'ink tower', 'finished cards', 'once-a-year things'];

    private static function unit(
        int $id,
        string $wall,
        int $width,
        int $height,
        int $along = 0,
        int $walk = 0,
        int $aboveFloor = 0,
        string $name = 'chest',
    ): Standing {
        return new Standing($id, \chr(64 + $id), $name, $wall, $width * self::MM, $height * self::MM, $aboveFloor * self::MM, $along, $walk, 5);
    }

    /** @return list<Standing> */
    private static function some(int $most): array
    {
        return array_map(static fn (int $id): Standing => self::unit(
            $id,
            ['north', 'east', 'south'][mt_rand(0, 2)],
            mt_rand(250, 1400),
            mt_rand(300, 1900),
            mt_rand(0, 4000),
            $id,
            0 === mt_rand(0, 5) ? 1000 : 0,
            self::NAMES[mt_rand(0, 7)],
        ), range(1, mt_rand(1, $most)));
    }

    public function testWallsComeAsOneWalksAndUnitsAsOneSeesThem(): void
    {
        $walls = Wall::of([
            self::unit(11, 'south', 800, 876, -1800, 1),
            self::unit(2, 'north', 800, 1400, 1300, 3),
            self::unit(1, 'north', 1000, 1300, 100, 2),
            self::unit(5, 'bench', 420, 800, 300, 6),
            self::unit(8, 'south', 700, 1600, -4300, 11),
            self::unit(9, 'south', 1300, 1300, -2800, 12),
        ]);
        self::assertSame(['north', 'bench', 'south'], array_column($walls, 'name'), 'a wall at which the walk begins and ends counts by its middle');
        self::assertSame([8, 9, 11], array_column($walls[2]->units, 'id'));
        self::assertSame(15, $walls[2]->places());
    }

    public function testAWallIsPartedIntoRowsOfAboutTheSameWidth(): void
    {
        [$wall] = Wall::of(array_map(static fn (int $id): Standing => self::unit($id, 'long', 500, 900, $id), range(1, 9)));
        self::assertSame([[1, 2, 3], [4, 5, 6], [7, 8, 9]], array_map(static fn (array $row): array => array_column($row, 'id'), $wall->rows(3)));
    }

    public function testAUnitByItselfFillsItsField(): void
    {
        $room = (new Elevation(348, 560))->draw(Wall::of([self::unit(1, 'north', 1000, 1000)]));
        self::assertEqualsWithDelta(348, $room->rows[0]->units[0]->width, 0.5);
        $tall = (new Elevation(348, 560))->draw(Wall::of([self::unit(1, 'north', 300, 2000)]));
        self::assertEqualsWithDelta(560, $tall->rows[0]->height + Elevation::BOARD, 1);
    }

    public function testAnEmptyRoomHasNoRows(): void
    {
        self::assertSame([], (new Elevation(348, 560))->draw([])->rows);
    }

    public function testAHangingUnitIsAsHighAboveTheFloorAsItHangs(): void
    {
        $room = (new Elevation(400, 400))->draw(Wall::of([self::unit(1, 'n', 600, 600, 0, 1, 1200), self::unit(2, 'n', 600, 1000, 1, 2)]));
        [$hung, $stood] = $room->rows[0]->units;
        $floor = $room->rows[0]->height;
        self::assertEqualsWithDelta($floor, $stood->y + $stood->height, 1e-6);
        self::assertEqualsWithDelta(1200 * self::MM * $room->scale, $floor - $hung->y - $hung->height, 1e-6);
    }

    public function testALongWallIsPartedWhereThatMakesTheRoomLarger(): void
    {
        $long = array_map(static fn (int $id): Standing => self::unit($id, 'only', 700, 900, $id), range(1, 10));
        $room = (new Elevation(348, 560))->draw(Wall::of($long));
        self::assertGreaterThan(1, \count($room->rows));
        self::assertSame([false, true], [$room->rows[0]->goesOn, $room->rows[1]->goesOn]);
        self::assertCount(1, (new Elevation(788, 212, true))->draw(Wall::of($long))->rows, 'side by side a wall stays in one');
    }

    /** One scale, true proportions, everything within its field, in both ways of standing. */
    public function testRoomsFitAndKeepTheirProportions(): void
    {
        mt_srand(99);
        for ($case = 0; $case < 40; ++$case) {
            $units = self::some(30);
            foreach ([[348.0, 560.0, false], [788.0, 212.0, true]] as [$width, $height, $isAbreast]) {
                $room = (new Elevation($width, $height, $isAbreast))->draw(Wall::of($units));
                $this->assertFits($room, $units, $width, $height, $isAbreast);
            }
        }
    }

    /** @param list<Standing> $units */
    private function assertFits(DrawnRoom $room, array $units, float $width, float $height, bool $isAbreast): void
    {
        $seen = [];
        $across = $down = $highest = 0.0;
        foreach ($room->rows as $row) {
            $end = -1e-6;
            foreach ($row->units as $drawn) {
                self::assertGreaterThanOrEqual($end, $drawn->x, 'units overlap');
                $end = $drawn->x + $drawn->width;
                self::assertEqualsWithDelta($drawn->unit->width * $room->scale, $drawn->width, 1e-6);
                self::assertEqualsWithDelta($drawn->unit->height * $room->scale, $drawn->height, 1e-6);
                self::assertEqualsWithDelta($row->height - $drawn->unit->aboveFloor * $room->scale, $drawn->y + $drawn->height, 1e-6);
                self::assertGreaterThanOrEqual(-1e-6, $drawn->nameBox()[1], 'its name is within the row');
                self::assertContains(trim(implode(' ', $drawn->title)), [$drawn->unit->name, ''], 'a name is whole, or left out');
                $seen[] = $drawn->unit->id;
            }
            self::assertLessThanOrEqual($row->width + 1e-6, $end);
            $across += $row->width + Elevation::WALL_GAP;
            $down += $row->height + Elevation::BOARD + Elevation::WALL_GAP;
            $highest = max($highest, $row->height);
        }
        sort($seen);
        self::assertSame(array_column($units, 'id'), $seen);
        if ($isAbreast) {
            self::assertLessThanOrEqual($width + Elevation::WALL_GAP, $across);
            self::assertLessThanOrEqual($height + 1e-6, $highest + Elevation::BOARD);
        } else {
            self::assertLessThanOrEqual($height + Elevation::WALL_GAP + 1e-6, $down);
        }
    }

    public function testNamesOfUnitsOnOneFloorStandClearOfEachOther(): void
    {
        mt_srand(7);
        for ($case = 0; $case < 30; ++$case) {
            foreach ((new Elevation(348, 560))->draw(Wall::of(self::some(12)))->rows as $row) {
                $this->assertNamesApart($row);
            }
        }
    }

    private function assertNamesApart(DrawnRow $row): void
    {
        foreach (\array_slice($row->units, 1) as $at => $right) {
            [$x, , $width] = $row->units[$at]->nameBox();
            self::assertLessThanOrEqual($right->x + 1e-6, [''] === $row->units[$at]->title ? 0 : $x + $width);
        }
    }

    /** @return array{DrawnRow, list<LitFront>} a row of chests of which all the drawers are lit */
    private static function chests(int $chests, int $drawers): array
    {
        $units = array_map(static fn (int $id): Standing => self::unit($id, 'north', 400, 900, $id), range(1, $chests));
        $row = (new Elevation(348, 120))->draw(Wall::of($units))->rows[0];
        $lit = [];
        foreach ($row->units as $drawn) {
            $height = $drawn->height / $drawers;
            for ($drawer = 0; $drawer < $drawers; ++$drawer) {
                $id = \count($lit) + 1;
                $lit[] = new LitFront(
                    $id,
                    $drawn->unit->id,
                    $drawn->unit->letters.($drawer + 1),
                    (string) $id,
                    $drawn->x,
                    $drawn->y + $drawer * $height,
                    $drawn->width,
                    $height,
                );
            }
        }

        return [$row, $lit];
    }

    public function testPlatesStandApartAndEachLitDrawerHasOne(): void
    {
        for ($drawers = 5; $drawers < 25; ++$drawers) {
            [$row, $lit] = self::chests(3, $drawers);
            $plates = (new Plates($row))->beside($lit);
            $named = array_merge(...array_map(static fn (Plate $plate): array => array_column($plate->fronts, 'id'), $plates));
            sort($named);
            self::assertSame(array_column($lit, 'id'), $named);
            foreach ($plates as $at => $plate) {
                foreach (\array_slice($plates, $at + 1) as $other) {
                    $isApart = abs($plate->y - $other->y) >= Plate::HEIGHT || $plate->x + $plate->width <= $other->x || $other->x + $other->width <= $plate->x;
                    self::assertTrue($isApart, "{$plate->address()} and {$other->address()} of {$drawers} drawers");
                }
            }
        }
    }

    public function testDrawersThatDoNotFitBesideEachOtherShareAPlate(): void
    {
        [$row, $lit] = self::chests(1, 16);
        $plates = (new Plates($row))->beside($lit);
        self::assertLessThan(16, \count($plates));
        self::assertMatchesRegularExpression('/^A1–A\d$/', $plates[0]->address());
        self::assertMatchesRegularExpression('/^1–\d$/', $plates[0]->stop());
        $last = $plates[\count($plates) - 1];
        self::assertLessThanOrEqual($row->height + Elevation::BOARD + 1e-6, $last->y + Plate::HEIGHT);
    }

    public function testStopsThatAreNoRunAreCounted(): void
    {
        $front = static fn (string $stop): LitFront => new LitFront(1, 1, 'C1', $stop, 0, 0, 30, 8);
        self::assertSame('3–5', (new Plate([$front('4'), $front('3'), $front('5')], 0, 0, 30, false))->stop());
        self::assertSame('2 ×', (new Plate([$front('2'), $front('9')], 0, 0, 30, false))->stop());
        self::assertSame('9–10', (new Plate([$front('10'), $front('9')], 0, 0, 30, false))->stop());
        self::assertSame('', (new Plate([$front('')], 0, 0, 30, false))->stop());
    }

    public function testAFrontThatIsLargeEnoughForItsAddressHasNoPlate(): void
    {
        [$row] = self::chests(1, 5);
        $unit = $row->units[0]->unit->id;
        self::assertSame([], (new Plates($row))->beside([new LitFront(1, $unit, 'A1', '1', 0, 0, Plates::LEAST_WIDTH, Plates::LEAST_HEIGHT)]));
        self::assertCount(1, (new Plates($row))->beside([new LitFront(1, $unit, 'A1', '1', 0, 0, Plates::LEAST_WIDTH, Plates::LEAST_HEIGHT - 0.1)]));
    }

    public function testPlatesGoWhereTheyHideLess(): void
    {
        $room = (new Elevation(348, 200))->draw(Wall::of([self::unit(1, 'n', 300, 900, 1), self::unit(2, 'n', 300, 900, 2)]));
        $row = $room->rows[0];
        $lit = static fn (DrawnUnit $unit): LitFront => new LitFront(9, $unit->unit->id, 'A1', '1', $unit->x, $unit->y + 20, $unit->width, 8);
        $tight = new DrawnRow($row->wall, $row->units[1]->x + $row->units[1]->width, $row->height, false, $row->units);
        self::assertFalse((new Plates($row))->beside([$lit($row->units[0])])[0]->isLeft);
        self::assertTrue((new Plates($tight))->beside([$lit($row->units[1])])[0]->isLeft, 'no room to its right');
    }
}
