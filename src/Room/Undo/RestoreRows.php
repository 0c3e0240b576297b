<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Database\Rows;
use App\Platform\Steps\Change;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepChange;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\WatchedTables;
use App\Room\Log\LogBook;
use Doctrine\DBAL\Exception\ForeignKeyConstraintViolationException;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Log\Undone;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Walks through what a step changed, backwards, and puts each row back as it was; or refuses and changes nothing. */
final readonly class RestoreRows
{
    /** @param iterable<RestoresRows> $areas */
    public function __construct(
        #[AutowireIterator(RestoresRows::class)]
        private iterable $areas,
        private WatchedTables $tables,
        private Rows $rows,
        private RestoreStores $stores,
        private RestoreLabels $labels,
        private LogBook $log,
        private EntityManagerInterface $entities,
        private StillTrue $true,
    ) {
    }

    /**
     * @param list<StepChange> $changes in the order in which they were made
     *
     * @throws StepRefused if something was changed, moved or taken since, so that it cannot be put back as it was
     */
    public function restore(Step $step, array $changes): Undone
    {
        $this->entities->flush();
        $this->entities->clear();
        $this->checkUnchanged($changes);
        $back = new Undone();
        $printed = $this->labels->printedSince($changes);
        try {
            foreach (array_reverse($changes) as $change) {
                $this->one($step, $change, $changes, $back);
            }
        } catch (UniqueConstraintViolationException) {
            throw UndoRefused::isGivenToAnother();
        } catch (ForeignKeyConstraintViolationException) {
            throw UndoRefused::othersBelongToIt();
        }
        $this->stores->tell($changes, $back);
        $this->stores->checkSpots($changes);
        $this->true->check($changes);
        array_walk($printed, $this->labels->again(...));
        if ($back->isNothing() && \in_array('label_wish', array_map(static fn (StepChange $change): string => $change->table, $changes), true)) {
            $back->asBefore('the list of labels to print');
        }

        return $back;
    }

    /** @param list<StepChange> $all */
    private function one(Step $step, StepChange $change, array $all, Undone $back): void
    {
        foreach ($this->areas as $area) {
            if (\in_array($change->table, $area->restores(), true)) {
                $area->restore($step, $change, $all, $back);

                return;
            }
        }
        match ($change->table) {
            'movement' => $this->move($step, $change, $back),
            'label_wish' => $this->labels->wish($change),
            'item' => $this->stores->item($step, $change, $back),
            'place' => $this->stores->place($step, $change, $back),
            'unit' => $this->stores->unit($change, $back),
            'room' => $this->stores->room($change, $back),
            'companion' => $this->stores->companion($change, $back),
            default => $this->plain($change, $back),
        };
    }

    private function move(Step $step, StepChange $change, Undone $back): void
    {
        if ($this->rows->has('movement', 'reverses_id', $change->row)) {
            return;
        }
        $line = $this->log->reverse($step, $change->row);
        $name = (string) ($this->rows->get('item', $line->movement->item)['name'] ?? '');
        $to = $line->movement->from;
        $to->nature->isInside() ? $back->moved($name, $to->label) : $back->left($name, $to->label);
        foreach ($this->areas as $area) {
            $area->afterReversal($line, $change, $back);
        }
    }

    private function plain(StepChange $change, Undone $back): void
    {
        match ($change->what) {
            Change::Insert => $this->rows->remove($change->table, $change->row),
            Change::Update => $this->rows->put($change->table, $change->row, $change->was),
            Change::Delete => $this->rows->add($change->table, $change->row, $change->was),
        };
        $words = $this->tables->one($change->table)->inWords;
        $back->asBefore('' === $words ? $this->called($change) : $words);
    }

    /** The name of what was changed; what it is where it has none, or its name is not among what was changed. */
    private function called(StepChange $change): string
    {
        $name = trim($change->text('name').' ');
        $name = '' === $name ? trim((string) ($this->rows->get($change->table, $change->row)['name'] ?? '')) : $name;

        return '' === $name ? 'what was written about the '.str_replace('_', ' ', $change->table) : '“'.$name.'”';
    }

    /**
     * What the room's furniture and the catalogue say must still be as the step left it; lists and kits go on being used, and
     * are taken back by what the step added to them.
     *
     * @param list<StepChange> $changes
     *
     * @throws StepRefused if one of them is not
     */
    public function checkUnchanged(array $changes): void
    {
        $left = [];
        foreach ($changes as $change) {
            if ($this->tables->one($change->table)->goesOn) {
                continue;
            }
            $left[$change->table][$change->row] = Change::Delete === $change->what ? null : $change->became + ($left[$change->table][$change->row] ?? []);
        }
        foreach ($left as $table => $rows) {
            foreach ($rows as $row => $columns) {
                $now = $this->rows->get($table, $row);
                if (null === $columns || null === $now ? $columns !== $now : !StepChange::holds($columns, $now)) {
                    throw UndoRefused::changedSince($this->nameOf($table, $now ?? $columns ?? []));
                }
            }
        }
    }

    /** @param array<string, int|string|null> $row */
    private function nameOf(string $table, array $row): string
    {
        $words = $this->tables->one($table)->inWords;

        return match ($table) {
            'place' => RetiredAddress::onLabel((string) ($row['address'] ?? 'A place')),
            'unit' => (string) ($row['letters'] ?? 'A unit'),
            'companion' => 'What belongs together',
            default => '' === $words ? (string) ($row['name'] ?? 'Something') : ucfirst($words),
        };
    }
}
