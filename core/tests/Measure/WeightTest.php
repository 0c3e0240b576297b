<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Measure;

use Lottel\Core\Measure\InvalidWeight;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\WeightFormat;
use PHPUnit\Framework\TestCase;

final class WeightTest extends TestCase
{
    public function testReadsWeightsAsTheyAreWritten(): void
    {
        $inches = new WeightFormat(LengthUnit::Inch);
        $metric = new WeightFormat(LengthUnit::Millimetre);
        foreach (
            [
                '90 g' => 90,
                '1.2 kg' => 1200,
                '3 oz' => 85,
                '1/2 oz' => 14,
                '2 1/2 oz' => 71,
                '½ oz' => 14,
                '2 lb' => 907,
                '2 lb 10 oz' => 1191,
                '2lbs' => 907,
                '1,5 kg' => 1500,
            ] as $text => $grams
        ) {
            self::assertSame($grams, $inches->parse($text), $text);
            self::assertSame($grams, $metric->parse($text), $text);
        }
        self::assertSame(28, $inches->parse('1'), 'a bare number is in ounces where one measures in inches');
        self::assertSame(1, $metric->parse('1'), 'and in grams elsewhere');
        foreach (['', 'heavy', '-3 g', '0', '3 stone', '1/0 oz', '5 kg 3', '2000000 g', "3 g\n4"] as $text) {
            try {
                $metric->parse($text);
                self::fail('Taken: '.$text);
            } catch (InvalidWeight $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }

    /** International avoirdupois pound of 1959: 453.59237 g; 16 oz to the pound. */
    public function testPrintsThemAsTheRoomSpeaks(): void
    {
        $inches = new WeightFormat(LengthUnit::Inch);
        self::assertSame(['0.5 oz', '3.2 oz', '1 lb', '2 lb 10 oz', '11 lb'], array_map($inches->print(...), [14.17, 90, 453.59237, 1190.68, 4989.5]));
        $metric = new WeightFormat(LengthUnit::Millimetre);
        self::assertSame(['14 g', '90 g', '1.2 kg'], array_map($metric->print(...), [14.17, 90, 1190.68]));
        mt_srand(3);
        for ($i = 0; $i < 500; ++$i) {
            $grams = mt_rand(1, 200_000);
            self::assertSame($grams, $inches->parse($inches->field($grams)), 'a field gives the same grams again');
            self::assertSame($grams, $metric->parse($metric->field($grams)));
        }
    }
}
