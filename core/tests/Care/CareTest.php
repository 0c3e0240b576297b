<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Care;

use Lottel\Core\Care\Care;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use PHPUnit\Framework\TestCase;

/** Cautions of the trade: common practice, no source. */
final class CareTest extends TestCase
{
    public function testStampsAreCleanedAndHotToolsCoolBeforeTheyGoHome(): void
    {
        self::assertContains(Hazard::Inky, Kind::StampSet->usualHazards());
        self::assertStringContainsString('solvent cleaner', Care::onReturn(Hazard::Inky)->do);
        self::assertStringContainsString('unplugged', Care::onReturn(Hazard::Hot)->do);
        self::assertTrue(Care::onReturn(Hazard::Hot)->isTicked);
        self::assertNull(Care::onPull(Hazard::Inky), 'clean stamps need no care on the way out');
    }

    public function testEveryHazardSaysWhatToDoAndWhy(): void
    {
        foreach (Hazard::cases() as $hazard) {
            $care = Care::onReturn($hazard);
            self::assertNotSame('', $care->do);
            self::assertNotSame('', $care->why);
            self::assertSame($hazard, $care->hazard);
        }
    }
}
