<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;

/** The address of a place and its name. */
final readonly class NamedPlace
{
    private function __construct(public string $address, public string $name)
    {
    }

    public static function of(Row $row): self
    {
        return new self($row->text('address'), $row->text('name'));
    }
}
