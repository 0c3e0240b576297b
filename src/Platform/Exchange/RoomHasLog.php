<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

/** A whole room is only read into one in which nothing has moved yet. */
final class RoomHasLog extends \DomainException
{
    public static function already(): self
    {
        return new self('Things have moved in this room already. A whole room is read into an empty one: use another folder, or another machine.');
    }
}
