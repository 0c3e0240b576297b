<?php

declare(strict_types=1);

namespace App\Service\Log;

use App\Database\Change;
use App\Database\Rows;
use App\Database\StepChange;
use Doctrine\DBAL\Connection;

/** Labels that were wished for because of a step are not needed after its undo; those printed since are wished for anew. */
final readonly class RestoreLabels
{
    public function __construct(private Rows $rows, private Connection $database)
    {
    }

    public function wish(StepChange $change): void
    {
        if (Change::Insert === $change->what) {
            $this->rows->remove('label_wish', $change->row);
        } elseif (Change::Delete === $change->what) {
            $this->again($change->was);
        }
    }

    /**
     * @param list<StepChange> $changes
     */
    public function renew(array $changes): void
    {
        $stood = [];
        foreach ($changes as $change) {
            if ('label_wish' === $change->table && Change::Insert === $change->what && !$this->wasStillThere($change, $changes)) {
                $stood[] = $change->became;
            }
        }
        array_walk($stood, $this->again(...));
    }

    /** @param list<StepChange> $changes */
    private function wasStillThere(StepChange $wish, array $changes): bool
    {
        return false === $this->database->fetchOne('SELECT 1 FROM step_change WHERE subject = ? AND row_id = ? AND what = ?', ['label_wish', $wish->row, Change::Delete->value])
            || [] !== array_filter($changes, static fn (StepChange $change): bool => 'label_wish' === $change->table && $change->row === $wish->row && Change::Delete === $change->what);
    }

    /** @param array<string, int|string|null> $wish */
    private function again(array $wish): void
    {
        $exists = isset($wish['place_id'])
            ? false !== $this->database->fetchOne('SELECT 1 FROM place WHERE id = ? AND retired_at IS NULL', [$wish['place_id']])
            : false !== $this->database->fetchOne('SELECT 1 FROM item WHERE id = ? AND removed_at IS NULL', [$wish['item_id'] ?? 0]);
        if ($exists) {
            $this->database->executeStatement(
                'INSERT INTO label_wish (place_id, item_id, format, reason, at) VALUES (?, ?, ?, ?, ?) ON CONFLICT DO NOTHING',
                [$wish['place_id'] ?? null, $wish['item_id'] ?? null, $wish['format'], $wish['reason'], $wish['at']],
            );
        }
    }
}
