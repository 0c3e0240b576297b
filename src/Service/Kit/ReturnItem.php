<?php

declare(strict_types=1);

namespace App\Service\Kit;

use App\Entity\Item;
use App\Entity\Kit;
use App\Entity\Place;
use App\Service\LogBook;
use App\Service\Step;
use App\Service\StepRefused;
use Doctrine\DBAL\Connection;
use Lottel\Core\Kit\RefusedStep;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Upkeep\Care;
use Lottel\Core\Upkeep\Hazard;

/** What a person can do on a return round. */
final readonly class ReturnItem
{
    public function __construct(private LogBook $log, private Connection $database)
    {
    }

    /**
     * Brings all that is on the tray of an item to a place.
     *
     * @param list<string> $cared the hazards whose care was ticked
     *
     * @throws StepRefused if a care that must be ticked is not
     * @throws RefusedMovement if it is not on the tray
     */
    public function home(Step $step, Kit $kit, Item $item, Place $to, array $cared): void
    {
        $done = [];
        foreach ($item->hazards as $hazard) {
            $care = Care::onReturn(Hazard::from($hazard));
            if ($care->isTicked && !\in_array($hazard, $cared, true)) {
                throw StepRefused::careIsOpen($care->do);
            }
            $done[] = $hazard;
        }
        $tray = $kit->trayInUse();
        $this->move($step, $kit, $item, $tray, $to, Reason::PutBack, [] === $done ? '' : 'cared for: '.implode(', ', $done));
    }

    /** It is not on the tray: lost until it is found again. */
    public function notHere(Step $step, Kit $kit, Item $item): void
    {
        $this->move($step, $kit, $item, $kit->trayInUse(), $this->log->outside(Outside::Lost), Reason::Lose, 'not on the tray at the return');
    }

    /** @throws RefusedStep if anything is still on the tray (law 6) */
    public function close(Step $step, Kit $kit): void
    {
        $onTray = null === $kit->tray ? 0 : (int) $this->database->fetchOne('SELECT count(*) FROM balance WHERE place_id = ?', [$kit->tray->id]);
        if (Stage::Closed === $kit->stage) {
            throw RefusedStep::stageCannotFollow(Stage::Closed, Stage::Closed);
        }
        $kit->stage = $kit->stage->close($onTray);
        $kit->tray = null;
        $kit->closedAt = $step->at;
    }

    private function move(Step $step, Kit $kit, Item $item, Place $tray, Place $to, Reason $reason, string $note): void
    {
        $onTray = $this->log->quantity($item, $tray);
        if ($onTray < 1) {
            throw RefusedMovement::notEnough($tray->address, 0);
        }
        $this->log->move($step, $item, $onTray, $tray, $to, $reason, $kit, $note);
    }
}
