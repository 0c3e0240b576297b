<?php

declare(strict_types=1);

namespace App\Lost;

use App\Catalogue\Item;
use App\Errands\BeginErrand;
use App\Errands\Errand;
use App\Errands\ErrandRefused;
use App\Errands\PlannedTask;
use App\Errands\Purpose;
use App\Steps\Step;
use App\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;

/** Begins a round that looks for a lost thing in the places where it is likeliest. */
final readonly class LookFor
{
    public function __construct(private LostReading $reading, private BeginErrand $begin, private EntityManagerInterface $entities)
    {
    }

    /** @throws ErrandRefused if it is not lost, or nothing points anywhere */
    public function __invoke(Step $step, Item $item): Errand
    {
        $search = null === $this->reading->one((int) $item->id) ? null : $this->reading->search((int) $item->id);
        $tasks = [];
        foreach ($search->order ?? [] as $spot) {
            $place = $this->entities->find(Place::class, $spot->likely->place);
            if (null !== $place) {
                $tasks[] = PlannedTask::look($item, $place, (int) round(1000 * $spot->likely->chance));
            }
        }

        return ($this->begin)($step, Purpose::Search, $item->name, $tasks, isInOrder: true);
    }
}
