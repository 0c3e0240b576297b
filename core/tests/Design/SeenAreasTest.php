<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Design;

use Lottel\Core\Design\Design;
use Lottel\Core\Design\Painted;
use Lottel\Core\Design\Rect;
use Lottel\Core\Design\SeenAreas;
use PHPUnit\Framework\TestCase;

final class SeenAreasTest extends TestCase
{
    /** By construction: in sixteenths, the mat shows 66 · 86 − 64 · 84 of the base's 68 · 88, the strip covers 56 · 12 of the panel. */
    public function testOnlyWhatIsUppermostCounts(): void
    {
        $unit = Designs::UNIT ** 2;
        self::assertSame(
            ['base' => (68 * 88 - 66 * 86) * $unit, 'mat' => (66 * 86 - 64 * 84) * $unit, 'panel' => (64 * 84 - 56 * 12) * $unit, 'strip' => 56 * 12 * $unit],
            SeenAreas::of(self::painted(Designs::card())),
        );
    }

    public function testThroughAWindowOneSeesWhatLiesBeneath(): void
    {
        $areas = SeenAreas::of([new Painted('under', new Rect(0, 0, 10, 10)), new Painted('frame', new Rect(0, 0, 10, 10), new Rect(2, 2, 5, 5))]);
        self::assertSame(['frame' => 75, 'under' => 25], $areas);
        self::assertSame(['all' => 100], SeenAreas::of([new Painted('under', new Rect(0, 0, 10, 10)), new Painted('all', new Rect(0, 0, 10, 10))]));
        self::assertSame([], SeenAreas::of([]));
    }

    /** Whatever lies on a front, what is seen of it is the front. */
    public function testWhatIsSeenSumsToTheFront(): void
    {
        foreach (Designs::manyCards(200) as $design) {
            self::assertSame($design->finished->width * $design->finished->height, array_sum(SeenAreas::of(self::painted($design))));
        }
    }

    /** A grid of points, each asked for itself, is an independent way to the same areas. */
    public function testAreasAreThoseThatPointsCount(): void
    {
        foreach (Designs::manyCards(12) as $design) {
            $painted = self::painted($design);
            $seen = SeenAreas::of($painted);
            $counted = [];
            [$steps, $all] = [60, 0];
            for ($column = 0; $column < $steps; ++$column) {
                for ($row = 0; $row < $steps; ++$row, ++$all) {
                    $of = '';
                    foreach ($painted as $one) {
                        $x = (int) (($column + 0.5) * $design->finished->width / $steps);
                        $of = $one->covers($x, (int) (($row + 0.5) * $design->finished->height / $steps)) ? $one->of : $of;
                    }
                    $counted[$of] = ($counted[$of] ?? 0) + 1;
                }
            }
            foreach ($seen as $of => $area) {
                $share = $area / ($design->finished->width * $design->finished->height);
                self::assertEqualsWithDelta($share, ($counted[$of] ?? 0) / $all, 0.04, $of);
            }
        }
    }

    /** @return list<Painted> */
    private static function painted(Design $design): array
    {
        $painted = [new Painted('base', Rect::at(0, 0, $design->finished))];
        foreach ($design->front() as $placed) {
            $painted[] = new Painted($placed->layer->name, $placed->at, $placed->window);
        }

        return $painted;
    }
}
