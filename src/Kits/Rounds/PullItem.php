<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\DesignedList;
use App\Kits\Kits\Kit;
use App\Kits\Kits\KitList;
use App\Kits\Kits\Need;
use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Measures;
use App\Room\Catalogue\Item;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\DBAL\Connection;
use Lottel\Core\Kit\PullPlan;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RefusedMovement;

/** What a person can do at a stop of a pull round. */
final readonly class PullItem
{
    public function __construct(
        private LogBook $log,
        private KitList $list,
        private Places $places,
        private Connection $database,
        private Measures $measures,
        private DesignedList $design,
        private PullPlan $plan = new PullPlan(),
    ) {
    }

    /**
     * Takes a line's thing from a place to the kit's tray: no more of it than the line still wants.
     *
     * @throws AlreadyOut if it is a single thing that somebody else has
     * @throws StepRefused if the line is settled, or wants less, or the place is none that things are pulled from
     * @throws RefusedMovement if there is not so much
     */
    public function take(Step $step, Need $need, Place $from, int $quantity, string $note = ''): void
    {
        $this->checkStore($from);
        $there = $this->onHand($need->item, $from);
        $isWhole = $need->item->tracking->movesWhole();
        if ($isWhole || $quantity <= $there || 0 === $there) {
            $this->checkWanted($need, $isWhole ? 1 : $quantity);
        }
        if ($there < 1) {
            $this->sayWhoHasIt($need->item);
        }
        $moving = $isWhole && $there > 0 ? $there : $quantity;
        $this->log->move($step, $need->item->moves($moving, $from, $need->kit->trayInUse(), Reason::Pull), $need->kit->inLog(), $note);
        $need->took($moving);
    }

    /** Takes as much as is still wanted from wherever it is; the drawers are visited home first. */
    public function takeFromAnywhere(Step $step, Need $need, int $quantity, string $note = ''): void
    {
        $whole = $need->item->tracking->movesWhole();
        $split = $this->plan->split($quantity, $this->log->stored((int) $need->item->id), $need->item->home?->id, $whole);
        if ([] === $split['from'] || $split['missing'] > 0) {
            $this->sayWhoHasIt($need->item);
            throw [] === $split['from']
                ? RoundsRefused::nowhereToBeFound($need->item->name)
                : RefusedMovement::notEnough('the drawers', $quantity - $split['missing'], $need->item->tracking);
        }
        foreach ($split['from'] as $placeId => $part) {
            $this->take($step, $need, $this->places->storeNumber($placeId), $part, $note);
        }
    }

    /** The drawer does not have it: what the log believes to be there is lost until it is found again. */
    public function notHere(Step $step, Need $need, Place $place): bool
    {
        $this->checkStore($place);
        $this->checkWanted($need, 1);
        $isLost = $this->loseTheRest($step, $need, $place, 'not here at the pull');
        $need->thatIsAll();

        return $isLost;
    }

    /** Takes fewer than wanted; $noMore says that the drawer is now empty of it. */
    public function fewer(Step $step, Need $need, Place $from, int $quantity, bool $noMore): void
    {
        $this->checkStore($from);
        if ($quantity > 0) {
            $this->take($step, $need, $from, $quantity, 'fewer than planned');
        }
        if ($noMore) {
            $this->loseTheRest($step, $need, $from, 'fewer there than the log said');
        }
        $need->thatIsAll();
    }

    /** Takes another thing instead, from where that one is. */
    public function instead(Step $step, Need $need, Item $other, int $quantity): Need
    {
        $substitute = $this->list->add($need->kit, $other, $quantity);
        if ($need->left() < 1) {
            throw RoundsRefused::isSettled($need->item->name);
        }
        $this->takeFromAnywhere($step, $substitute, $quantity, 'instead of '.$need->item->name);
        $substitute->takenInsteadOf($need);
        if ($need->forDesign() > 0) {
            $substitute->isForDesign();
            $this->design->replaced($need, $substitute);
        }

        return $substitute;
    }

    /** A last-minute thing: on the list and on the tray at once. */
    public function oneMore(Step $step, Kit $kit, Item $item, int $quantity): void
    {
        $tray = $kit->trayInUse();
        $need = $this->list->add($kit, $item, $quantity);
        if ($item->tracking->movesWhole() && 0 === $this->onHand($item, $tray)) {
            $need->wantAgain();
        }
        $this->takeFromAnywhere($step, $need, $quantity);
    }

    private function loseTheRest(Step $step, Need $need, Place $place, string $note): bool
    {
        $rest = $this->onHand($need->item, $place);
        if ($rest > 0) {
            $this->log->move($step, $need->item->moves($rest, $place, $this->places->outside(Outside::Lost), Reason::Lose), $need->kit->inLog(), $note);
        }

        return $rest > 0;
    }

    private function checkStore(Place $place): void
    {
        if (!$place->isStoreInUse()) {
            throw StepRefused::notAPlaceOfStorage($place->forLog()->label);
        }
    }

    /** @throws StepRefused if the line wants less by now: somebody else may have been here */
    private function checkWanted(Need $need, int $quantity): void
    {
        $left = $need->left();
        if ($quantity <= $left) {
            return;
        }
        if ($left > 0) {
            throw RoundsRefused::moreThanWanted($need->item->name, $this->measures->quantities()->print($left, $need->item->tracking));
        }
        $who = $need->isBegun() ? $this->lastPuller($need) : null;
        throw null === $who ? RoundsRefused::isSettled($need->item->name) : RoundsRefused::isTaken($need->item->name, $who, $need->kit->trayInUse()->address);
    }

    private function lastPuller(Need $need): ?string
    {
        $who = $this->database->fetchOne(
            "SELECT a.name FROM movement m JOIN account a ON a.id = m.account_id
             WHERE m.kit_id = ? AND m.item_id = ? AND +m.reason = 'pull' ORDER BY m.id DESC LIMIT 1",
            [$need->kit->id, $need->item->id],
        );

        return \is_string($who) ? $who : null;
    }

    private function onHand(Item $item, Place $place): int
    {
        return $this->log->quantity((int) $item->id, (int) $place->id);
    }

    private function sayWhoHasIt(Item $item): void
    {
        if (!$item->tracking->movesWhole()) {
            return;
        }
        $columns = $this->database->fetchAssociative(
            "SELECT p.kind, p.name, p.address, k.name AS kit, a.name AS who
             FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'tray'
             LEFT JOIN kit_holder o ON o.place_id = p.id LEFT JOIN kit k ON k.id = o.kit_id
             LEFT JOIN movement m ON m.id = (SELECT max(id) FROM movement WHERE item_id = b.item_id AND to_id = p.id)
             LEFT JOIN account a ON a.id = m.account_id
             WHERE b.item_id = ?",
            [$item->id],
        );
        if (false !== $columns) {
            $row = new Row($columns);
            throw \in_array($row->text('kind'), [Place::PERSON, Place::BASKET], true)
                ? AlreadyOut::with($item->name, (Place::BASKET === $row->text('kind') ? 'in ' : '').$row->text('name'))
                : AlreadyOut::onTray($item->name, $row->text('address'), $row->textOrNull('kit') ?? '', $row->textOrNull('who') ?? '');
        }
    }
}
