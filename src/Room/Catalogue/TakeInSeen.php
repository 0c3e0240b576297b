<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Stores\Place;
use App\Room\Stores\Places;

/** Takes in what was named in the photo of an open place: each with its cut-out as its picture, and its spot. */
final readonly class TakeInSeen
{
    public function __construct(private TakeIn $takeIn, private PhotographPlace $photograph, private Places $places)
    {
    }

    /**
     * @param list<NewThing> $things
     *
     * @throws StepRefused if one is said to be a thing that does not live there
     */
    public function __invoke(Step $step, Place $place, array $things): void
    {
        foreach ($things as $new) {
            $item = $this->item($step, $place, $new);
            if (null === $item || null === $new->seen) {
                continue;
            }
            $item->showAs($item->photo ?? $new->seen->cutOut);
            if (true === $item->home?->isWithin($place)) {
                $this->photograph->saw($item, $place, $new->seen->spot);
            }
        }
    }

    /** The thing that is seen: a new one, or one that lives there; null where there is only more of what is known already. */
    private function item(Step $step, Place $place, NewThing $new): ?Item
    {
        if (null === $new->moreOf) {
            return $this->takeIn->one($step, $new->home ?? $this->places->heap(), $new->thing);
        }
        if ($new->isThatOne) {
            return true === $new->moreOf->home?->isWithin($place) ? $new->moreOf : throw CatalogueRefused::livesElsewhere($new->moreOf->name, $place->address);
        }
        $this->takeIn->all($step, [$new]);

        return null;
    }
}
