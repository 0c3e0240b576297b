<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Storage;

use Lottel\Core\Storage\Elevation;
use Lottel\Core\Storage\InvalidUnit;
use Lottel\Core\Storage\UnitTemplate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class UnitTemplateTest extends TestCase
{
    /** @return iterable<string, array{UnitTemplate}> */
    public static function templates(): iterable
    {
        foreach (UnitTemplate::cases() as $template) {
            yield $template->value => [$template];
        }
    }

    #[DataProvider('templates')]
    public function testPlacesLieInsideTheUnitAndDoNotOverlap(UnitTemplate $template): void
    {
        foreach ([[1, 1], [7, 1], [4, 3], [40, 20]] as [$rows, $columns]) {
            $size = $template->size($rows, $columns);
            $places = $template->places('C', $rows, $columns);
            self::assertCount($template->hasColumns() ? $rows * $columns : $rows, $places);
            self::assertSame('C1', (string) $places[0]->address);
            foreach ($places as $place) {
                self::assertLessThanOrEqual($size['width']->ticks, $place->front->x->ticks + $place->front->width->ticks);
                self::assertLessThanOrEqual($size['height']->ticks, $place->front->y->ticks + $place->front->height->ticks);
            }
            $spots = array_map(static fn ($place): string => $place->front->x->ticks.'/'.$place->front->y->ticks, $places);
            self::assertSame($spots, array_unique($spots));
        }
    }

    public function testRefusesNoDrawersAndTenThousand(): void
    {
        foreach ([0, -1, 10000] as $rows) {
            try {
                UnitTemplate::Chest->places('C', $rows);
                self::fail('A chest of '.$rows.' drawers was built.');
            } catch (InvalidUnit $refused) {
                self::assertSame('rows', $refused->field);
            }
        }
        $this->expectException(InvalidUnit::class);
        UnitTemplate::Cubes->places('C', 3, 21);
    }

    public function testTheRoomPanelKeepsProportionsAndStaysInItsWidth(): void
    {
        mt_srand(99);
        for ($round = 0; $round < 300; ++$round) {
            $units = array_map(static fn (int $id): array => ['id' => $id, 'wall' => ['north', 'south'][mt_rand(0, 1)], 'width' => mt_rand(50000, 500000), 'height' => mt_rand(50000, 600000), 'lowest' => mt_rand(20000, 50000)], range(1, mt_rand(1, 30)));
            $byId = array_column($units, null, 'id');
            $seen = [];
            foreach ((new Elevation(336))->rows($units) as $row) {
                $end = 0.0;
                foreach ($row['units'] as $box) {
                    self::assertGreaterThanOrEqual($end - 1e-6, $box['x'], 'units overlap');
                    $end = $box['x'] + $box['width'];
                    self::assertEqualsWithDelta($byId[$box['id']]['width'] / $byId[$box['id']]['height'], $box['width'] / $box['height'], 1e-6);
                    self::assertEqualsWithDelta($row['height'], $box['y'] + $box['height'], 1e-6, 'all stand on the floor');
                    $seen[] = $box['id'];
                }
                self::assertLessThanOrEqual(336 + 1e-6, $end);
            }
            sort($seen);
            self::assertSame(range(1, \count($units)), $seen);
        }
    }
}
