<?php

declare(strict_types=1);

namespace App\Service;

use App\Entity\Account;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\ClockInterface;

/** Does a step in one transaction, once for each request id (law 7): the second time it only tells again how it went. */
final readonly class WriteOnce
{
    public function __construct(private EntityManagerInterface $entities, private Connection $database, private ClockInterface $clock)
    {
    }

    /** @param callable(Step): Outcome $work */
    public function do(string $requestId, Account $who, callable $work): Outcome
    {
        $this->database->beginTransaction();
        try {
            $earlier = $this->earlier($requestId);
            $outcome = $earlier ?? $this->fresh($requestId, $who, $work);
            $this->database->commit();

            return $outcome;
        } catch (\Throwable $problem) {
            $this->database->rollBack();
            $this->entities->clear();
            throw $problem;
        }
    }

    public function earlier(string $requestId): ?Outcome
    {
        $row = $this->database->fetchAssociative('SELECT outcome, said FROM write_request WHERE id = ?', [$requestId]);

        return false === $row ? null : new Outcome((string) $row['outcome'], (string) $row['said']);
    }

    /** @param callable(Step): Outcome $work */
    private function fresh(string $requestId, Account $who, callable $work): Outcome
    {
        $at = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $attached = $this->entities->contains($who) ? $who : $this->entities->find(Account::class, $who->id);
        $outcome = $work(new Step($requestId, $attached ?? $who, $at));
        $this->entities->flush();
        $this->database->insert('write_request', [
            'id' => $requestId,
            'account_id' => $who->id,
            'at' => $at->format('Y-m-d H:i:s'),
            'outcome' => $outcome->goTo,
            'said' => $outcome->said,
        ]);

        return $outcome;
    }
}
