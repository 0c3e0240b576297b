<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Furniture;

use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Furniture\UnitSize;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
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
            $plan = $template->plan('C', $rows, $columns);
            self::assertCount($template->hasColumns() ? $rows * $columns : $rows, $plan->places);
            self::assertSame('C1', (string) $plan->places[0]->address);
            foreach ($plan->places as $place) {
                self::assertLessThanOrEqual($plan->width->ticks, $place->front->x->ticks + $place->front->width->ticks);
                self::assertLessThanOrEqual($plan->height->ticks, $place->front->y->ticks + $place->front->height->ticks);
                self::assertLessThan($place->front->width->ticks, $place->inside->width->ticks, 'the inside is smaller than the front');
                self::assertLessThan($plan->depth->ticks, $place->inside->depth->ticks);
            }
            $spots = array_map(static fn ($place): string => $place->front->x->ticks.'/'.$place->front->y->ticks, $plan->places);
            self::assertSame($spots, array_unique($spots));
        }
    }

    public function testDrawersOfDifferentHeights(): void
    {
        $heights = array_map(static fn (int $mm): Length => Length::ofTenthMillimetres(10 * $mm), [60, 60, 90, 200]);
        $plan = UnitTemplate::Chest->plan('C', 4, 1, new UnitSize(rowHeights: $heights));
        self::assertSame(446.0, $plan->height->millimetres(), 'the drawers and 18 mm above and below');
        self::assertSame([60.0, 60.0, 90.0, 200.0], array_map(static fn ($place): float => $place->front->height->millimetres(), $plan->places));
        self::assertSame(
            [34.0, 64.0, 174.0],
            [
                $plan->places[1]->inside->height->millimetres(),
                $plan->places[2]->inside->height->millimetres(),
                $plan->places[3]->inside->height->millimetres(),
            ],
        );
        self::assertSame(330.0, $plan->places[0]->inside->width->millimetres(), '400 less the sides and the runners');
    }

    /** @return iterable<string, array{int, int, UnitSize, string}> */
    public static function impossible(): iterable
    {
        $mm = static fn (int $mm): Length => Length::ofTenthMillimetres(10 * $mm);
        yield 'no drawers' => [0, 1, new UnitSize(), 'rows'];
        yield 'less than none' => [-1, 1, new UnitSize(), 'rows'];
        yield 'ten thousand drawers' => [10000, 1, new UnitSize(), 'rows'];
        yield 'too many columns' => [3, 21, new UnitSize(), 'columns'];
        yield 'a drawer taller than its unit' => [2, 1, new UnitSize(height: $mm(300), rowHeights: [$mm(100), $mm(400)]), 'row_heights'];
        yield 'a height missing' => [3, 1, new UnitSize(rowHeights: [$mm(100), $mm(100)]), 'row_heights'];
        yield 'drawers like paper' => [40, 1, new UnitSize(height: $mm(200)), 'rows'];
    }

    #[DataProvider('impossible')]
    public function testRefusesWhatCannotBeBuilt(int $rows, int $columns, UnitSize $size, string $field): void
    {
        try {
            UnitTemplate::Cubes->plan('C', $rows, $columns, $size);
            self::fail('It was built.');
        } catch (InvalidUnit $refused) {
            self::assertSame($field, $refused->field);
        }
    }

    public function testAFrontIsPartedAndJoinedAgain(): void
    {
        $front = UnitTemplate::Chest->plan('C', 3)->places[1]->front;
        foreach ([true, false] as $isSideBySide) {
            [$one, $two, $three] = $front->parted(3, $isSideBySide);
            $joined = $one->joined($two)?->joined($three);
            self::assertEquals($front, $joined);
            self::assertNull($one->joined($three), 'there is one between them');
        }
        $this->expectException(InvalidUnit::class);
        $front->parted(1, true);
    }

    public function testRowsThatDoNotGoIntoAUnitNameItsFrame(): void
    {
        $mm = static fn (int ...$all): array => array_map(static fn (int $one): Length => Length::ofTenthMillimetres(10 * $one), array_values($all));
        try {
            UnitTemplate::Chest->plan('C', 5, 1, new UnitSize(height: $mm(450)[0], rowHeights: $mm(60, 60, 90, 90, 120)));
            self::fail('420 and 36 do not go into 450.');
        } catch (InvalidUnit $wrong) {
            self::assertSame(
                'Together they are 420 mm, and the frame above and below takes 36 mm: that does not go into a unit 450 mm high.',
                $wrong->inWords(new LengthFormat(LengthUnit::Millimetre)),
            );
        }
        self::assertSame('Give one height for each row: 2, not 1.', InvalidUnit::rowHeights(2, 1)->inWords(new LengthFormat(LengthUnit::Inch)));
        self::assertStringContainsString('less than 9/16 in, a little over', InvalidUnit::tooSmall()->inWords(new LengthFormat(LengthUnit::Inch)));
    }

    public function testLowTraysOfACartHaveAnInside(): void
    {
        $inches = array_map(static fn (int $inches): Length => Length::ofInches($inches), [2, 5, 5, 5]);
        $plan = UnitTemplate::Cart->plan('F', 4, 1, new UnitSize(rowHeights: $inches));
        self::assertSame([42.8, 119.0], array_map(static fn (int $row): float => $plan->places[$row]->inside->height->millimetres(), [0, 1]));
    }
}
