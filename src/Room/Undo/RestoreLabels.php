<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Database\Rows;
use App\Platform\Steps\Change;
use App\Platform\Steps\StepChange;
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
        } elseif (Change::Update === $change->what) {
            $this->rows->put('label_wish', $change->row, $change->was);
        } else {
            $this->again($change->was);
        }
    }

    /**
     * Returns the labels that a step had wished for and that were printed since: they are no longer true after an undo.
     *
     * @param list<StepChange> $changes
     *
     * @return list<array<string, int|string|null>>
     */
    public function printedSince(array $changes): array
    {
        $wishes = array_filter(
            $changes,
            fn (StepChange $change): bool => 'label_wish' === $change->table
                && Change::Insert === $change->what
                && null === $this->rows->get('label_wish', $change->row),
        );
        $ownDeletes = array_map(
            static fn (StepChange $change): int => $change->row,
            array_filter($changes, static fn (StepChange $change): bool => 'label_wish' === $change->table && Change::Delete === $change->what),
        );

        return array_values(
            array_map(
                static fn (StepChange $change): array => $change->became,
                array_filter($wishes, static fn (StepChange $change): bool => !\in_array($change->row, $ownDeletes, true)),
            ),
        );
    }

    /**
     * Wishes for a label anew, where its thing or place is still there.
     *
     * @param array<string, int|string|null> $wish
     */
    public function again(array $wish): void
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
