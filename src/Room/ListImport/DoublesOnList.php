<?php

declare(strict_types=1);

namespace App\Room\ListImport;

/** What becomes of rows about things that the room has already. */
enum DoublesOnList: string
{
    case Add = 'add';
    case Second = 'second';
    case LeaveOut = 'out';

    public function label(): string
    {
        return match ($this) {
            self::Add => 'add to what is there',
            self::Second => 'take in as second ones',
            self::LeaveOut => 'leave out',
        };
    }
}
