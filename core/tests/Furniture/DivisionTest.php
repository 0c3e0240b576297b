<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Furniture;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\KindFields;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Furniture\Cell;
use Lottel\Core\Furniture\Division;
use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DivisionTest extends TestCase
{
    /** @return iterable<string, array{Division, int, int, int}> */
    public static function divisions(): iterable
    {
        yield 'front and back' => [Division::FrontBack, 1, 1, 2];
        yield 'left and right' => [Division::LeftRight, 1, 1, 2];
        foreach ([[1, 1], [2, 3], [7, 1], [1, 12], [12, 12], [3, 7]] as [$rows, $columns]) {
            yield "grid of {$rows} × {$columns}" => [Division::Grid, $rows, $columns, $rows * $columns];
        }
    }

    /** The cells cover the place wholly, and none lies on another. */
    #[DataProvider('divisions')]
    public function testCellsFillThePlace(Division $division, int $rows, int $columns, int $count): void
    {
        $cells = $division->cells($rows, $columns);
        self::assertCount($count, $cells);
        self::assertSame(1_000_000, array_sum(array_map(static fn (Cell $cell): int => $cell->width * $cell->height, $cells)));
        foreach ($cells as $index => $one) {
            self::assertGreaterThanOrEqual(0, min($one->x, $one->y));
            self::assertLessThanOrEqual(1000, max($one->x + $one->width, $one->y + $one->height));
            foreach (\array_slice($cells, $index + 1) as $other) {
                self::assertFalse(
                    $one->x < $other->x + $other->width
                        && $other->x < $one->x + $one->width
                        && $one->y < $other->y + $other->height
                        && $other->y < $one->y + $one->height,
                );
            }
        }
    }

    public function testTheFrontComesFirstAndIsAtTheBottom(): void
    {
        [$front, $back] = Division::FrontBack->cells();
        self::assertSame(['front', 'back'], [$front->name, $back->name]);
        self::assertGreaterThan($back->y, $front->y);
        $grid = Division::Grid->cells(2, 2);
        self::assertGreaterThan($grid[2]->y, $grid[0]->y, 'a grid begins at the front');
        self::assertLessThan($grid[1]->x, $grid[0]->x, 'on the left');
    }

    public function testLayersShareTheHeight(): void
    {
        [$upper, $lower] = Division::Layers->cells();
        self::assertSame([0, 1], [$upper->layer, $lower->layer]);
        $box = Box::ofMillimetres(300, 80, 400);
        $inside = $lower->inside($box, Division::Layers->layers());
        self::assertSame([300.0, 40.0, 400.0], [$inside->width->millimetres(), $inside->height->millimetres(), $inside->depth->millimetres()]);
        [$front] = Division::FrontBack->cells();
        self::assertSame(200.0, $front->inside($box)->depth->millimetres());
        self::assertEqualsWithDelta($box->litres(), 2 * $inside->litres(), 1e-9);
    }

    public function testAGridThatCannotBeIsRefused(): void
    {
        foreach ([[0, 2, 'rows'], [13, 2, 'rows'], [2, 0, 'columns'], [2, 13, 'columns']] as [$rows, $columns, $field]) {
            try {
                Division::Grid->cells($rows, $columns);
                self::fail('It was divided.');
            } catch (InvalidUnit $refused) {
                self::assertSame($field, $refused->field);
            }
        }
    }

    public function testEveryKindIsAskedForWhatMattersOfIt(): void
    {
        foreach (Kind::cases() as $kind) {
            foreach (KindFields::of($kind) as $field => [$label, $example]) {
                self::assertMatchesRegularExpression('/^[a-z ]+$/', $field);
                self::assertNotSame('', $label.$example);
            }
        }
        self::assertSame(['5/8', '16'], [KindFields::of(Kind::Ribbon)['broad'][1], KindFields::of(Kind::Ribbon, LengthUnit::Millimetre)['broad'][1]]);
        $metric = array_merge(...array_map(static fn (Kind $kind): array => array_column(KindFields::of($kind, LengthUnit::Millimetre), 1), Kind::cases()));
        self::assertSame([], preg_grep('~\d/\d|[¼½¾⅛⅜⅝⅞]~u', $metric), 'a room of millimetres is shown no inches');
        self::assertArrayHasKey('shape', KindFields::of(Kind::Die));
        self::assertArrayHasKey('cleans with', KindFields::of(Kind::Ink));
        self::assertSame([], KindFields::of(Kind::Paper), 'paper has its measures instead');
    }

    /** Seasonal things come to the front about a month before (common practice, no source). */
    public function testASeasonIsBroughtForwardAMonthBefore(): void
    {
        foreach (
            [
                '2026-02-01' => Season::Spring,
                '2026-04-30' => Season::Spring,
                '2026-05-01' => Season::Summer,
                '2026-08-01' => Season::Autumn,
                '2026-11-01' => Season::Winter,
                '2027-01-31' => Season::Winter,
            ] as $day => $season
        ) {
            self::assertSame($season, Season::broughtForwardOn(new \DateTimeImmutable($day), new \DateTimeZone('UTC')), $day);
        }
    }
}
