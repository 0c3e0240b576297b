<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use App\Platform\Database\Row;
use App\Platform\Security\Account;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\ClockInterface;

/** Does a step in one transaction, once for each request id (law 7): the second time it only tells again how it went. */
final readonly class WriteOnce
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private StepJournal $journal,
        private ClockInterface $clock,
        private RollBack $takeBack,
    ) {
    }

    /**
     * @param callable(Step): Outcome $work
     *
     * @throws StepRefused if somebody else has sent the same id
     */
    public function do(string $requestId, Account $who, callable $work): Outcome
    {
        $this->database->beginTransaction();
        try {
            $outcome = $this->earlier($requestId, $who) ?? $this->fresh($requestId, $who, $work);
            $this->database->commit();

            return $outcome;
        } catch (\Throwable $problem) {
            ($this->takeBack)();
            throw $problem;
        }
    }

    /** @throws StepRefused if the id is another person's */
    private function earlier(string $requestId, Account $who): ?Outcome
    {
        $columns = $this->database->fetchAssociative('SELECT account_id, outcome, said FROM write_request WHERE id = ?', [$requestId]);
        if (false === $columns) {
            return null;
        }
        $row = new Row($columns);

        return $row->int('account_id') === $who->id ? Outcome::final($row->text('outcome'), $row->text('said')) : throw StepRefused::sentBySomebodyElse();
    }

    /** @param callable(Step): Outcome $work */
    private function fresh(string $requestId, Account $who, callable $work): Outcome
    {
        $at = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $attached = $this->entities->contains($who) ? $who : $this->entities->find(Account::class, $who->id);
        $this->journal->begin($requestId);
        $outcome = $work(new Step($requestId, $attached ?? $who, $at));
        $this->entities->flush();
        $this->journal->end();
        $this->database->insert('write_request', [
            'id' => $requestId,
            'account_id' => $who->id,
            'at' => $at->format('Y-m-d H:i:s'),
            'outcome' => $outcome->goTo,
            'said' => $outcome->said,
            'is_undoable' => (int) $outcome->isUndoable,
        ]);

        return $outcome;
    }
}
