<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;

/** How much of a thing is on a kit's tray. */
final readonly class TrayRow
{
    private function __construct(public ThingLine $thing, public int $quantity)
    {
    }

    public static function of(Row $row): self
    {
        return new self(ThingLine::of($row), $row->int('quantity'));
    }
}
