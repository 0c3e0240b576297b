<?php

declare(strict_types=1);

namespace App\Upkeep\Chores;

use App\Calendar\Year\DayNote;
use App\Calendar\Year\DayNotes;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Year\Day;

/** The days on which something comes round. */
final readonly class ChoresInYear implements DayNotes
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function between(Day $first, Day $last, Day $today): array
    {
        $notes = [];
        foreach ($this->entities->getRepository(Chore::class)->findAll() as $chore) {
            $due = Day::of($chore->dueOn());
            if ($due->number >= $first->number && $due->number <= $last->number) {
                $text = \sprintf('%s: %s', $chore->item->name, $chore->name);
                $notes[] = new DayNote('chore-'.$chore->id, $due, $text, 'chores', isLate: $due->number < $today->number);
            }
        }

        return $notes;
    }
}
