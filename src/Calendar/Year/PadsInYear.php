<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Web\RoomClock;
use App\Room\Catalogue\Rest;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Year\Day;

/** The days on which pads that were inked anew may stand again. */
final readonly class PadsInYear implements DayNotes
{
    public function __construct(private EntityManagerInterface $entities, private RoomClock $roomClock)
    {
    }

    public function between(Day $first, Day $last, Day $today): array
    {
        $notes = [];
        foreach ($this->entities->getRepository(Rest::class)->findAll() as $rest) {
            $day = Day::of($rest->until->setTimezone($this->roomClock->timeZone()));
            if ($day->number >= max($first->number, $today->number) && $day->number <= $last->number) {
                $notes[] = new DayNote('pad-'.$rest->item->id, $day, $rest->item->name.' may stand again', 'item', ['id' => (int) $rest->item->id]);
            }
        }

        return $notes;
    }
}
