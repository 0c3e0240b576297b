<?php

declare(strict_types=1);

namespace App\Room\Find;

use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;
use App\Room\Catalogue\WhereRow;

/** An item that was found, and where it is now. */
final readonly class FoundItem
{
    /** @param list<WhereRow> $where */
    private function __construct(public ThingLine $thing, public string $colourName, public string $sentiments, public array $where)
    {
    }

    /** @param list<WhereRow> $where */
    public static function of(Row $row, array $where): self
    {
        return new self(ThingLine::of($row), $row->text('colour_name'), $row->text('sentiments'), $where);
    }

    /** The place of the furniture where the first of it is, null where none of it is in a drawer. */
    public function drawer(): ?int
    {
        foreach ($this->where as $where) {
            if ($where->isFiled()) {
                return $where->placeId;
            }
        }

        return null;
    }
}
