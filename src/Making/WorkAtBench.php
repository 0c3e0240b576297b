<?php

declare(strict_types=1);

namespace App\Making;

use App\Catalogue\Item;
use App\Find\FindIndex;
use App\Kits\Kit;
use App\Log\LogBook;
use App\Steps\Step;
use App\Steps\StepRefused;
use App\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Tracking;

/** What happens to a tray's things at the bench. */
final readonly class WorkAtBench
{
    public function __construct(private LogBook $log, private EntityManagerInterface $entities, private FindIndex $index)
    {
    }

    public function useUp(Step $step, Kit $kit, Item $item, int $quantity, string $note = ''): void
    {
        $this->log->move($step, $item, $quantity, $kit->trayInUse(), $this->log->outside(Outside::UsedUp), Reason::Use, $kit, $note);
    }

    /**
     * The kit became something: the finished pieces lie on its tray, what went into them is used up.
     *
     * @param array<int, Item> $goneInto
     */
    public function finish(Step $step, Kit $kit, string $name, int $quantity, ?Place $home, array $goneInto): Item
    {
        $tray = $kit->trayInUse();
        foreach ($goneInto as $item) {
            $onTray = $this->log->quantity($item, $tray);
            $this->useUp($step, $kit, $item, 0 === $onTray ? throw StepRefused::lineIsElsewhere($item->name) : $onTray, 'went into '.$name);
        }
        $piece = new Item($name, Kind::FinishedPiece, Tracking::Count, $home);
        $piece->themes = '' === $kit->occasion ? [] : [$kit->occasion];
        $this->entities->persist($piece);
        $this->index->item($piece);
        $this->log->move($step, $piece, $quantity, $this->log->outside(Outside::MadeHere), $tray, Reason::Make, $kit);

        return $piece;
    }
}
