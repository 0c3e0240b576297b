<?php

declare(strict_types=1);

namespace App\Stash;

use App\Database\Row;
use App\Web\Frame;
use Doctrine\DBAL\Connection;
use Lottel\Core\Stash\InvalidRow;
use Lottel\Core\Stash\StashReader;
use Lottel\Core\Stash\StashRow;

/** Reads a list through and tells what it would become; nothing is written. */
final readonly class LookAtList
{
    public function __construct(private StashLists $lists, private PlacesOfList $places, private Connection $database, private Frame $frame)
    {
    }

    public function reader(StashList $list): StashReader
    {
        return new StashReader($list->columns, $list->units(), $this->frame->quantities(), $this->frame->colours(), $list->kind);
    }

    public function __invoke(StashList $list): Looked
    {
        $reader = $this->reader($list);
        $place = $this->places->finder($list);
        $known = $this->known();
        $in = $this->rowsThatAreIn($list);
        $ready = $mistakes = $doubles = $unknown = $kinds = [];
        $homeless = $out = 0;
        foreach ($this->lists->rows($list) as $row => $cells) {
            if (isset($in[$row])) {
                continue;
            }
            try {
                $read = $reader->read($cells);
            } catch (InvalidRow $wrong) {
                $mistakes[] = new Mistake($row, $wrong->field, $wrong->getMessage(), $cells);
                continue;
            }
            if (null === $read) {
                continue;
            }
            $isDouble = isset($known[$read->key()]);
            $known[$read->key()] = true;
            if ($isDouble) {
                $doubles[$row] = $read->thing->name;
            }
            if ($isDouble && Doubles::LeaveOut === $list->doubles) {
                continue;
            }
            $ready[] = $row;
            $kinds[$read->thing->kind->value] = ($kinds[$read->thing->kind->value] ?? 0) + 1;
            $there = $place($read->place);
            if (null === $there) {
                $unknown[$read->place] = ($unknown[$read->place] ?? 0) + 1;
            }
            $homeless += null === $there || 0 === $there ? 1 : 0;
            $out += $read->isThere ? 0 : 1;
        }
        arsort($unknown);
        arsort($kinds);

        return new Looked($ready, $mistakes, $doubles, $unknown, $kinds, \count($in), $homeless, $out);
    }

    /** @return array<string, bool> what the room has, by its key */
    public function known(): array
    {
        return array_fill_keys(array_keys($this->items()), true);
    }

    /** @return array<string, int> things by what they are known as */
    public function items(): array
    {
        $items = [];
        foreach ($this->database->iterateAssociative('SELECT id, name, maker FROM item WHERE removed_at IS NULL ORDER BY id DESC') as $columns) {
            $row = new Row($columns);
            $items[StashRow::keyOf($row->text('name'), $row->text('maker'))] = $row->int('id');
        }

        return $items;
    }

    /** @return array<int, bool> rows that a run took in which was not taken back */
    public function rowsThatAreIn(StashList $list): array
    {
        $in = [];
        foreach ($list->runs as [$request, $rows]) {
            $done = $this->database->fetchOne(
                'SELECT p.done FROM part_done p JOIN write_request w ON w.id = p.request_id WHERE p.request_id = ? AND w.undone_by IS NULL',
                [$request],
            );
            foreach (\array_slice($rows, 0, TakeInList::AT_ONCE * Row::number($done)) as $row) {
                $in[$row] = true;
            }
        }

        return $in;
    }

    /** The run that was begun and neither came to its end nor was taken back. */
    public function openRun(StashList $list): ?string
    {
        $last = $list->runs[array_key_last($list->runs) ?? 0] ?? null;
        $open = null === $last ? false : $this->database->fetchOne(
            'SELECT 1 FROM part_done p JOIN write_request w ON w.id = p.request_id WHERE p.request_id = ? AND w.undone_by IS NULL AND p.done < p.parts',
            [$last[0]],
        );

        return null === $last || false === $open ? null : $last[0];
    }
}
