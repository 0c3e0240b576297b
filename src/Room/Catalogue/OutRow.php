<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;

/** A thing that is on a tray, or with somebody, away from its home. */
final readonly class OutRow
{
    private function __construct(public ThingRow $row, public string $tray, public ?int $kitId, public string $kit)
    {
    }

    public static function of(Row $row): self
    {
        return new self(ThingRow::of($row), $row->text('tray'), $row->intOrNull('kit_id'), $row->textOrNull('kit') ?? '');
    }
}
