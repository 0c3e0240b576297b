<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

/** How one gets into a place. */
enum Access: string
{
    case Open = 'open';
    case Drawer = 'drawer';
    case Door = 'door';
    case Lid = 'lid';
    case DrawerBehindDoor = 'drawer behind a door';

    /** Returns how many grips it takes to open and to close it. */
    public function grips(): int
    {
        return match ($this) {
            self::Open => 0,
            self::Drawer, self::Door, self::Lid => 2,
            self::DrawerBehindDoor => 4,
        };
    }
}
