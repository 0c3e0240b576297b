<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemIndex;
use App\Room\Catalogue\ItemLabels;
use App\Room\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Paper\Sheet;

/** Scraps as the catalogue knows them: one that is there already, or a new one with all that its paper says of it. */
final readonly class ScrapsOfPaper
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ScrapReading $scraps,
        private ItemIndex $index,
        private ItemLabels $labels,
    ) {
    }

    /** @param Sheet $sheet its size and what else is known of it */
    public function of(Item $paper, Sheet $sheet, ?Place $home, LengthFormat $lengths): Item
    {
        \assert(null !== $sheet->size);
        $this->entities->flush();
        $whole = $paper->wholePaper();

        $like = null === $sheet->outline && null !== $whole ? $this->scraps->like($whole, $sheet, $home) : null;

        return $like ?? $this->made($paper, $sheet, $home, $lengths);
    }

    private function made(Item $paper, Sheet $sheet, ?Place $home, LengthFormat $lengths): Item
    {
        \assert(null !== $sheet->size);
        $of = '' === $paper->colourName ? $paper->name : $paper->colourName;
        $name = \sprintf('%s scrap %s × %s', mb_substr($of, 0, 150), $lengths->number($sheet->size->width), $lengths->number($sheet->size->height))
            .(null === $sheet->outline ? '' : ', a corner missing');
        $scrap = new Item($name, Kind::Scrap, Tracking::Count, $home);
        $scrap->isCutFrom($paper, $sheet);
        $this->entities->persist($scrap);
        $this->index->item($scrap);
        $this->labels->wishForThing($scrap, 'new');

        return $scrap;
    }
}
