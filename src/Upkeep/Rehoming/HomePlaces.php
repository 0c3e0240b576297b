<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use App\Room\Stores\PlaceRow;
use App\Room\Stores\ReachOfPlaces;
use App\Room\Stores\RoomReading;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\ReachSeconds;
use Lottel\Core\Upkeep\Better\HomePlace;

/** Places of the room as those in which things live. */
final readonly class HomePlaces
{
    public function __construct(private RoomReading $room, private ReachOfPlaces $reach)
    {
    }

    /** @param Contents $contents all that is in it, or belongs in it and is out */
    public function of(PlaceRow $place, Contents $contents = new Contents(0, 0, 0)): HomePlace
    {
        $height = $this->room->heightOf($place);

        return new HomePlace(
            $place->id,
            $place->address,
            $this->reach->to($place->id) ?? ReachSeconds::none(),
            $place->belonging(),
            $place->scheme(),
            $place->inside,
            $place->capacity($height),
            $contents,
            $place->season,
            $height,
            $place->isChildSafe,
            null === $place->fileAfterUses,
            $place->unitId ?? 0,
        );
    }
}
