<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kit;
use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\DBAL\Connection;
use Lottel\Core\Care\Care;
use Lottel\Core\Kit\RefusedStage;
use Lottel\Core\Kit\RoundWords;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RefusedMovement;

/** What a person can do on a return round. */
final readonly class ReturnItem
{
    public function __construct(private LogBook $log, private Places $places, private PutOff $putOff, private Connection $database, private HalfCut $halfCut)
    {
    }

    /**
     * Brings what is on the tray of an item to a place.
     *
     * @param list<string> $cared the hazards whose care was ticked
     * @param int|null $quantity how much of it, null for all
     *
     * @throws StepRefused if a care that must be ticked is not, or it is half cut
     * @throws RefusedMovement if it is not on the tray
     */
    public function home(Step $step, Kit $kit, Item $item, Place $to, array $cared, ?int $quantity = null): void
    {
        if (!$to->isStoreInUse()) {
            throw StepRefused::notAPlaceOfStorage($to->forLog()->label);
        }
        $this->halfCut->check($kit, $item);
        $done = [];
        foreach ($item->careFor() as $hazard) {
            $care = Care::onReturn($hazard);
            if ($care->isTicked && !\in_array($hazard->value, $cared, true)) {
                throw RoundsRefused::careIsOpen($care->do);
            }
            $done[] = $hazard->value;
        }
        $tray = $kit->trayInUse();
        $this->move($step, $kit, $item, $tray, $to, Reason::PutBack, [] === $done ? '' : 'cared for: '.implode(', ', $done), $quantity);
    }

    /** It is not on the tray: lost until it is found again. */
    public function notHere(Step $step, Kit $kit, Item $item): void
    {
        $this->move($step, $kit, $item, $kit->trayInUse(), $this->places->outside(Outside::Lost), Reason::Lose, 'not on the tray at the return');
    }

    /** @throws RefusedStage if anything is still on the tray (law 6) */
    public function close(Step $step, Kit $kit): string
    {
        $tray = $kit->inLog()->tray;
        $kit->close(null === $tray ? 0 : $this->log->things($tray), $step->at);

        return $this->whatBecameOfIt($kit);
    }

    private function whatBecameOfIt(Kit $kit): string
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT CASE WHEN p.nature IN ('storage', 'unfiled') THEN p.nature ELSE p.address END AS ends, count(*) AS things FROM (
                SELECT m.item_id, m.to_id, row_number() OVER (PARTITION BY m.item_id ORDER BY m.id DESC) AS nth FROM movement m
                WHERE m.kit_id = ? AND m.reverses_id IS NULL AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)) last
             JOIN place p ON p.id = last.to_id WHERE last.nth = 1 GROUP BY ends",
            [$kit->id],
        );
        $things = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $things[$row->text('ends')] = $row->int('things');
        }
        $of = static fn (string $end): int => $things[$end] ?? 0;

        return RoundWords::closed(
            $kit->name,
            $of(PlaceNature::Storage->value),
            $of(Outside::UsedUp->value),
            $of(PlaceNature::Unfiled->value),
            $of(Outside::Lost->value),
        );
    }

    private function move(Step $step, Kit $kit, Item $item, Place $tray, Place $to, Reason $reason, string $note, ?int $quantity = null): void
    {
        $onTray = $this->log->quantity((int) $item->id, (int) $tray->id);
        if ($onTray < 1) {
            throw RefusedMovement::notEnough($tray->address, 0, $item->tracking);
        }
        $this->log->move($step, $item->moves($quantity ?? $onTray, $tray, $to, $reason), $kit->inLog(), $note);
        if (($quantity ?? $onTray) >= $onTray) {
            $this->putOff->isOver($kit, $item);
        }
    }
}
