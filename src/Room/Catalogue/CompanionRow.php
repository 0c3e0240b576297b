<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;

/** What goes with an item, in one pocket with it or apart. */
final readonly class CompanionRow
{
    private function __construct(public int $of, public ThingLine $thing, public bool $isTogether)
    {
    }

    public static function of(Row $row): self
    {
        return new self($row->int('of_id'), ThingLine::of($row), $row->flag('is_together'));
    }
}
