<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Log;

use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\LengthUnit;
use PHPUnit\Framework\TestCase;

final class QuantityTextTest extends TestCase
{
    public function testReadsAndPrintsAsEachTrackingIsSpokenOf(): void
    {
        $text = new QuantityText(LengthUnit::Inch);
        self::assertSame(12, $text->parse(' 12 ', Tracking::Count));
        self::assertSame(18 * 8128, $text->parse('18', Tracking::Length));
        self::assertSame('18 in', $text->print(18 * 8128, Tracking::Length));
        self::assertSame('1,200', $text->print(1200, Tracking::Count));
        self::assertSame(
            ['full', '¾ full', '⅛ full', '0 full'],
            array_map(static fn (int $eighths): string => $text->print($eighths, Tracking::Level), [8, 6, 1, 0]),
        );
    }

    public function testReadsLengthsAndLevelsAsPeopleSayThem(): void
    {
        $text = new QuantityText(LengthUnit::Inch);
        foreach (
            [
                '5 m' => 5000 * 320,
                '10 yd' => 360 * 8128,
                '2 1/2 yd' => 90 * 8128,
                '3 ft' => 36 * 8128,
                "3' 6\"" => 42 * 8128,
                '2 ft 3 in' => 27 * 8128,
                '1 yard' => 36 * 8128,
                '12' => 12 * 8128,
                '12.5 cm' => 125 * 320,
            ] as $typed => $ticks
        ) {
            self::assertSame($ticks, $text->parse((string) $typed, Tracking::Length), (string) $typed);
        }
        foreach (
            ['full' => 8, 'half' => 4, 'Half full' => 4, '1/2' => 4, '½' => 4,
                '3/4' => 6, '¾ full' => 6, '7/8' => 7, '5' => 5, 'a quarter' => 2] as $typed => $eighths
        ) {
            self::assertSame($eighths, $text->parse((string) $typed, Tracking::Level), (string) $typed);
        }
        foreach (['9', '0', '5/4', '1/3', 'nearly', '', '-1'] as $none) {
            try {
                $text->parse($none, Tracking::Level);
                self::fail('Taken: '.$none);
            } catch (RefusedMovement $refused) {
                self::assertStringContainsString('full', $refused->getMessage());
            }
        }
        self::assertSame(
            [Tracking::Length, Tracking::Length, Tracking::Level, Tracking::Level, null, null],
            array_map($text->tells(...), ['5 m', '2 1/2 yd', 'half', '3/4', '12', 'many']),
        );
    }

    public function testAPackMakesItsSheets(): void
    {
        $text = new QuantityText(LengthUnit::Inch);
        foreach (['3 × 24' => 72, '3x24' => 72, '2 pads of 36' => 72, '1 pack of 50 sheets' => 50, '4 of 25' => 100, 'a ream' => 500] as $typed => $sheets) {
            self::assertSame($sheets, $text->parse($typed, Tracking::Count), $typed);
            self::assertSame(Tracking::Count, $text->tells($typed), $typed);
        }
        foreach (['0 × 24', '3 ×', '999999 × 999999'] as $none) {
            try {
                $text->parse($none, Tracking::Count);
                self::fail('Taken: '.$none);
            } catch (RefusedMovement $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }

    public function testWhatAFieldShowsIsReadAsTheSameAgain(): void
    {
        mt_srand(11);
        foreach ([LengthUnit::Inch, LengthUnit::Millimetre] as $unit) {
            $text = new QuantityText($unit);
            for ($i = 0; $i < 400; ++$i) {
                $tracking = [Tracking::Count, Tracking::Length, Tracking::Level][$i % 3];
                $quantity = Tracking::Level === $tracking ? mt_rand(1, 8) : mt_rand(1, 9_000_000);
                self::assertSame($quantity, $text->parse($text->field($quantity, $tracking), $tracking));
            }
        }
    }

    public function testRefusesWhatIsNoQuantity(): void
    {
        $text = new QuantityText(LengthUnit::Inch);
        foreach (['', '0', '-1', '1.5', 'three', '1e3', '99999999999999999999', '१२', '٣'] as $typed) {
            try {
                $text->parse($typed, Tracking::Count);
                self::fail('Taken: '.$typed);
            } catch (RefusedMovement $refused) {
                self::assertStringContainsString('whole number', $refused->getMessage());
            }
        }
        $this->expectException(InvalidLength::class);
        $text->parse('1/0', Tracking::Length);
    }

    public function testALevelStandsInAFieldAsItIsSaid(): void
    {
        $quantities = new QuantityText(LengthUnit::Inch);
        foreach ([8 => 'full', 7 => '7/8', 6 => '3/4', 4 => 'half', 3 => '3/8', 2 => '1/4', 1 => '1/8'] as $eighths => $field) {
            self::assertSame($field, $quantities->field($eighths, Tracking::Level));
            self::assertSame($eighths, $quantities->parse($field, Tracking::Level));
        }
    }
}
