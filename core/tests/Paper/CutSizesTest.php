<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Paper;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\CutSizes;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class CutSizesTest extends TestCase
{
    public function testADieCutsASizeOneWayRoundOrTheOther(): void
    {
        $gull = Size::ofSixteenths(28, 12);
        self::assertTrue(self::read('3 × 3; 3/4 × 1 3/4')->cuts($gull));
        self::assertTrue(self::read('1 13/16 × 3/4')->cuts($gull), 'a sixteenth is as good as exact');
        self::assertFalse(self::read('1 7/8 × 3/4')->cuts($gull), 'an eighth is not');
        self::assertFalse(CutSizes::of([])->cuts($gull));
    }

    public function testTheNearestLiesAsThePieceLies(): void
    {
        $ovals = self::read('3 3/4 × 5, 3 1/4 × 4 1/2, 2 3/4 × 4');
        self::assertEquals(Size::ofSixteenths(72, 52), $ovals->nearest(Size::ofSixteenths(70, 50)), 'turned as the piece is');
        self::assertNull($ovals->nearest(Size::ofSixteenths(16, 16)), 'what is off by more than half an inch is not near');
        self::assertEquals(Size::ofSixteenths(60, 80), $ovals->nearest(Size::ofSixteenths(68, 80)), 'half an inch is');
        self::assertNull($ovals->nearest(Size::ofSixteenths(69, 80)));
    }

    public function testSizesAreReadAsTheyAreWritten(): void
    {
        $sizes = self::read("2 × 3,4 1/4 × 5 1/2;\n60 × 80 mm; 3 × 2; 2 × 3");
        self::assertSame(['4¼ × 5½', '2⅜ × 3⅛', '3 × 2', '2 × 3'], self::shown($sizes), 'each once, the largest first');
        self::assertCount(1, CutSizes::read('30,5 × 28,25', LengthUnit::Millimetre)->sizes, 'a comma between digits stands in a number');
        self::assertTrue(self::read(' ; ')->isNone());
    }

    #[DataProvider('wrong')]
    public function testWhatIsNoSizeIsTold(string $text, string $told): void
    {
        $this->expectException(InvalidLength::class);
        $this->expectExceptionMessage($told);
        self::read($text);
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrong(): iterable
    {
        yield 'a word' => ['3 × 4, large', '“large”'];
        yield 'one side' => ['3 × 4; 5', '“5”'];
        yield 'nothing' => ['0 × 4', '“0 × 4”'];
        yield 'far too large' => ['400 × 4', '“400 × 4”'];
        yield 'a hundred' => [implode(', ', array_fill(0, 100, '3 × 4')), 'more than 24 sizes'];
    }

    public function testWhatIsWrittenIsReadAgainWithoutLoss(): void
    {
        $random = new Randomizer(new Mt19937(12));
        for ($i = 0; $i < 200; ++$i) {
            $ticks = array_map(static fn (): array => [$random->getInt(1, 900_000), $random->getInt(1, 900_000)], range(1, $random->getInt(1, 8)));
            $sizes = CutSizes::ofTicks($ticks);
            foreach (LengthUnit::cases() as $unit) {
                self::assertTrue($sizes->equals(CutSizes::read($sizes->written(new LengthFormat($unit)), $unit)));
            }
            $one = $sizes->sizes[0];
            self::assertTrue($sizes->cuts($one));
            self::assertTrue($sizes->cuts($one->turned()));
            $nearest = $sizes->nearest($random->shuffleArray($sizes->sizes)[0]);
            self::assertNotNull($nearest);
        }
    }

    private static function read(string $text): CutSizes
    {
        return CutSizes::read($text, LengthUnit::Inch);
    }

    /** @return list<string> */
    private static function shown(CutSizes $sizes): array
    {
        $lengths = new LengthFormat(LengthUnit::Inch);

        return array_map(static fn (Size $size): string => $lengths->number($size->width).' × '.$lengths->number($size->height), $sizes->sizes);
    }
}
