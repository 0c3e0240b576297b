<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Homes;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Log\Tracking;
use PHPUnit\Framework\TestCase;

final class TypicalSizeTest extends TestCase
{
    public function testAReamOfPaperIsAboutAsThickAndHeavyAsPaperIs(): void
    {
        $pad = TypicalSize::contents(Kind::Paper, Tracking::Count, 100);
        self::assertEqualsWithDelta(35.0, $pad->thickness, 1.0, 'a hundred sheets of cardstock, in millimetres');
        self::assertEqualsWithDelta(1600.0, $pad->grams, 1.0);
    }

    public function testMeasuredThingsCountAsMeasured(): void
    {
        $thing = TypicalSize::contents(Kind::Other, Tracking::Count, 3, Box::ofMillimetres(100, 100, 50), 20);
        self::assertEqualsWithDelta([1.5, 150.0, 60.0], [$thing->litres, $thing->thickness, $thing->grams], 0.001);
    }

    public function testALevelIsOneContainerAndNothingTakesNoRoom(): void
    {
        self::assertSame(TypicalSize::grams(Kind::Ink), TypicalSize::contents(Kind::Ink, Tracking::Level, 5)->grams);
        foreach (Kind::cases() as $kind) {
            self::assertSame(0.0, TypicalSize::contents($kind, $kind->usualTracking(), 0)->litres);
            self::assertGreaterThan(0.0, TypicalSize::contents($kind, $kind->usualTracking(), 1)->litres);
        }
    }
}
