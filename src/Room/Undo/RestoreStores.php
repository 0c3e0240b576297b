<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Database\Row;
use App\Platform\Database\Rows;
use App\Platform\Steps\Change;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepChange;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use App\Room\Find\FindIndex;
use App\Room\Stores\Place;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Undone;

/** Puts the catalogue and the furniture back as they were. What the log speaks of stays in the database, out of sight. */
final readonly class RestoreStores
{
    private const AT_ONCE = 250;

    public function __construct(private Rows $rows, private Connection $database, private EntityManagerInterface $entities, private FindIndex $index)
    {
    }

    public function item(Step $step, StepChange $change, Undone $back): void
    {
        if (Change::Delete === $change->what) {
            $this->rows->add('item', $change->row, $change->was);
            $back->backInCatalogue($change->text('name'));

            return;
        }
        $name = (string) ($this->rows->get('item', $change->row)['name'] ?? '');
        if (Change::Insert === $change->what) {
            $this->takeOut($step, $change->row, $name);
            $back->outOfCatalogue($name);

            return;
        }
        if (isset($change->was['home_id'])) {
            $this->checkHome((int) $change->was['home_id']);
        }
        $this->rows->put('item', $change->row, $change->was);
        if (\array_key_exists('home_id', $change->was)) {
            $home = null === $change->was['home_id'] ? null : (string) ($this->rows->get('place', (int) $change->was['home_id'])['address'] ?? '');
            $back->home((string) ($change->was['name'] ?? $name), $home);
        }
        if ([] !== array_diff_key($change->was, ['home_id' => true, 'season_home_id' => true])) {
            $back->record('the record of '.($change->was['name'] ?? $name));
        }
    }

    public function place(Step $step, StepChange $change, Undone $back): void
    {
        match ($change->what) {
            Change::Insert => $this->removePlace($step, $change, $back),
            Change::Update => $this->rows->put('place', $change->row, $change->was),
            Change::Delete => $this->rows->add('place', $change->row, $change->was),
        };
    }

    public function unit(StepChange $change, Undone $back): void
    {
        if (Change::Insert !== $change->what) {
            Change::Update === $change->what ? $this->rows->put('unit', $change->row, $change->was) : $this->rows->add('unit', $change->row, $change->was);

            return;
        }
        $letters = $change->text('letters');
        if ($this->rows->has('place', 'unit_id', $change->row)) {
            $this->rows->put('unit', $change->row, ['letters' => $this->oldLetters(), 'plan_x' => null, 'plan_y' => null]);
        } else {
            $this->rows->remove('unit', $change->row);
        }
        $back->placeGone($letters);
    }

    public function room(StepChange $change, Undone $back): void
    {
        if (Change::Insert === $change->what) {
            if ($this->rows->has('unit', 'room_id', $change->row)) {
                throw UndoRefused::isInUse($change->text('name'));
            }
            $this->rows->remove('room', $change->row);
            $back->placeGone($change->text('name'));

            return;
        }
        $this->rows->put('room', $change->row, $change->was);
        $back->asBefore(isset($change->was['plan']) ? 'the floor plan' : 'what is said of the room');
    }

    public function companion(StepChange $change, Undone $back): void
    {
        match ($change->what) {
            Change::Insert => $this->rows->remove('companion', $change->row),
            Change::Update => $this->rows->put('companion', $change->row, $change->was),
            Change::Delete => $this->rows->add('companion', $change->row, $change->was),
        };
        $id = (int) ($change->became['item_id'] ?? $change->was['item_id'] ?? 0);
        $back->asBefore('what goes with '.($this->rows->get('item', $id)['name'] ?? 'it'));
    }

    /**
     * A front that comes back must not lie where another one is by now.
     *
     * @param list<StepChange> $changes
     *
     * @throws StepRefused if one does
     */
    public function checkSpots(array $changes): void
    {
        foreach (array_keys($this->rowsOf('place', $changes)) as $id) {
            $columns = $this->database->fetchAssociative(
                'SELECT p.address AS back, o.address AS there FROM place p JOIN place o ON o.unit_id = p.unit_id AND o.id <> p.id AND o.retired_at IS NULL
                    AND o.front_x < p.front_x + p.front_width AND p.front_x < o.front_x + o.front_width
                    AND o.front_y < p.front_y + p.front_height AND p.front_y < o.front_y + o.front_height
                 WHERE p.id = ? AND p.retired_at IS NULL',
                [$id],
            );
            if (false !== $columns) {
                $clash = new Row($columns);
                throw UndoRefused::wouldOverlap($clash->text('back'), $clash->text('there'));
            }
        }
    }

    /**
     * Says of places and units what became of them, once each, and finds them and what lives in them by their old names again.
     *
     * @param list<StepChange> $changes
     */
    public function tell(array $changes, Undone $back): void
    {
        $this->entities->clear();
        $items = [];
        foreach ($this->rowsOf('unit', $changes) as $id => $columns) {
            $unit = $this->rows->get('unit', $id);
            if (null !== $unit && [] !== array_diff_key($columns, ['walk' => true])) {
                isset($columns['letters']) ? $back->placeBack('unit '.$unit['letters']) : $back->asBefore('unit '.$unit['letters']);
                array_map($this->index->place(...), $this->entities->getRepository(Place::class)->findBy(['unit' => $id, 'retiredAt' => null]));
            }
        }
        foreach ($this->rowsOf('place', $changes) as $id => $columns) {
            $place = $this->entities->find(Place::class, $id);
            if (true !== $place?->isStorageInUse()) {
                continue;
            }
            $this->tellPlace($place, $columns, $back);
            $this->index->place($place);
            $items = [
                ...$items,
                ...array_map(static fn (Item $item): int => (int) $item->id, $this->entities->getRepository(Item::class)->findBy(['home' => $place])),
            ];
        }
        $this->findAgain(array_values(array_unique([...$items, ...array_keys($this->rowsOf('item', $changes))])));
    }

    /** @param list<int> $ids of things */
    private function findAgain(array $ids): void
    {
        foreach (array_chunk($ids, self::AT_ONCE) as $some) {
            $there = $this->entities->getRepository(Item::class)->findBy(['id' => $some]);
            $this->index->items($there);
            $known = array_map(static fn (Item $item): int => (int) $item->id, $there);
            array_walk($some, function (int $id) use ($known): void {
                if (!\in_array($id, $known, true)) {
                    $this->index->forgetItem($id);
                }
            });
            $this->entities->clear();
        }
    }

    /** @param array<string, int|string|null> $columns as they became */
    private function tellPlace(Place $place, array $columns, Undone $back): void
    {
        $became = (string) preg_replace('/~.*$/', '', (string) ($columns['address'] ?? $place->address));
        match (true) {
            isset($columns['retired_at']) => $back->placeBack($place->address),
            $became !== $place->address && '' !== $became => $back->renamed($became, $place->address),
            default => $back->asBefore($place->address),
        };
    }

    /**
     * @param list<StepChange> $changes
     *
     * @return array<int, array<string, int|string|null>> what changed and became what, by row
     */
    private function rowsOf(string $table, array $changes): array
    {
        $rows = [];
        foreach ($changes as $change) {
            if ($change->table === $table) {
                $rows[$change->row] = $change->became + ($rows[$change->row] ?? []);
            }
        }

        return $rows;
    }

    private function takeOut(Step $step, int $id, string $name): void
    {
        $isOnAList = $this->rows->has('need', 'item_id', $id);
        $isElsewhere =
            false !==
            $this->database->fetchOne(
                "SELECT 1 FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = ? AND (p.nature <> 'outside'
                    OR (p.address IN ('used up', 'lost') AND b.quantity > 0))",
                [$id],
            );
        if ($isOnAList || $isElsewhere) {
            throw UndoRefused::isInUse($name);
        }
        $this->database->executeStatement('DELETE FROM companion WHERE item_id = ? OR other_id = ?', [$id, $id]);
        $this->database->delete('label_wish', ['item_id' => $id]);
        if ($this->rows->has('movement', 'item_id', $id)) {
            $this->rows->put('item', $id, ['removed_at' => $step->at->format('Y-m-d H:i:s'), 'home_id' => null]);
        } else {
            $this->rows->remove('item', $id);
        }
    }

    private function removePlace(Step $step, StepChange $change, Undone $back): void
    {
        if (PlaceNature::Storage->value !== $change->became['nature']) {
            return;
        }
        $id = $change->row;
        $address = (string) ($this->rows->get('place', $id)['address'] ?? $change->text('address'));
        $isInUse = $this->rows->has('balance', 'place_id', $id) || $this->rows->has('item', 'home_id', $id) || $this->rows->has('item', 'season_home_id', $id)
            || false !== $this->database->fetchOne('SELECT 1 FROM place WHERE parent_id = ? AND retired_at IS NULL', [$id]);
        if ($isInUse) {
            throw UndoRefused::isInUse($address);
        }
        $this->database->delete('label_wish', ['place_id' => $id]);
        $this->database->executeStatement('DELETE FROM finder WHERE rowid = ?', [2 * $id + 1]);
        if ($this->rows->has('movement', 'from_id', $id) || $this->rows->has('movement', 'to_id', $id)) {
            $gone = ['retired_at' => $step->at->format('Y-m-d H:i:s'), 'address' => RetiredAddress::of($address, $id), 'parent_id' => null];
            $this->rows->put('place', $id, $gone + ['front_x' => null, 'front_y' => null, 'front_width' => null, 'front_height' => null]);
        } else {
            $this->database->executeStatement('UPDATE place SET parent_id = NULL WHERE parent_id = ?', [$id]);
            $this->rows->remove('place', $id);
        }
        $back->placeGone($address);
    }

    private function checkHome(int $place): void
    {
        $home = $this->rows->get('place', $place);
        if (null === $home || null !== $home['retired_at']) {
            throw UndoRefused::homeIsGone(null === $home ? 'Its home' : RetiredAddress::onLabel((string) $home['address']));
        }
    }

    private function oldLetters(): string
    {
        for ($number = 1;; ++$number) {
            if (!$this->rows->has('unit', 'letters', '~'.$number)) {
                return '~'.$number;
            }
        }
    }
}
