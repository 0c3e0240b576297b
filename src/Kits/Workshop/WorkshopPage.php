<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\TrayRow;
use Lottel\Core\Workshop\CameBack;
use Lottel\Core\Workshop\Headcount;
use Lottel\Core\Workshop\Load;
use Lottel\Core\Workshop\SharedThing;

/** A class as its pages show it. */
final readonly class WorkshopPage
{
    public Headcount $class;
    public Load $bag;
    public Load $box;

    /** @param list<WorkshopRow> $rows */
    public function __construct(public Workshop $workshop, public array $rows)
    {
        $things = array_filter(array_map(static fn (WorkshopRow $row): ?SharedThing => $row->thing, $rows));
        $this->class = $workshop->headcount();
        [$this->bag, $this->box] = [Load::bag($things), Load::box($things, $this->class)];
    }

    /** @return list<WorkshopRow> what goes into each bag */
    public function bagged(): array
    {
        return array_values(array_filter($this->rows, static fn (WorkshopRow $row): bool => true === $row->thing?->share->isBagged()));
    }

    /** @return list<WorkshopRow> what stands between them */
    public function shared(): array
    {
        return array_values(array_filter($this->rows, static fn (WorkshopRow $row): bool => false === $row->thing?->share->isBagged()));
    }

    /** @return list<WorkshopRow> of which nobody has said how they are dealt out */
    public function open(): array
    {
        return array_values(array_filter($this->rows, static fn (WorkshopRow $row): bool => null === $row->thing));
    }

    /** @return list<WorkshopRow> of which there is not enough */
    public function short(): array
    {
        return array_values(array_filter($this->rows, fn (WorkshopRow $row): bool => $this->shortOf($row) > 0));
    }

    public function shortOf(WorkshopRow $row): int
    {
        return $row->thing?->short($this->class) ?? 0;
    }

    /** How much of it the class wants. */
    public function wanted(WorkshopRow $row): int
    {
        return $row->thing?->share->wanted($this->class) ?? 0;
    }

    /** In whole grams: all bags and the box. */
    public function grams(): int
    {
        return $this->bag->grams($this->class->sets()) + $this->box->grams();
    }

    /** Whether a thing goes into the bags. */
    public function isBagged(int $item): bool
    {
        return [] !== array_filter($this->bagged(), static fn (WorkshopRow $row): bool => $item === $row->need?->thing->id);
    }

    /** How much of a thing of the tray usually comes back. */
    public function comesBack(TrayRow $row): int
    {
        $thing = $row->thing;

        return CameBack::usual($row->quantity, $this->isBagged($thing->id), $thing->kind->lasts(), $thing->tracking->isLevel());
    }

    public function packed(): int
    {
        return $this->workshop->bags->count();
    }

    /** @return list<int> the numbers of its bags */
    public function numbers(): array
    {
        return range(1, $this->class->sets());
    }
}
