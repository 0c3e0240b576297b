<?php

declare(strict_types=1);

namespace App\People\Accounts;

/** The room has an owner already. */
final class RoomIsOpen extends \DomainException
{
    public static function already(): self
    {
        return new self('This room has an owner already. Sign in instead.');
    }
}
