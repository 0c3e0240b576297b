<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\NeedRow;
use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;
use Lottel\Core\Kit\NeedState;

/** What a round has to know of a line that is still open. */
final readonly class OpenNeed
{
    private function __construct(public int $id, public ThingLine $thing, public int $left)
    {
    }

    public static function of(Row $row): self
    {
        $thing = ThingLine::of($row);

        return new self($row->int('id'), $thing, NeedState::Open->left($thing->tracking, $row->int('quantity'), $row->int('taken')));
    }

    public static function ofLine(NeedRow $line): self
    {
        return new self($line->id, $line->thing, $line->left());
    }
}
