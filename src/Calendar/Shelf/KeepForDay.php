<?php

declare(strict_types=1);

namespace App\Calendar\Shelf;

use App\Calendar\Year\Occasion;
use App\Calendar\Year\SetAside;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use App\Room\Catalogue\Item;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Year\Day;

/** Sets a finished piece aside for one of the days of an occasion, or puts it back among the others. */
final readonly class KeepForDay
{
    public function __construct(private EntityManagerInterface $entities, private ShelfReading $shelf)
    {
    }

    /**
     * @throws CannotGive if none is free, or the day has all that it wants
     * @throws StepRefused if the occasion is not on that day
     */
    public function __invoke(Item $item, Occasion $occasion, Day $day): void
    {
        $occasion->checkIsOn($day);
        $piece = $this->shelf->one((int) $item->id);
        if (0 === $piece->free()) {
            throw 0 === $piece->there ? CannotGive::notSoMany($item->name, 0) : CannotGive::isKept($item->name, 0, $piece->aside);
        }
        $there = $this->entities->getRepository(SetAside::class)->count(['occasion' => $occasion, 'day' => $day->date()]);
        if ($there >= max(1, $occasion->pieces)) {
            throw CannotGive::dayIsServed($occasion->name);
        }
        $this->entities->persist(new SetAside($occasion, $item, $day->date()));
    }

    /** @throws Unknown if it is not set aside any more */
    public function back(int $id): SetAside
    {
        $aside = $this->entities->find(SetAside::class, $id) ?? throw Unknown::occasion();
        $this->entities->remove($aside);

        return $aside;
    }
}
