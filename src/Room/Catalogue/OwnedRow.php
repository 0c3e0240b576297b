<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Paper\CutSizes;
use Lottel\Core\Paper\DieShape;
use Lottel\Core\Upkeep\Restock\OwnedThing;

/** Reads a thing as it is held against others of its kind. */
final class OwnedRow
{
    /** What a question asks for, of an item `i`. */
    public const COLUMNS = 'i.id, i.name, i.maker, i.kind, i.colour, i.is_multicolour, i.cut_sizes, i.details';

    public static function of(Row $row): OwnedThing
    {
        $colour = $row->flag('is_multicolour') ? null : $row->textOrNull('colour');

        return new OwnedThing(
            $row->int('id'),
            $row->text('name'),
            $row->text('maker'),
            null === $colour ? null : Srgb::ofHex($colour),
            self::cuts($row),
            DieShape::in($row->text('name').' '.($row->named('details')['shape'] ?? '')),
        );
    }

    /** What a die cuts; null where nobody has said. */
    public static function cuts(Row $row): ?CutSizes
    {
        return null === $row->textOrNull('cut_sizes') ? null : CutSizes::ofTicks($row->pairs('cut_sizes'));
    }
}
