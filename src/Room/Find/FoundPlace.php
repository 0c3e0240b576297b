<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\Row;
use App\Room\Stores\FrontRow;

/** A place that was found. */
final readonly class FoundPlace
{
    private function __construct(public int $id, public string $address, public string $title)
    {
    }

    public static function of(Row $row): self
    {
        return new self($row->int('id'), $row->text('address'), FrontRow::title($row));
    }
}
