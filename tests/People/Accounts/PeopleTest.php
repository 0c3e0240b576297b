<?php

declare(strict_types=1);

namespace App\Tests\People\Accounts;

use App\People\Accounts\DescribeRoom;
use App\People\Accounts\KeepPeople;
use App\People\Accounts\Newcomer;
use App\People\Accounts\OpenRoom;
use App\Platform\Security\Role;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Stores\Room;
use App\Tests\RoomTestCase;
use Lottel\Core\Measure\LengthUnit;

/** Who works here, and what the room is called. */
final class PeopleTest extends RoomTestCase
{
    public function testAnOwnerWhoLeftLooksAfterNothing(): void
    {
        $this->furnish();
        $this->service(OpenRoom::class)->welcome(new Newcomer('ona', 'Ona', 'onas-password'), Role::Owner);
        $this->entities()->flush();
        $leave = fn (string $login) => $this->step(function (Step $step) use ($login): void {
            $this->service(KeepPeople::class)->remove($step, $this->account($login));
        });
        $leave('ona');
        $this->expectException(StepRefused::class);
        $leave('olive');
    }

    public function testOfTwoOwnersEitherMayLeave(): void
    {
        $this->furnish();
        $this->service(OpenRoom::class)->welcome(new Newcomer('ona', 'Ona', 'onas-password'), Role::Owner);
        $this->entities()->flush();
        $this->step(function (Step $step): void {
            $this->service(KeepPeople::class)->remove($step, $this->account('olive'));
        });
        self::assertSame('ona', $this->word("SELECT login FROM account WHERE role = 'owner' AND left_at IS NULL"));
    }

    public function testOfTwoRoomsOnlyTheFirstIsCalledAnew(): void
    {
        $this->furnish();
        $this->entities()->persist(new Room('Shed', LengthUnit::Inch, 'UTC'));
        $this->entities()->flush();
        ($this->service(DescribeRoom::class))('Attic', LengthUnit::Millimetre, 'Europe/Oslo');
        self::assertSame(
            [['Attic', 'mm', 'Europe/Oslo'], ['Shed', 'mm', 'Europe/Oslo']],
            $this->database()->fetchAllNumeric('SELECT name, measure, time_zone FROM room ORDER BY id'),
            'the measure is one for all that is here',
        );
    }
}
