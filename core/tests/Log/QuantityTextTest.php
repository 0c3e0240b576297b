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
        self::assertSame(['full', '¾ full', '⅛ full', '0 full'], array_map(static fn (int $eighths): string => $text->print($eighths, Tracking::Level), [8, 6, 1, 0]));
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
}
