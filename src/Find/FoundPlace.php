<?php

declare(strict_types=1);

namespace App\Find;

use App\Database\Row;
use App\Stores\FrontRow;

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
