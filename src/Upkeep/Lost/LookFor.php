<?php

declare(strict_types=1);

namespace App\Upkeep\Lost;

use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use App\Upkeep\Rounds\BeginUpkeepRound;
use App\Upkeep\Rounds\PlannedTask;
use App\Upkeep\Rounds\RoundPurpose;
use App\Upkeep\Rounds\UpkeepRound;
use App\Upkeep\Rounds\UpkeepRoundRefused;
use Doctrine\ORM\EntityManagerInterface;

/** Begins a round that looks for a lost thing in the places where it is likeliest. */
final readonly class LookFor
{
    public function __construct(private LostReading $reading, private BeginUpkeepRound $begin, private EntityManagerInterface $entities)
    {
    }

    /** @throws UpkeepRoundRefused if it is not lost, or nothing points anywhere */
    public function __invoke(Step $step, Item $item): UpkeepRound
    {
        $search = null === $this->reading->one((int) $item->id) ? null : $this->reading->search((int) $item->id);
        $tasks = [];
        foreach ($search->order ?? [] as $spot) {
            $place = $this->entities->find(Place::class, $spot->likely->place);
            if (null !== $place) {
                $tasks[] = PlannedTask::look($item, $place, (int) round(1000 * $spot->likely->chance));
            }
        }

        return ($this->begin)($step, RoundPurpose::Search, $item->name, $tasks, isInOrder: true);
    }
}
