<?php

declare(strict_types=1);

namespace App\Upkeep\Seasons;

use App\Platform\Steps\StepRefused;
use App\Room\Stores\Place;
use Lottel\Core\Furniture\RetiredAddress;

/** Keeps a place for the things of whichever season is at hand, or does not keep it any more. */
final class KeepForSeason
{
    /** @throws StepRefused if it is no place of the furniture in use, or takes in new things */
    public function __invoke(Place $place, bool $isKept): void
    {
        if (!$place->isStorageInUse()) {
            throw StepRefused::notAPlaceOfStorage(RetiredAddress::onLabel($place->address));
        }
        if ($isKept && null !== $place->fileAfterUses) {
            throw SeasonsRefused::isForNewThings($place->address);
        }
        $place->keepForSeason($isKept);
    }
}
