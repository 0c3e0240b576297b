<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Lottel\Core\Picture\Spot;

/** A thing as it is seen in the photo of an open place. */
final readonly class SpottedThing
{
    private function __construct(public int $id, public string $name, public Spot $spot, public bool $isOut)
    {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('name'),
            Spot::of($row->int('x'), $row->int('y'), $row->int('width'), $row->int('height')),
            $row->flag('is_out'),
        );
    }
}
