<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use App\Platform\Database\Row;
use App\Platform\Security\Account;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\ClockInterface;

/**
 * Does a step that is too long for one transaction, part by part, so that others write in between: each part once, in its order, under one
 * request id. What was interrupted goes on where it was; an undo takes back all parts that there are.
 */
final readonly class WriteInParts
{
    /** Others who wait to write look every 100 ms at the latest whether they can. */
    private const PAUSE_MICROSECONDS = 110_000;

    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private StepJournal $journal,
        private ClockInterface $clock,
        private RollBack $takeBack,
    ) {
    }

    /** How many parts of a step are done. */
    public function done(string $requestId): int
    {
        return Row::number($this->database->fetchOne('SELECT done FROM part_done WHERE request_id = ?', [$requestId]));
    }

    /**
     * @param callable(Step, int): void $work does one part, counted from nought
     * @param callable(int): Outcome $outcome what is to be said after so many parts; asked when they are written
     * @param callable(int): void $tell is told how many parts are done
     *
     * @throws StepRefused if somebody else is at this step, or it was undone in the meantime
     */
    public function do(string $requestId, Account $who, int $parts, callable $work, callable $outcome, callable $tell): Outcome
    {
        for ($part = $this->done($requestId); $part < $parts; ++$part) {
            $this->database->beginTransaction();
            try {
                $this->check($requestId, $who, $part);
                $this->part($requestId, $who, $part, $parts, $work, $outcome);
                $this->database->commit();
            } catch (\Throwable $problem) {
                ($this->takeBack)();
                throw $problem;
            }
            $this->entities->clear();
            $tell($part + 1);
            usleep(self::PAUSE_MICROSECONDS);
        }

        return $outcome($parts);
    }

    private function check(string $requestId, Account $who, int $part): void
    {
        $columns = $this->database->fetchAssociative('SELECT account_id, undone_by FROM write_request WHERE id = ?', [$requestId]);
        $row = new Row(false === $columns ? ['account_id' => $who->id, 'undone_by' => null] : $columns);
        if ($row->int('account_id') !== $who->id) {
            throw StepRefused::sentBySomebodyElse();
        }
        if (null !== $row->textOrNull('undone_by') || $this->done($requestId) !== $part) {
            throw StepRefused::goesOnElsewhere();
        }
    }

    /**
     * @param callable(Step, int): void $work
     * @param callable(int): Outcome $outcome
     */
    private function part(string $requestId, Account $who, int $part, int $parts, callable $work, callable $outcome): void
    {
        $at = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $this->journal->begin($requestId);
        $work(new Step($requestId, $this->entities->find(Account::class, $who->id) ?? $who, $at), $part);
        $this->entities->flush();
        $this->journal->end();
        $said = $outcome($part + 1);
        $this->database->executeStatement(
            'INSERT INTO part_done (request_id, done, parts) VALUES (:id, :done, :parts) ON CONFLICT (request_id) DO UPDATE SET done = excluded.done',
            ['id' => $requestId, 'done' => $part + 1, 'parts' => $parts],
        );
        $this->database->executeStatement(
            'INSERT INTO write_request (id, account_id, at, outcome, said, is_undoable) VALUES (:id, :who, :at, :outcome, :said, :undoable)
                ON CONFLICT (id) DO UPDATE SET outcome = excluded.outcome, said = excluded.said',
            [
                'id' => $requestId,
                'who' => $who->id,
                'at' => $at->format('Y-m-d H:i:s'),
                'outcome' => $said->goTo,
                'said' => $said->said,
                'undoable' => (int) $said->isUndoable,
            ],
        );
    }
}
