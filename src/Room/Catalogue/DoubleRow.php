<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;

/** A thing that may be what somebody is about to put in once more. */
final readonly class DoubleRow
{
    private function __construct(public int $id, public string $name, public string $maker, public ?string $home)
    {
    }

    public static function of(Row $row): self
    {
        return new self($row->int('id'), $row->text('name'), $row->text('maker'), $row->textOrNull('home'));
    }
}
