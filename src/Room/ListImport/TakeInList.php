<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use App\Platform\Security\Account;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Steps\Unknown;
use App\Platform\Steps\WriteInParts;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemIndex;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\Prices;
use App\Room\Catalogue\TakeIn;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\ListImport\ListRow;
use Lottel\Core\Log\Outside;
use Lottel\Core\Words\Counted;

/** Takes the rows of a list in, some at a time, under one request that one undo takes back. */
final readonly class TakeInList
{
    public const AT_ONCE = 200;

    public function __construct(
        private ImportedLists $lists,
        private LookAtList $look,
        private PlacesOfList $found,
        private WriteInParts $parts,
        private TakeIn $takeIn,
        private ItemIndex $index,
        private EntityManagerInterface $entities,
        private Items $items,
        private Places $places,
        private Prices $prices,
    ) {
    }

    /**
     * @param string $goTo where to go on afterwards
     * @param callable(float): void $tell is told how much is done, from 0 to 1
     */
    public function __invoke(ImportedList $list, string $requestId, Account $who, string $goTo, callable $tell): Outcome
    {
        $rows = $this->begin($list, $requestId);
        $chunks = array_chunk($rows, self::AT_ONCE);
        $reader = $this->look->reader($list);
        $cells = $this->cells($list, $rows);
        $known = array_map(static fn (KnownThing $thing): int => $thing->id, $this->look->known());
        $place = $this->found->finder($list);
        $work = function (Step $step, int $part) use ($chunks, $cells, $reader, &$known, $place, $list): void {
            $read = array_map(static fn (int $row): ?ListRow => $reader->read($cells[$row] ?? []), $chunks[$part]);
            $this->write($step, $list, array_values(array_filter($read)), $known, $place);
        };
        $outcome = static fn (int $done): Outcome => Outcome::undoable($goTo, Counted::of(
            min(\count($rows), $done * self::AT_ONCE),
            'row of the list is in the room now.',
            'rows of the list are in the room now.',
        ));

        return $this->parts->do($requestId, $who, \count($chunks), $work, $outcome, static function (int $done) use ($chunks, $tell): void {
            $tell($done / \count($chunks));
        });
    }

    /**
     * @return list<int> the rows of this run: those of an earlier try, or all that are ready
     *
     * @throws StepRefused if another run of this list has not come to its end
     */
    private function begin(ImportedList $list, string $requestId): array
    {
        return $this->lists->alone($list, function (ImportedList $now) use ($list, $requestId): array {
            $list->runs = $now->runs;
            foreach ($list->runs as [$request, $rows]) {
                if ($request === $requestId) {
                    return $rows;
                }
            }
            $this->checkNoOther($list);
            $ready = ($this->look)($list)->ready;
            if ([] === $ready) {
                throw InvalidSheet::nothingIsReady();
            }
            $list->runs[] = [$requestId, $ready];
            $this->lists->keep($list);

            return $ready;
        });
    }

    private function checkNoOther(ImportedList $list): void
    {
        if (null !== $this->look->openRun($list) || null !== $this->look->halfOut($list)) {
            throw StepRefused::goesOnElsewhere();
        }
    }

    /**
     * @param list<int> $rows
     *
     * @return array<int, list<string>>
     */
    private function cells(ImportedList $list, array $rows): array
    {
        $wanted = array_flip($rows);
        $cells = [];
        foreach ($this->lists->rows($list) as $row => $of) {
            if (isset($wanted[$row])) {
                $cells[$row] = $of;
            }
        }

        return $cells;
    }

    /**
     * First all new things are written down, then all that is there of them goes into the log.
     *
     * @param list<ListRow> $rows
     * @param array<string, int> $known things by what they are known as
     * @param callable(string): ?int $place
     */
    private function write(Step $step, ImportedList $list, array $rows, array &$known, callable $place): void
    {
        /** @var array<string, Item> $new */
        $new = $stocked = [];
        foreach ($rows as $row) {
            $key = $row->key();
            $isNew = DoublesOnList::Second === $list->doubles || (!isset($known[$key]) && !isset($new[$key]));
            $of = !$isNew ? $known[$key] ?? $key : (isset($new[$key]) ? $key."\n".\count($new) : $key);
            if ($isNew) {
                $new[$of] = $this->item($step, $row, $place($row->place));
            }
            $stocked[] = [$row, $of, $place($row->place), $isNew];
        }
        $this->index->items(array_values($new));
        $numbers = array_map(static fn (Item $item): int => (int) $item->id, $new);
        foreach ($numbers as $key => $number) {
            $known[(string) $key] ??= $number;
        }
        $this->entities->flush();
        $this->entities->clear();
        foreach ($stocked as [$row, $of, $at, $isNew]) {
            $this->stock($step, $row, \is_string($of) ? $numbers[$of] : $of, $at ?? 0, $isNew);
        }
    }

    private function item(Step $step, ListRow $row, ?int $place): Item
    {
        $item = $this->takeIn->write($this->place($place ?? 0), $row->thing);
        $item->describe($item->record()->with(
            sentiments: $row->words,
            note: $row->note,
            collection: $row->collection,
            season: '' === $row->season ? null : $row->season,
        ));
        if (null !== $row->cents) {
            $this->prices->known($item, $row->cents, 1, $step->at, $row->shop);
        }

        return $item;
    }

    private function stock(Step $step, ListRow $row, int $id, int $placeId, bool $isNew): void
    {
        $item = $this->items->one($id);
        if ($isNew ? $row->isThere : $row->addsTo($item->tracking)) {
            $place = $isNew ? $this->place($placeId) : $item->home ?? $this->places->heap();
            $this->takeIn->stock($step, $item, $place, $row->thing->quantity, Outside::Bought);
        }
        $this->entities->detach($item);
    }

    /** What was to go to a place that has gone out of use in the meantime waits with what is not filed. */
    private function place(int $id): Place
    {
        try {
            return 0 === $id ? $this->places->heap() : $this->places->number($id);
        } catch (Unknown) {
            return $this->places->heap();
        }
    }
}
