<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Database\Row;

/** Sheets of one paper in one place, to be weighed. */
final readonly class StackRow
{
    private function __construct(public PaperRow $paper, public int $placeId, public string $address, public int $quantity)
    {
    }

    public static function of(Row $row): self
    {
        return new self(PaperRow::of($row), $row->int('place_id'), $row->text('address'), $row->int('stored'));
    }
}
