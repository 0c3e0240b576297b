<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\Row;

/** A search that is kept under a name. */
final readonly class SavedSearch
{
    private function __construct(public int $id, public string $name, public string $query)
    {
    }

    public static function of(Row $row): self
    {
        return new self($row->int('id'), $row->text('name'), $row->text('query'));
    }
}
