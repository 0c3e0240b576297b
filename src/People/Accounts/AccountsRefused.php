<?php

declare(strict_types=1);

namespace App\People\Accounts;

use App\Platform\Steps\StepRefused;

/** What steps of this area are refused for, each with what to do instead. */
final class AccountsRefused
{
    public static function ownerIsGrownUp(string $name): StepRefused
    {
        return new StepRefused(\sprintf('%s runs this room; only a helper is a child here.', $name));
    }

    public static function lastOwner(string $name): StepRefused
    {
        return new StepRefused(\sprintf('%s is the only owner; somebody has to look after the room.', $name));
    }
}
