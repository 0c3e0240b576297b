<?php

declare(strict_types=1);

namespace App\Paper;

use App\Catalogue\Item;
use App\Catalogue\ItemIndex;
use App\Catalogue\ItemLabels;
use App\Catalogue\TakeIn;
use App\Steps\Step;
use App\Steps\StepRefused;
use App\Stores\Place;
use App\Stores\Places;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Outline;
use Lottel\Core\Paper\Sheet;

/** Keeps a scrap of a paper: more of one that is there already, or a new one with all that its paper says of it. */
final readonly class TakeInScrap
{
    public function __construct(
        private EntityManagerInterface $entities,
        private ScrapReading $scraps,
        private TakeIn $takeIn,
        private Places $places,
        private ItemIndex $index,
        private ItemLabels $labels,
    ) {
    }

    /**
     * @param Sheet $shape its size, and its outline where it is no rectangle
     * @param Place|null $home where it is to live; where its like lives, if nothing is said
     *
     * @throws ScrapRefused if it is no paper, or the scrap would be larger than it
     */
    public function __invoke(Step $step, Item $paper, Sheet $shape, int $many, ?Place $home, LengthFormat $lengths): Item
    {
        if (!$paper->kind->isCut()) {
            throw ScrapRefused::isOfNoPaper($paper->name);
        }
        $size = $shape->size ?? throw StepRefused::hasNoSize($paper->name);
        $whole = $paper->sheet->sheet();
        if (null !== $whole->size && !$shape->canComeFrom($whole)) {
            throw ScrapRefused::isLargerThanItsPaper($lengths->sides($whole->size->width, $whole->size->height));
        }
        $home ??= $this->scraps->homeOf($paper);
        $scrap = (null === $shape->outline ? $this->scraps->like($paper, $size, $home) : null)
            ?? $this->made($paper, $size, $shape->outline, $home, $lengths);
        $this->takeIn->stock($step, $scrap, $home ?? $this->places->heap(), $many, Outside::MadeHere);

        return $scrap;
    }

    private function made(Item $paper, Size $size, ?Outline $outline, ?Place $home, LengthFormat $lengths): Item
    {
        $of = '' === $paper->colourName ? $paper->name : $paper->colourName;
        $name = \sprintf('%s scrap %s × %s', mb_substr($of, 0, 150), $lengths->number($size->width), $lengths->number($size->height))
            .(null === $outline ? '' : ', a corner missing');
        $scrap = new Item($name, Kind::Scrap, Tracking::Count, $home);
        [$scrap->maker, $scrap->collection, $scrap->themes, $scrap->season] = [$paper->maker, $paper->collection, $paper->themes, $paper->season];
        [$scrap->colour, $scrap->colourName, $scrap->isMulticolour] = [$paper->colour, $paper->colourName, $paper->isMulticolour];
        $scrap->sheet->put($paper->sheet->sheet()->cutTo($size, $outline));
        $scrap->parent = Kind::Scrap === $paper->kind ? $paper->parent : $paper;
        $this->entities->persist($scrap);
        $this->index->item($scrap);
        $this->labels->wishForThing($scrap, 'new');

        return $scrap;
    }
}
