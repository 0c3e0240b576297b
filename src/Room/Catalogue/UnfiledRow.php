<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;

/** How much of a thing lies on the heap of what is not filed. */
final readonly class UnfiledRow
{
    private function __construct(public ThingLine $thing, public int $quantity)
    {
    }

    public static function of(Row $row): self
    {
        return new self(ThingLine::of($row), $row->int('quantity'));
    }
}
