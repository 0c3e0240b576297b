<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Rows;
use App\Platform\Steps\Change;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepChange;
use App\Room\Log\LogLine;
use App\Room\Undo\RestoresRows;
use App\Room\Undo\UndoRefused;
use Doctrine\DBAL\Connection;
use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Log\Undone;

/** Takes back what a step did to kits and their lists, and leaves alone what others have done to them since. */
final readonly class RestoreKits implements RestoresRows
{
    private const LIFE = ['stage' => true, 'tray_id' => true, 'out_since' => true, 'closed_at' => true];

    public function __construct(private Rows $rows, private PartsOfKit $parts, private Connection $database)
    {
    }

    public function restores(): array
    {
        return ['kit', 'need'];
    }

    public function restore(Step $step, StepChange $change, array $all, Undone $back): void
    {
        if ('need' === $change->table) {
            $this->need($change, $back);
        } elseif (!$this->isLife($change) || !$this->wentOnSince($change->row, $all)) {
            $this->kit($step, $change, $back);
        }
    }

    public function afterReversal(LogLine $line, StepChange $change, Undone $back): void
    {
        $this->checkTray($line);
        if ($change->isOld) {
            $this->wakeUp($line, $back);
        }
    }

    private function kit(Step $step, StepChange $change, Undone $back): void
    {
        match ($change->what) {
            Change::Insert => $this->unplan($step, $change, $back),
            Change::Update => $this->changeBack($change, $back),
            Change::Delete => $this->planAgain($change, $back),
        };
    }

    /**
     * Whether somebody has gone on with a kit since a step moved something for it: it stays where it is in its life.
     *
     * @param list<StepChange> $changes of the step
     */
    private function wentOnSince(int $kit, array $changes): bool
    {
        $moved = array_map(
            static fn (StepChange $change): int => $change->row,
            array_filter($changes, static fn (StepChange $change): bool => 'movement' === $change->table),
        );

        return [] !== $moved
            && false !== $this->database->fetchOne(
                'SELECT 1 FROM movement m WHERE m.kit_id = ? AND m.id > ? AND m.reverses_id IS NULL
                    AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)',
                [$kit, max($moved)],
            );
    }

    /** Whether a change is about where a kit stands in its life. */
    private function isLife(StepChange $change): bool
    {
        return Change::Update === $change->what && [] === array_diff_key($change->was, self::LIFE);
    }

    private function need(StepChange $change, Undone $back): void
    {
        match ($change->what) {
            Change::Insert => $this->takeOff($change, $back),
            Change::Update => $this->unsettle($change, $back),
            Change::Delete => $this->putOn($change, $back),
        };
    }

    /** A thing goes back onto a tray only while its own kit has it. */
    private function checkTray(LogLine $line): void
    {
        $back = $line->movement->from;
        if (!$back->isTray()) {
            return;
        }
        $kit = null === $line->kitId ? null : $this->rows->get('kit', $line->kitId);
        if (null === $kit || $kit['tray_id'] !== $back->id) {
            throw KitsRefused::trayIsGone();
        }
    }

    /** A line of the list that an old step had settled is open again. */
    private function wakeUp(LogLine $line, Undone $back): void
    {
        if (
            null === $line->kitId
            || !\in_array($line->movement->reason, [Reason::Pull, Reason::Lose], true)
            || PlaceNature::Tray === $line->movement->from->nature
        ) {
            return;
        }
        $id = $this->database->fetchOne('SELECT id FROM need WHERE kit_id = ? AND item_id = ?', [$line->kitId, $line->movement->item]);
        $need = \is_int($id) ? $this->rows->get('need', $id) : null;
        if (null === $need) {
            return;
        }
        $taken = max(0, (int) $need['taken'] - (Reason::Pull === $line->movement->reason ? $line->movement->quantity : 0));
        if (0 === $taken && null !== $need['instead_of_id']) {
            $this->rows->remove('need', (int) $need['id']);
            $this->database->executeStatement("UPDATE need SET state = 'open' WHERE id = ? AND state = 'replaced'", [$need['instead_of_id']]);
            $back->offTheList($this->nameOf($need));
        } else {
            $this->rows->put('need', (int) $need['id'], ['taken' => $taken, 'state' => $this->settled($need, $taken, (int) $need['quantity'])]);
            $back->wanted($this->nameOf($need));
        }
    }

    private function unplan(Step $step, StepChange $change, Undone $back): void
    {
        $kit = $this->rows->get('kit', $change->row);
        if (null === $kit) {
            return;
        }
        $name = (string) $kit['name'];
        if (Stage::Planned->value !== $kit['stage'] || $this->parts->all()->isThere($change->row)) {
            $back->stays(\sprintf('“%s” stays: other things belong to it by now.', $name));

            return;
        }
        if ($this->rows->has('movement', 'kit_id', $change->row)) {
            $this->rows->put('kit', $change->row, ['removed_at' => $step->at->format('Y-m-d H:i:s')]);
        } else {
            $this->rows->remove('kit', $change->row);
        }
        $back->kitGone($name);
    }

    private function changeBack(StepChange $change, Undone $back): void
    {
        $kit = $this->rows->get('kit', $change->row);
        if (null === $kit) {
            return;
        }
        $name = (string) $kit['name'];
        $isSame = StepChange::holds($change->became, $kit);
        $isLife = $this->isLife($change);
        if (!$isSame) {
            if (!$isLife) {
                throw UndoRefused::changedSince('“'.$name.'”');
            }

            return;
        }
        $leavesTray = \array_key_exists('tray_id', $change->was) && null === $change->was['tray_id'];
        if ($leavesTray && $this->rows->has('balance', 'place_id', (int) $kit['tray_id'])) {
            return;
        }
        if (isset($change->was['tray_id']) && $this->rows->has('kit', 'tray_id', $change->was['tray_id'])) {
            throw KitsRefused::trayHasAnother();
        }
        $this->rows->put('kit', $change->row, $change->was);
        match (true) {
            $isLife => $back->kitIs($name, (string) ($change->was['stage'] ?? $kit['stage'])),
            \array_key_exists('removed_at', $change->was) => $back->kitBack($name),
            default => $back->asBefore('“'.$name.'”'),
        };
    }

    private function planAgain(StepChange $change, Undone $back): void
    {
        $this->rows->add('kit', $change->row, $change->was);
        $back->kitBack($change->text('name'));
    }

    private function takeOff(StepChange $change, Undone $back): void
    {
        $need = $this->rows->get('need', $change->row);
        if (null === $need) {
            return;
        }
        $name = $this->nameOf($need);
        $more = (int) $need['quantity'] - (int) $change->became['quantity'];
        if (0 === (int) $need['taken'] && $more <= 0) {
            $this->rows->remove('need', $change->row);
            $back->offTheList($name);

            return;
        }
        $quantity = max(1, $more, (int) $need['taken']);
        $this->rows->put('need', $change->row, [
            'quantity' => $quantity,
            'to_cut' => min($quantity, (int) $need['to_cut']),
            'for_design' => min($quantity, (int) $need['for_design']),
            'state' => $this->settled($need, (int) $need['taken'], $quantity),
        ]);
        $back->listChanged($name);
    }

    private function unsettle(StepChange $change, Undone $back): void
    {
        $need = $this->rows->get('need', $change->row);
        if (null === $need) {
            return;
        }
        if (StepChange::holds($change->became, $need)) {
            $this->rows->put('need', $change->row, $change->was);
        } else {
            $taken = max(0, (int) $need['taken'] - $this->added($change, 'taken'));
            $quantity = max(1, $taken, (int) $need['quantity'] - $this->added($change, 'quantity'));
            $this->rows->put('need', $change->row, [
                'taken' => $taken,
                'quantity' => $quantity,
                'to_cut' => min($quantity, max(0, (int) $need['to_cut'] - $this->added($change, 'to_cut'))),
                'for_design' => min($quantity, max(0, (int) $need['for_design'] - $this->added($change, 'for_design'))),
                'state' => $this->settled($need, $taken, $quantity),
            ]);
        }
        $state = (string) ($this->rows->get('need', $change->row)['state'] ?? '');
        if (isset($change->was['state']) || isset($change->was['taken'])) {
            NeedState::Open->value === $state ? $back->wanted($this->nameOf($need)) : $back->listChanged($this->nameOf($need));
        } elseif (isset($change->was['quantity'])) {
            $back->listChanged($this->nameOf($need));
        }
    }

    private function putOn(StepChange $change, Undone $back): void
    {
        $kit = $this->rows->get('kit', (int) $change->was['kit_id']);
        if (null === $kit || Stage::Closed->value === $kit['stage']) {
            throw UndoRefused::changedSince(null === $kit ? 'The kit' : '“'.$kit['name'].'”');
        }
        $was = $change->was;
        $was['instead_of_id'] = isset($was['instead_of_id']) && $this->rows->has('need', 'id', $was['instead_of_id']) ? $was['instead_of_id'] : null;
        $this->rows->add('need', $change->row, $was);
        $back->onTheList($this->nameOf($change->was));
    }

    private function added(StepChange $change, string $column): int
    {
        return (int) ($change->became[$column] ?? 0) - (int) ($change->was[$column] ?? 0);
    }

    /** @param array<string, int|string|null> $need */
    private function settled(array $need, int $taken, int $quantity): string
    {
        $tracking = Tracking::from((string) ($this->rows->get('item', (int) $need['item_id'])['tracking'] ?? 'count'));

        return NeedState::settled($tracking, $quantity, $taken)->value;
    }

    /** @param array<string, int|string|null> $need */
    private function nameOf(array $need): string
    {
        return (string) ($this->rows->get('item', (int) $need['item_id'])['name'] ?? '');
    }
}
