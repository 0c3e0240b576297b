<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Care;

use Lottel\Core\Care\Care;
use Lottel\Core\Care\StampInk;
use PHPUnit\Framework\TestCase;

final class StampInkTest extends TestCase
{
    public function testWhetherWaterTakesItOff(): void
    {
        self::assertTrue(StampInk::of('Petrel dye ink cube')->isWashedOff);
        self::assertFalse(StampInk::of('White pigment ink')->isWashedOff);
        self::assertFalse(StampInk::of('Permanent black ink')->isWashedOff);
        self::assertNull(StampInk::of('Gorse cube')->isWashedOff);
        self::assertFalse(StampInk::of('Gorse cube', 'sticky embossing')->isWashedOff);
        self::assertTrue(StampInk::of('Permanent black ink', 'permanent', 'water')->isWashedOff, 'what its record says it comes off with counts first');
        self::assertFalse(StampInk::of('Petrel dye ink', 'dye', 'solvent cleaner')->isWashedOff);
    }

    public function testStampsAreCleanedAfterTheInksThatWereWithThem(): void
    {
        [$dye, $pigment, $unknown] = [StampInk::of('Petrel dye ink'), StampInk::of('White pigment ink'), StampInk::of('Gorse cube')];
        self::assertStringContainsString('damp cloth', Care::onReturnOfStamps([$dye])->do);
        self::assertStringNotContainsString('solvent', Care::onReturnOfStamps([$dye])->do);
        $both = Care::onReturnOfStamps([$dye, $pigment])->do;
        self::assertStringContainsString('solvent cleaner', $both);
        self::assertStringContainsString('White pigment ink', $both);
        self::assertStringNotContainsString('Petrel', $both, 'the one that water does not take off is the one that counts');
        $asked = Care::onReturnOfStamps([$dye, $unknown])->do;
        self::assertStringContainsString('Gorse cube', $asked);
        self::assertStringContainsString('as its label says', $asked, 'nobody knows, and nothing is guessed');
        self::assertSame(Care::onReturn(\Lottel\Core\Care\Hazard::Inky)->do, Care::onReturnOfStamps([])->do);
        self::assertTrue(Care::onReturnOfStamps([$pigment])->isTicked);
    }

    public function testItsOwnRecordIsReadToTheEnd(): void
    {
        foreach ([
            'waterproof' => false, 'water-resistant dye' => false, 'not with water' => false, 'never water, stamp cleaner' => false,
            'stamp cleaner' => false, 'water' => true, 'water or stamp cleaner' => true, 'soap and water' => true,
        ] as $record => $isWashedOff) {
            self::assertSame($isWashedOff, StampInk::of('Petrel ink', '', $record)->isWashedOff, $record);
        }
        self::assertFalse(StampInk::of('Petrel ink', 'waterproof dye')->isWashedOff);
    }
}
