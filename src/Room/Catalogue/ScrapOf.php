<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Lottel\Core\Measure\Size;

/** A scrap of a paper that is in the room, or the paper that a scrap was cut from. */
final readonly class ScrapOf
{
    private function __construct(public int $id, public string $name, public ?Size $size, public int $quantity, public ?string $address)
    {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('name'),
            SheetColumns::read($row)->size,
            $row->int('quantity'),
            $row->textOrNull('address'),
        );
    }
}
