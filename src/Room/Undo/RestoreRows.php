<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Database\Change;
use App\Platform\Database\Rows;
use App\Platform\Database\StepChange;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Room\Log\LogBook;
use Doctrine\DBAL\Exception\ForeignKeyConstraintViolationException;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Log\Undone;

/** Walks through what a step changed, backwards, and puts each row back as it was; or refuses and changes nothing. */
final readonly class RestoreRows
{
    public function __construct(
        private Rows $rows,
        private RestoreStores $stores,
        private RestoreKits $kits,
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
        $busy = $this->kits->goneOnSince($changes);
        $printed = $this->labels->printedSince($changes);
        try {
            foreach (array_reverse($changes) as $change) {
                if ('kit' !== $change->table || !\in_array($change->row, $busy, true) || !$this->kits->isLife($change)) {
                    $this->one($step, $change, $back);
                }
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

    private function one(Step $step, StepChange $change, Undone $back): void
    {
        match ($change->table) {
            'movement' => $this->move($step, $change, $back),
            'kit' => $this->kits->kit($step, $change, $back),
            'need' => $this->kits->need($change, $back),
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
        $this->kits->checkTray($line);
        $name = (string) ($this->rows->get('item', $line->movement->item)['name'] ?? '');
        $to = $line->movement->from;
        $to->nature->isInside() ? $back->moved($name, $to->label) : $back->left($name, $to->label);
        if ($change->isOld) {
            $this->kits->wakeUp($line, $back);
        }
    }

    private function plain(StepChange $change, Undone $back): void
    {
        match ($change->what) {
            Change::Insert => $this->rows->remove($change->table, $change->row),
            Change::Update => $this->rows->put($change->table, $change->row, $change->was),
            Change::Delete => $this->rows->add($change->table, $change->row, $change->was),
        };
        $back->asBefore(match ($change->table) {
            'put_off' => 'the order of the way home',
            'spot' => 'what the photo says',
            'piece', 'sheet_in_work', 'cut_plan' => 'the cutting table',
            'design' => 'the design',
            'making_step' => 'the bench',
            'kit_occasion', 'kit_time' => 'its date',
            'other_hours' => 'the time at the bench',
            'set_aside', 'gift' => 'the shelf',
            'price' => 'what was paid',
            'album_page' => 'the album',
            'loan' => 'the loan',
            'workshop', 'share', 'bag' => 'the class',
            'rest' => 'how it lies',
            'errand', 'errand_task', 'handover' => 'the round',
            'place_count' => 'the count',
            'stock_rule' => 'what is kept of it',
            'folder' => 'where the folder stands',
            'house_move', 'moving_box' => 'the move',
            default => $this->called($change),
        });
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
            if (\in_array($change->table, ['movement', 'kit', 'need', 'label_wish', 'put_off'], true)) {
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
        return match ($table) {
            'place' => RetiredAddress::onLabel((string) ($row['address'] ?? 'A place')),
            'unit' => (string) ($row['letters'] ?? 'A unit'),
            'companion' => 'What belongs together',
            'sheet_in_work', 'cut_plan' => 'The cutting table',
            'design' => 'The design',
            'making_step' => 'The bench',
            'kit_occasion', 'kit_time' => 'Its date',
            'other_hours' => 'The hours of that day',
            'set_aside', 'gift' => 'The shelf',
            'price' => 'The price',
            'album_page' => 'The album',
            'loan' => 'The loan',
            'workshop', 'share', 'bag' => 'The class',
            'rest' => 'How it lies',
            'errand', 'errand_task', 'handover' => 'The round',
            'place_count' => 'The count',
            'stock_rule' => 'What is kept of it',
            default => (string) ($row['name'] ?? 'Something'),
        };
    }
}
