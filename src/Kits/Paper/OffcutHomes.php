<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Database\Row;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use App\Room\Stores\Rooms;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Homes\FiledScraps;
use Lottel\Core\Homes\OffcutHome;

/** Where what is left of a paper goes, by the room's school of filing it. */
final readonly class OffcutHomes
{
    public function __construct(private Connection $database, private Places $places, private Rooms $rooms)
    {
    }

    /** Returns null where the room has no place for it yet. */
    public function of(Item $paper): ?Place
    {
        $parent = $paper->wholePaper();
        $offcut = new FiledScraps(
            null,
            $parent?->id,
            null === $paper->colour ? null : Lab::of(Srgb::ofHex($paper->colour)),
            $paper->maker,
            $paper->collection,
        );
        $home = OffcutHome::of($this->rooms->all()[0]->trimmer->offcuts, $offcut, $parent?->home?->id, $this->filed());

        return null === $home ? null : $this->places->number($home);
    }

    /** @return list<FiledScraps> */
    private function filed(): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT i.home_id, i.parent_id, i.colour, i.maker, i.collection, count(*) AS many FROM item i JOIN place h ON h.id = i.home_id
             WHERE i.kind = 'scrap' AND h.retired_at IS NULL GROUP BY 1, 2, 3, 4, 5",
        );

        return Row::each($rows, static fn (Row $row): FiledScraps => new FiledScraps(
            $row->int('home_id'),
            $row->intOrNull('parent_id'),
            null === $row->textOrNull('colour') ? null : Lab::of(Srgb::ofHex($row->text('colour'))),
            $row->text('maker'),
            $row->text('collection'),
            $row->int('many'),
        ));
    }
}
