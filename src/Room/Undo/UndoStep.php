<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Database\Row;
use App\Platform\Database\Rows;
use App\Platform\Security\Account;
use App\Platform\Security\Role;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepChange;
use App\Platform\Steps\StepJournal;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use App\Platform\Steps\WatchedTables;
use App\Room\Log\LogBook;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Undone;

/** Takes a step back, whole or about one thing, and tells what was put back. */
final readonly class UndoStep
{
    private const MOST_AT_ONCE = 1500;

    public function __construct(
        private StepJournal $journal,
        private WatchedTables $tables,
        private RestoreRows $rows,
        private Rows $kept,
        private LogBook $log,
        private EntityManagerInterface $entities,
        private Connection $database,
    ) {
    }

    /**
     * Takes back all that one request did.
     *
     * @throws StepRefused if it was undone already, is another's affair, or something that it changed was changed since
     */
    public function wholeStep(Step $step, string $requestId): Undone
    {
        $columns = $this->database->fetchAssociative('SELECT account_id, is_undoable, undone_by FROM write_request WHERE id = ?', [$requestId]);
        $request = new Row(false === $columns ? ['is_undoable' => 0] : $columns);
        if (!$request->flag('is_undoable') || null !== $request->textOrNull('undone_by')) {
            throw UndoRefused::nothingToUndo();
        }
        $back = $this->journal->count($requestId) > self::MOST_AT_ONCE
            ? $this->longStep($step, $requestId, $request->int('account_id'))
            : $this->atOnce($step, $request->int('account_id'), $this->allChanges($requestId));
        if ($back->isNothing()) {
            throw UndoRefused::nothingToUndo();
        }
        $this->database->update('write_request', ['undone_by' => $step->requestId], ['id' => $requestId]);
        $this->entities->clear();

        return $back;
    }

    /**
     * Takes back some of what a request did.
     *
     * @param list<StepChange> $changes
     *
     * @throws StepRefused as wholeStep() does
     */
    public function changes(Step $step, string $requestId, array $changes): Undone
    {
        return $this->atOnce($step, $this->whose($requestId), $changes);
    }

    /**
     * Refuses what changes() would refuse, and changes nothing.
     *
     * @param list<StepChange> $changes
     *
     * @throws StepRefused if it is another's affair, or something that it changed was changed since
     */
    public function check(Account $who, string $requestId, array $changes): void
    {
        $this->checkRight($who, $this->whose($requestId), $changes);
        $this->rows->checkUnchanged($changes);
    }

    private function whose(string $requestId): int
    {
        return Row::number($this->database->fetchOne('SELECT account_id FROM write_request WHERE id = ?', [$requestId]));
    }

    /** @param list<StepChange> $changes */
    private function atOnce(Step $step, int $whose, array $changes): Undone
    {
        $this->checkRight($step->who, $whose, $changes);

        return $this->rows->restore($step, $changes);
    }

    /** A step such as a whole list that was taken in: what it changed is not held in memory all at once. */
    private function longStep(Step $step, string $requestId, int $whose): Undone
    {
        $back = new Undone();
        foreach ($this->journal->backwards($requestId, self::MOST_AT_ONCE) as $changes) {
            $back = $back->and($this->atOnce($step, $whose, $changes));
        }

        return $back;
    }

    /**
     * Puts one line of the log right, together with what its step changed about the same thing; the whole step where it moved
     * nothing else, or cut a sheet.
     *
     * @throws StepRefused as wholeStep() does
     */
    public function movement(Step $step, int $movementId): Undone
    {
        $columns = $this->database->fetchAssociative('SELECT request_id, account_id, item_id, reverses_id, reason FROM movement WHERE id = ?', [$movementId]);
        if (false === $columns) {
            throw Unknown::step();
        }
        $line = new Row($columns);
        $this->log->checkReversible($movementId);
        $requestId = $line->text('request_id');
        if (Reason::Cut === $line->one('reason', Reason::class)) {
            // What was cut belongs together: law 5.
            return $this->wholeStep($step, $requestId);
        }
        $others = $this->database->fetchOne('SELECT 1 FROM movement WHERE request_id = ? AND item_id <> ?', [$requestId, $line->int('item_id')]);
        if (false === $others && $this->isOpen($requestId)) {
            return $this->wholeStep($step, $requestId);
        }
        $item = $line->int('item_id');
        $changes = array_values(array_filter($this->allChanges($requestId), fn (StepChange $change): bool => $this->isAbout($change, $item)));
        $this->checkRight($step->who, $line->int('account_id'), $changes);
        $back = $this->rows->restore($step, $changes);
        $this->entities->clear();

        return $back;
    }

    private function isOpen(string $requestId): bool
    {
        return false !== $this->database->fetchOne('SELECT 1 FROM write_request WHERE id = ? AND is_undoable AND undone_by IS NULL', [$requestId]);
    }

    /** @return list<StepChange> what a step changed; of steps older than the journal, what it moved */
    private function allChanges(string $requestId): array
    {
        $changes = $this->journal->of($requestId);
        if ([] !== $changes) {
            return $changes;
        }
        $moved = $this->database->fetchFirstColumn('SELECT id FROM movement WHERE request_id = ? AND reverses_id IS NULL ORDER BY id', [$requestId]);

        return array_map(static fn (mixed $id): StepChange => StepChange::ofOldMovement(is_numeric($id) ? (int) $id : 0), $moved);
    }

    private function isAbout(StepChange $change, int $item): bool
    {
        return match ($change->table) {
            'movement' => Row::number($this->database->fetchOne('SELECT item_id FROM movement WHERE id = ?', [$change->row])) === $item,
            'item' => $change->row === $item,
            default => $this->tables->one($change->table)->goesWithItsThing && $this->speaksOf($change, $item),
        };
    }

    private function speaksOf(StepChange $change, int $item): bool
    {
        $row = $change->became + $change->was;
        $row += isset($row['item_id']) ? [] : ($this->kept->get($change->table, $change->row) ?? []);

        return \in_array($item, [(int) ($row['item_id'] ?? 0), (int) ($row['other_id'] ?? 0)], true);
    }

    /**
     * A helper takes back what is a helper's: own steps, and what belongs to pulling, making and returning.
     *
     * @param list<StepChange> $changes
     */
    private function checkRight(Account $who, int $whose, array $changes): void
    {
        if (Role::Owner === $who->role || $whose === $who->id) {
            return;
        }
        foreach ($changes as $change) {
            $isLoop =
                $this->tables->one($change->table)->isOfTheLoop
                && ('movement' !== $change->table
                    || Reason::from(Row::word($this->database->fetchOne('SELECT reason FROM movement WHERE id = ?', [$change->row])))->isOfTheLoop());
            if (!$isLoop) {
                throw UndoRefused::isTheOwnersStep();
            }
        }
    }
}
