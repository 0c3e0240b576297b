<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Measure;

use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    /** 1 in = 25.4 mm exactly (international yard and pound agreement, 1959), so 8128 ticks are 25.4 × 320 ticks. */
    public function testAnInchIsTwentyFivePointFourMillimetres(): void
    {
        self::assertSame(Length::ofInches(1)->ticks, Length::ofTenthMillimetres(254)->ticks);
        self::assertSame(127, Length::ofInches(1, 64)->ticks);
        self::assertSame(32, Length::ofTenthMillimetres(1)->ticks);
    }

    /** @return iterable<string, array{string, int}> */
    public static function readable(): iterable
    {
        yield 'mixed' => ['4 1/4', 17 * 2032];
        yield 'decimal' => ['4.25', 17 * 2032];
        yield 'comma' => ['4,25', 17 * 2032];
        yield 'vulgar' => ['4¼', 17 * 2032];
        yield 'vulgar alone' => ['½', 4064];
        yield 'hyphen' => ['4-1/4 in', 17 * 2032];
        yield 'and' => ['4 and 1/4 inches', 17 * 2032];
        yield 'inch mark' => ['5 1/2"', 11 * 4064];
        yield 'double prime' => ['5 ½″', 11 * 4064];
        yield 'millimetres' => ['108 mm', 108 * 320];
        yield 'centimetres' => ['10.8 cm', 108 * 320];
        yield 'metre' => ['1 m', 320000];
        yield 'no space' => ['210mm', 67200];
        yield 'leading point' => ['.5', 4064];
        yield 'third' => ['1/3', 2709];
        yield 'blanks' => ["  4 \u{00a0}1/4  ", 17 * 2032];
        yield 'zero' => ['0', 0];
    }

    #[DataProvider('readable')]
    public function testReadsWhatPeopleWrite(string $text, int $ticks): void
    {
        self::assertSame($ticks, Length::parse($text, LengthUnit::Inch)->ticks);
    }

    public function testABareNumberIsInTheRoomsUnit(): void
    {
        self::assertSame(105 * 320, Length::parse('105', LengthUnit::Millimetre)->ticks);
    }

    /** @return iterable<array{string}> */
    public static function unreadable(): iterable
    {
        foreach (
            [
                '',
                ' ',
                'four',
                '4 1',
                '1/0',
                '4 1/0 in',
                '-4',
                '−4',
                '4..5',
                '1e3',
                'NaN',
                '4 1/4 1/4',
                '99999999999',
                '5 ft of',
                "4\x01",
                '101 m',
                '4 1/4 kg',
                "\xff",
            ] as $text
        ) {
            yield [$text];
        }
    }

    #[DataProvider('unreadable')]
    public function testRefusesWhatIsNoLength(string $text): void
    {
        $this->expectException(InvalidLength::class);
        Length::parse($text, LengthUnit::Inch);
    }

    public function testPrintsInchesToTheSixteenthAndSaysWhenThatIsNotExact(): void
    {
        $inches = new LengthFormat(LengthUnit::Inch);
        self::assertSame('4¼ in', $inches->full(Length::ofInches(17, 4)));
        self::assertSame('3 1/16 in', $inches->full(Length::ofInches(49, 16)));
        self::assertSame('4¼ × 5½ in', $inches->sides(Length::ofInches(17, 4), Length::ofInches(11, 2)));
        self::assertSame('about 8¼ × 11 11/16 in', $inches->sides(Length::ofTenthMillimetres(2100), Length::ofTenthMillimetres(2970)));
        self::assertSame('8¼ in, a little over', $inches->full(Length::ofTenthMillimetres(2100)), '210 mm is 8.2677 in, a little over 8 1/4');
        self::assertSame('11 11/16 in, a little over', $inches->full(Length::ofTenthMillimetres(2970)), '297 mm is 11.6929 in');
        self::assertSame('4 1/8 in, a little over', str_replace('⅛', ' 1/8', $inches->full(Length::ofTenthMillimetres(1050))), '105 mm is 4.1339 in');
        self::assertSame('⅜ in, a little under', $inches->full(Length::ofTenthMillimetres(95)), '9.5 mm is 0.3740 in, a little under 3/8');
        self::assertSame('0 in', $inches->full(Length::ofTicks(0)));
    }

    public function testPrintsMillimetresToTheTenth(): void
    {
        $metric = new LengthFormat(LengthUnit::Millimetre);
        self::assertSame('108 mm', $metric->full(Length::ofInches(17, 4)), '4 1/4 in is 107.95 mm, printed to the nearest tenth');
        self::assertSame('25.4 mm', $metric->full(Length::ofInches(1)));
    }

    public function testWhatIsPrintedExactlyIsReadBackTheSame(): void
    {
        mt_srand(20261125);
        foreach (LengthUnit::cases() as $unit) {
            $step = LengthUnit::Inch === $unit ? 508 : 32;
            for ($i = 0; $i < 3000; ++$i) {
                $length = Length::ofTicks($step * mt_rand(0, 60000));
                self::assertSame($length->ticks, Length::parse((new LengthFormat($unit))->full($length), $unit)->ticks);
            }
        }
    }

    public function testSumsAndDifferencesAreExact(): void
    {
        $quarter = Length::ofInches(17, 4);
        self::assertSame(Length::ofInches(17, 2)->ticks, $quarter->plus($quarter)->ticks);
        self::assertSame(0, $quarter->minus($quarter)->ticks);
        $this->expectException(InvalidLength::class);
        Length::ofInches(4)->minus($quarter);
    }

    public function testWhatIsPutIntoAFieldIsReadBackWithoutLoss(): void
    {
        mt_srand(8);
        foreach (LengthUnit::cases() as $unit) {
            for ($case = 0; $case < 500; ++$case) {
                $length = Length::ofTicks(0 === $case % 2 ? 127 * mt_rand(0, 9000) : mt_rand(0, 2_000_000));
                self::assertSame($length->ticks, Length::parse((new LengthFormat($unit))->exact($length), $unit)->ticks);
            }
        }
        $inches = new LengthFormat(LengthUnit::Inch);
        self::assertSame(
            ['4 1/4 in', '1/64 in', '12 in', '0 in', '220.4724 in', '0.0001 in'],
            array_map(static fn (int $ticks): string => $inches->exact(Length::ofTicks($ticks)), [34544, 127, 97536, 0, 5600 * 320, 1]),
            'a room in inches is told inches, however odd',
        );
    }

    public function testALengthOffARollIsSaidAsPeopleSayIt(): void
    {
        $inches = new LengthFormat(LengthUnit::Inch);
        $metric = new LengthFormat(LengthUnit::Millimetre);
        self::assertSame('18 in', $inches->rolled(Length::ofInches(18)));
        self::assertSame('5½ yd', $inches->rolled(Length::ofInches(198)));
        self::assertSame('36½ in', $inches->rolled(Length::ofInches(73, 2)));
        self::assertSame('10 ft 2 in', $inches->rolled(Length::ofInches(122)));
        self::assertSame('about 16 ft 5 in', $inches->rolled(Length::ofTenthMillimetres(50_000)), '5 m is 196.85 in');
        self::assertSame('600 mm', $metric->rolled(Length::ofTenthMillimetres(6000)));
        self::assertSame('5 m', $metric->rolled(Length::ofTenthMillimetres(50_000)));
        self::assertSame('about 4.57 m', $metric->rolled(Length::ofInches(180)), '5 yd is 4.572 m');
        self::assertSame([4, 5], [Length::ofTenthMillimetres(44)->nearestMillimetres(), Length::ofTenthMillimetres(45)->nearestMillimetres()]);
    }
}
