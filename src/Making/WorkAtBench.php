<?php

declare(strict_types=1);

namespace App\Making;

use App\Catalogue\Item;
use App\Catalogue\ItemIndex;
use App\Kits\Kit;
use App\Log\LogBook;
use App\Steps\Step;
use App\Steps\StepRefused;
use App\Stores\Place;
use App\Stores\Places;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Tracking;

/** What happens to a tray's things at the bench. */
final readonly class WorkAtBench
{
    public function __construct(private LogBook $log, private EntityManagerInterface $entities, private ItemIndex $index, private Places $places)
    {
    }

    public function useUp(Step $step, Kit $kit, Item $item, int $quantity, string $note = ''): void
    {
        $this->beginMaking($kit);
        $this->log->move($step, $item->moves($quantity, $kit->trayInUse(), $this->places->outside(Outside::UsedUp), Reason::Use), $kit->inLog(), $note);
    }

    /**
     * The kit became something: the finished pieces lie on its tray, what went into them is used up.
     *
     * @param array<int, Item> $goneInto
     */
    public function finish(Step $step, Kit $kit, string $name, int $quantity, ?Place $home, array $goneInto): Item
    {
        $this->beginMaking($kit);
        $tray = $kit->trayInUse();
        foreach ($goneInto as $item) {
            $onTray = $this->log->quantity((int) $item->id, (int) $tray->id);
            $this->useUp($step, $kit, $item, 0 === $onTray ? throw StepRefused::lineIsElsewhere($item->name) : $onTray, 'went into '.$name);
        }
        $piece = new Item($name, Kind::FinishedPiece, Tracking::Count, $home);
        $piece->themes = '' === $kit->occasion ? [] : [$kit->occasion];
        $this->entities->persist($piece);
        $this->index->item($piece);
        $this->log->move($step, $piece->moves($quantity, $this->places->outside(Outside::MadeHere), $tray, Reason::Make), $kit->inLog());

        return $piece;
    }

    /** Who begins to work with what is on the tray has pulled enough. */
    private function beginMaking(Kit $kit): void
    {
        if ($kit->isBeingPulled()) {
            $kit->goTo(Stage::Making);
        }
    }
}
