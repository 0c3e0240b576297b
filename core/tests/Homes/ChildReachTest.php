<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Homes;

use Lottel\Core\Care\Hazard;
use Lottel\Core\Homes\ChildReach;
use Lottel\Core\Room\Footprint;
use PHPUnit\Framework\TestCase;

final class ChildReachTest extends TestCase
{
    /** Common practice, no source. */
    public function testWhatIsDangerousIsWarnedOfWhereChildrenReach(): void
    {
        self::assertSame(
            'Small children can reach C3; Craft knife (blade, solvent) is better out of their reach.',
            ChildReach::warning('Craft knife', 'C3', [Hazard::Blade, Hazard::Heavy, Hazard::Solvent], false, 600),
        );
        self::assertNull(ChildReach::warning('Craft knife', 'C3', [Hazard::Blade], true, 600), 'it is said to be out of reach');
        self::assertNull(ChildReach::warning('Craft knife', 'C3', [Hazard::Blade], false, 1500), 'it is too high');
        self::assertNull(ChildReach::warning('Gulls', 'C3', [Hazard::Inky, Hazard::LiesFlat], false, 600));
    }

    public function testALetterStandsInItsUnitHoweverItIsTurned(): void
    {
        $chest = new Footprint(1, 'C', 1000, 1000, 400, 450);
        $rail = new Footprint(2, 'G', 1000, 1000, 1200, 80);
        foreach ([0, 90, 180, 270] as $turn) {
            $letter = $chest->turned($turn)->letter();
            self::assertEquals([$chest->turned($turn)->across() / 2, $chest->turned($turn)->down() / 2], [$letter->x, $letter->y]);
            $outside = $rail->turned($turn)->letter();
            self::assertTrue(
                $outside->x < 0 || $outside->y < 0 || $outside->x > $rail->turned($turn)->across() || $outside->y > $rail->turned($turn)->down(),
                'a thin unit has its letter in front of it',
            );
        }
    }
}
