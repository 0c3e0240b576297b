<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kit;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\TakeIn;
use App\Room\Stores\Place;
use Lottel\Core\Catalogue\PastedThing;

/** Pulls something that the catalogue does not know yet: a name and the drawer are enough. */
final readonly class PullUncatalogued
{
    public function __construct(private TakeIn $takeIn, private PullItem $pull)
    {
    }

    public function __invoke(Step $step, Kit $kit, PastedThing $thing, Place $from): Item
    {
        $kit->trayInUse();
        $item = $this->takeIn->one($step, $from, $thing, 'first seen at a pull');
        $this->pull->oneMore($step, $kit, $item, $item->tracking->movesWhole() ? 1 : $thing->quantity);

        return $item;
    }
}
