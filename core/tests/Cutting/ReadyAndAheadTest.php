<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\AheadOfTime;
use Lottel\Core\Cutting\ReadyCut;
use Lottel\Core\Cutting\SamePaper;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Grammage;
use PHPUnit\Framework\TestCase;

final class ReadyAndAheadTest extends TestCase
{
    public function testWhatIsReadyIsAsLargeAndScoredAsWanted(): void
    {
        $panel = Size::ofSixteenths(68, 88);
        self::assertTrue(ReadyCut::is($panel, 'White A2 panels', $panel, false, false));
        self::assertTrue(ReadyCut::is($panel->turned(), 'White A2 panels', $panel, true, false));
        self::assertFalse(ReadyCut::is($panel->turned(), 'White A2 panels', $panel, false, false), 'it may not be turned');
        self::assertFalse(ReadyCut::is(Size::ofSixteenths(68, 87), 'White A2 panels', $panel, true, false));
        $base = Size::ofSixteenths(68, 176);
        self::assertTrue(ReadyCut::is($base, 'White A2 top-fold bases, scored', $base, false, true));
        self::assertFalse(ReadyCut::is($base, 'White strips', $base, false, true), 'nobody says that they are scored');
        self::assertFalse(ReadyCut::is($base, 'White bases', $base, false, false), 'a strip wants no score');
    }

    public function testOnePaperInTwoSizesIsOnePaper(): void
    {
        $petrel = Lab::of(Srgb::ofHex('#1f5c6b'));
        $cover = Grammage::parse('80 lb cover');
        self::assertTrue(SamePaper::is($petrel, $cover, Lab::of(Srgb::ofHex('#205d6b')), Grammage::parse('216 gsm')));
        self::assertFalse(SamePaper::is($petrel, $cover, Lab::of(Srgb::ofHex('#c8372d')), $cover));
        self::assertFalse(SamePaper::is($petrel, $cover, $petrel, Grammage::parse('110 lb cover')));
        self::assertFalse(SamePaper::is($petrel, null, $petrel, $cover), 'nobody knows how heavy it is');
        self::assertFalse(SamePaper::is(null, $cover, null, $cover), 'patterns differ');
    }

    public function testWhatRunsLowIsRestoredForTwoMonths(): void
    {
        self::assertSame(0, AheadOfTime::lacking(30, 0, 90, 90), 'a month is there');
        self::assertSame(31, AheadOfTime::lacking(29, 0, 90, 90), '29 of 60');
        self::assertSame(60, AheadOfTime::lacking(29, 29, 90, 90), 'kits want them all');
        self::assertSame(5, AheadOfTime::lacking(10, 15, 0, 90), 'what kits wait for');
        self::assertSame(0, AheadOfTime::lacking(0, 0, 0, 90), 'nobody uses them');
        self::assertSame([4, 0, null], [AheadOfTime::weeks(30, 0, 90, 90), AheadOfTime::weeks(3, 5, 90, 90), AheadOfTime::weeks(3, 0, 0, 90)]);
    }
}
