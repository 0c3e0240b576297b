<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\TakeIn;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Lottel\Core\Log\Outside;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Outline;
use Lottel\Core\Paper\Sheet;

/** Keeps a scrap of a paper: more of one that is there already, or a new one with all that its paper says of it. */
final readonly class TakeInScrap
{
    public function __construct(
        private ScrapsOfPaper $scraps,
        private OffcutHomes $homes,
        private TakeIn $takeIn,
        private Places $places,
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
        $home ??= $this->homes->of($paper);
        $scrap = $this->scraps->of($paper, $whole->cutTo($size, $shape->outline), $home, $lengths);
        $this->takeIn->stock($step, $scrap, $home ?? $this->places->heap(), $many, Outside::MadeHere);

        return $scrap;
    }
}
