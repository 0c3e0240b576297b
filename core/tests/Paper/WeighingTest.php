<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Paper;

use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Basis;
use Lottel\Core\Paper\InvalidGrammage;
use Lottel\Core\Paper\Sheet;
use Lottel\Core\Paper\Weighing;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Sheets counted by weighing them: what is said is true. */
final class WeighingTest extends TestCase
{
    public function testALearnedWeightCountsToTheSheet(): void
    {
        $weighing = Weighing::of(13.03, 521, 1, true);
        self::assertSame([40, 40, 40, '40 sheets'], [$weighing->sheets, $weighing->least, $weighing->most, $weighing->inWords()]);
        self::assertSame('1 sheet', Weighing::of(13.03, 13, 1, true)->inWords());
        self::assertSame('0 sheets', Weighing::of(13.03, 0, 1, true)->inWords());
    }

    public function testAWeightOffTheWrapperLeavesRoom(): void
    {
        $weighing = Weighing::of(13.03, 521, 1, false);
        self::assertFalse($weighing->isCertain());
        self::assertSame('about 40 sheets: from 39 to 41, since nobody has weighed a known number of them yet', $weighing->inWords());
        self::assertTrue(Weighing::of(13.03, 65, 1, false)->isCertain(), 'a few are told for sure');
    }

    /** Whatever the sheets weigh within three per cent, and however the scale errs: the true number lies in between. */
    public function testTheTruthLiesInBetween(): void
    {
        $random = new Randomizer(new Mt19937(21));
        for ($case = 0; $case < 2000; ++$case) {
            [$sheets, $said] = [$random->getInt(0, 300), $random->getInt(30, 400) / 10];
            $true = $said * (1 + $random->getInt(-29, 29) / 1000);
            $shown = max(0.0, $sheets * $true + $random->getInt(-100, 100) / 100);
            $weighing = Weighing::of($said, $shown, 1.0, false);
            self::assertLessThanOrEqual($sheets, $weighing->least, "case $case");
            self::assertGreaterThanOrEqual($sheets, $weighing->most, "case $case");
        }
    }

    public function testAWeightIsLearnedFromAKnownNumber(): void
    {
        $letter = new Sheet(Size::ofSixteenths(136, 176));
        $learned = Weighing::learned((int) $letter->doubledArea(), 10, 131.5, Basis::Cover);
        self::assertEqualsWithDelta(218.0, $learned->gsm(), 0.05);
        self::assertEqualsWithDelta(131.5, 10 * (float) (new Sheet($letter->size, $learned))->grams(), 0.01);
        self::assertSame(Basis::Cover, $learned->basis);
        $this->expectException(InvalidGrammage::class);
        Weighing::learned((int) $letter->doubledArea(), 1000, 12, null);
    }
}
