<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Database\Row;
use App\Platform\Security\Account;
use App\Platform\Steps\HalfUndone;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Refusal;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepJournal;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\WriteInParts;
use Doctrine\DBAL\Connection;
use Lottel\Core\Words\Counted;

/**
 * Takes back a step that was written in parts, such as a list of thousands of rows: in parts, too, the last first, so that others read and
 * write in between. What was interrupted goes on where it was.
 */
final readonly class UndoInParts
{
    private const CHANGES_AT_ONCE = 300;

    public function __construct(
        private StepJournal $journal,
        private UndoStep $undo,
        private WriteInParts $parts,
        private Connection $database,
    ) {
    }

    public function isFor(string $requestId): bool
    {
        return 1 < Row::number($this->database->fetchOne('SELECT parts FROM part_done WHERE request_id = ?', [$requestId]));
    }

    /**
     * @param string $undoId under which it is taken back, unless that was begun already
     * @param string $requestId of the step
     * @param string $goTo where to go on afterwards
     * @param callable(float): void $tell is told how much is done, from 0 to 1
     *
     * @return string the id under which it was taken back
     *
     * @throws StepRefused as UndoStep does; what was taken back until then stays so
     */
    public function __invoke(string $undoId, Account $who, string $requestId, string $goTo, callable $tell): string
    {
        $this->check($who, $requestId);
        $run = $this->begin($undoId, $requestId);
        $parts = max(1, (int) ceil($this->journal->count($requestId) / self::CHANGES_AT_ONCE));
        $work = function (Step $step, int $part) use ($requestId): void {
            $this->undo->changes($step, $requestId, $this->journal->fromBehind($requestId, $part * self::CHANGES_AT_ONCE, self::CHANGES_AT_ONCE));
        };
        $outcome = fn (int $done): Outcome => Outcome::final($goTo, $this->sentence($requestId, $done === $parts));
        try {
            $this->parts->do($run, $who, $parts, $work, $outcome, static fn (int $done) => $tell($done / $parts));

            return $run;
        } catch (Refusal $refused) {
            throw 0 < $this->parts->done($run) ? UndoRefused::isHalfUndone($refused->getMessage()) : $this->letGo($requestId, $refused);
        }
    }

    /** All that would be refused now is refused before anything is written. */
    private function check(Account $who, string $requestId): void
    {
        $done = $this->parts->done($this->undoOf($requestId) ?? '');
        foreach ($this->journal->backwards($requestId, self::CHANGES_AT_ONCE) as $part => $changes) {
            if ($part >= $done) {
                $this->undo->check($who, $requestId, $changes);
            }
        }
    }

    /** From here on nobody else takes it back, and it is not gone on with. */
    private function begin(string $undoId, string $requestId): string
    {
        $begun = $this->database->executeStatement(
            'UPDATE write_request SET undone_by = :undo WHERE id = :id AND is_undoable AND undone_by IS NULL',
            ['undo' => $undoId, 'id' => $requestId],
        );
        $run = $this->undoOf($requestId);
        if (0 === $begun && !$this->isHalfDone($requestId)) {
            throw UndoRefused::nothingToUndo();
        }

        return (string) $run;
    }

    private function letGo(string $requestId, Refusal $refused): Refusal
    {
        $this->database->update('write_request', ['undone_by' => null], ['id' => $requestId]);

        return $refused;
    }

    private function undoOf(string $requestId): ?string
    {
        $id = $this->database->fetchOne('SELECT undone_by FROM write_request WHERE id = ?', [$requestId]);

        return \is_string($id) ? $id : null;
    }

    private function isHalfDone(string $requestId): bool
    {
        return false !== $this->database->fetchOne('SELECT 1 FROM write_request w WHERE w.id = ? AND '.HalfUndone::IS, [$requestId]);
    }

    private function sentence(string $requestId, bool $isAll): string
    {
        $new = "(SELECT c.row_id FROM step_change c WHERE c.request_id = :id AND c.subject = 'item' AND c.what = 'insert')";
        $moved = '(SELECT m.item_id FROM movement m WHERE m.request_id = :id)';
        $gone = $this->count("item i WHERE i.id IN {$new} AND i.removed_at IS NOT NULL", $requestId);
        $others = $this->count("item i WHERE i.id IN {$moved} AND i.id NOT IN {$new}", $requestId);
        $said = array_filter([
            0 < $gone ? Counted::of($gone, 'thing is', 'things are').' out of the room and out of the catalogue again' : '',
            0 < $others ? 'what it added to '.Counted::of($others, 'thing').' is taken out again' : '',
        ], static fn (string $part): bool => '' !== $part);

        return 'Undone: '.implode('; ', $said).($isAll ? '.' : ' so far.');
    }

    private function count(string $rows, string $requestId): int
    {
        return Row::number($this->database->fetchOne('SELECT count(*) FROM '.$rows, ['id' => $requestId]));
    }
}
