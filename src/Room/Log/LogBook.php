<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\Balances;
use Lottel\Core\Log\Movement;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Log\Why;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** The one way into the log: the core judges a movement, then it and the balances it changes are stored together. */
final readonly class LogBook
{
    /** @param iterable<LimitsMovements> $limits */
    public function __construct(
        private Connection $database,
        private EntityManagerInterface $entities,
        #[AutowireIterator(LimitsMovements::class)]
        private iterable $limits,
    ) {
    }

    /**
     * @param ForKit|null $for the kit for which it moves, which alone may use its tray
     * @param string $note in words, for people
     * @param Why|null $why what is read from it beside its reason
     *
     * @return int the number of its line in the log
     *
     * @throws RefusedMovement if the laws of the log refuse it
     * @throws StepRefused if an area knows why it is not to be moved like this
     */
    public function move(Step $step, Movement $movement, ?ForKit $for = null, string $note = '', ?Why $why = null): int
    {
        $this->entities->flush();
        $this->checkLimits($step, $movement);
        foreach ([$movement->from, $movement->to] as $place) {
            if ($place->isTray() && $for?->tray !== $place->id && $for?->nextTray !== $place->id) {
                throw RefusedMovement::notItsTray($place->label);
            }
        }

        return $this->post($step, $movement, $for?->kit, $note, $why, null);
    }

    /**
     * Puts a movement right by its mirror image.
     *
     * @throws RefusedMovement if it was put right already, is itself a reversal, or the thing is not there any more
     */
    public function reverse(Step $step, int $movementId): LogLine
    {
        $line = $this->checkReversible($movementId);
        $this->entities->flush();
        $this->checkLimits($step, $line->movement->reversed());
        $this->post($step, $line->movement->reversed(), $line->kitId, '', null, $movementId);

        return $line;
    }

    /** @throws RefusedMovement if a movement was put right already, is itself a reversal, or was counted in another way since */
    public function checkReversible(int $movementId): LogLine
    {
        $line = $this->line($movementId);
        if (null !== $line->reversesId) {
            throw RefusedMovement::isItselfAReversal();
        }
        if (false !== $this->database->fetchOne('SELECT 1 FROM movement WHERE reverses_id = ?', [$movementId])) {
            throw RefusedMovement::alreadyReversed();
        }
        if (false !== $this->database->fetchOne('SELECT 1 FROM retracking WHERE item_id = ? AND movement_id >= ?', [$line->movement->item, $movementId])) {
            throw RefusedMovement::countedOtherwise();
        }

        return $line;
    }

    public function quantity(int $item, int $place): int
    {
        return Row::number($this->database->fetchOne('SELECT quantity FROM balance WHERE item_id = ? AND place_id = ?', [$item, $place]));
    }

    /** @return array<int, int> quantity by place, storage only */
    public function stored(int $item): array
    {
        $rows = $this->database->fetchAllAssociative(
            "SELECT b.place_id, b.quantity FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = ? AND p.nature IN ('storage', 'unfiled')",
            [$item],
        );
        $stored = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $stored[$row->int('place_id')] = $row->int('quantity');
        }

        return $stored;
    }

    /** How many different things are in a place. */
    public function things(int $place): int
    {
        return Row::number($this->database->fetchOne('SELECT count(*) FROM balance WHERE place_id = ?', [$place]));
    }

    private function checkLimits(Step $step, Movement $movement): void
    {
        foreach ($this->limits as $area) {
            $area->check($step, $movement);
        }
    }

    private function post(Step $step, Movement $movement, ?int $kitId, string $note, ?Why $why, ?int $reversesId): int
    {
        $balances = $this->balances($movement);
        $balances->post($movement);
        $this->database->insert('movement', [
            'item_id' => $movement->item,
            'from_id' => $movement->from->id,
            'to_id' => $movement->to->id,
            'kit_id' => $kitId,
            'account_id' => $step->who->id,
            'reverses_id' => $reversesId,
            'quantity' => $movement->quantity,
            'at' => $step->at->format('Y-m-d H:i:s'),
            'reason' => $movement->reason->value,
            'note' => mb_substr($note, 0, 300),
            'why' => $why?->value,
            'request_id' => $step->requestId,
        ]);
        $line = (int) $this->database->lastInsertId();
        foreach ([$movement->from->id, $movement->to->id] as $place) {
            $this->store($movement->item, $place, $balances->of($movement->item, $place));
        }

        return $line;
    }

    private function balances(Movement $movement): Balances
    {
        $balances = new Balances();
        $rows = $this->database->fetchAllAssociative(
            'SELECT p.id, p.nature, p.kind, p.address, p.retired_at, b.quantity FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = ?',
            [$movement->item],
        );
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $balances->load($movement->item, PlaceInLog::of($row), $row->int('quantity'));
        }

        return $balances;
    }

    private function store(int $item, int $place, int $quantity): void
    {
        if (0 === $quantity) {
            $this->database->delete('balance', ['item_id' => $item, 'place_id' => $place]);

            return;
        }
        $this->database->executeStatement(
            'INSERT INTO balance (item_id, place_id, quantity) VALUES (?, ?, ?) ON CONFLICT (item_id, place_id) DO UPDATE SET quantity = excluded.quantity',
            [$item, $place, $quantity],
        );
    }

    private function line(int $movementId): LogLine
    {
        $columns = $this->database->fetchAssociative(
            'SELECT m.*, i.tracking, f.nature AS from_nature, f.kind AS from_kind, f.address AS from_address, f.retired_at AS from_retired_at,
                    t.nature AS to_nature, t.kind AS to_kind, t.address AS to_address, t.retired_at AS to_retired_at
             FROM movement m JOIN item i ON i.id = m.item_id JOIN place f ON f.id = m.from_id JOIN place t ON t.id = m.to_id WHERE m.id = ?',
            [$movementId],
        );
        if (false === $columns) {
            throw Unknown::step();
        }
        $row = new Row($columns);
        $movement = Movement::recorded(
            $row->int('item_id'),
            $row->one('tracking', Tracking::class),
            $row->int('quantity'),
            PlaceInLog::of($row, 'from_'),
            PlaceInLog::of($row, 'to_'),
            $row->one('reason', Reason::class),
        );

        return new LogLine($movementId, $movement, $row->intOrNull('kit_id'), $row->intOrNull('reverses_id'));
    }
}
