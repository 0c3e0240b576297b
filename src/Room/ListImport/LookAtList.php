<?php

declare(strict_types=1);

namespace App\Room\ListImport;

use App\Platform\Database\Row;
use App\Platform\Steps\HalfUndone;
use App\Platform\Web\Measures;
use App\Room\Catalogue\OwnColours;
use Doctrine\DBAL\Connection;
use Lottel\Core\ListImport\InvalidRow;
use Lottel\Core\ListImport\ListReader;
use Lottel\Core\ListImport\ListRow;
use Lottel\Core\ListImport\RowsBetween;
use Lottel\Core\Log\Tracking;

/** Reads a list through and tells what it would become; nothing is written. */
final readonly class LookAtList
{
    public function __construct(
        private ImportedLists $lists,
        private PlacesOfList $places,
        private Connection $database,
        private Measures $measures,
        private OwnColours $ownColours,
    ) {
    }

    public function reader(ImportedList $list): ListReader
    {
        return new ListReader($list->columns, $list->units(), $this->measures->quantities(), $this->ownColours->words(), $list->kind, $list->pounds);
    }

    /**
     * @param int $from from which of the rows that are ready they are told in full, counted from nought
     * @param int $many how many of them are
     */
    public function __invoke(ImportedList $list, int $from = 0, int $many = 0): Looked
    {
        $reader = $this->reader($list);
        $place = $this->places->finder($list);
        $known = array_map(static fn (KnownThing $thing): Tracking => $thing->tracking, $this->known());
        $in = $this->rowsThatAreIn($list);
        $between = new RowsBetween(0 === $list->headingRow ? [] : $list->headings, $list->width);
        $looked = new Looked(\count($in), $from, $many);
        foreach ($this->lists->rows($list) as $row => $cells) {
            if (isset($in[$row])) {
                continue;
            }
            $what = $between->of($cells);
            if (null !== $what) {
                $isThing = \in_array($row, $list->nevertheless, true);
                $looked->between[] = new LeftOutRow($row, $what, self::inOneLine($cells), $isThing);
                if (!$isThing) {
                    continue;
                }
            }
            try {
                $read = $reader->read($cells);
            } catch (InvalidRow $wrong) {
                $looked->mistake(new Mistake($row, $wrong->field, $wrong->getMessage(), $cells));

                continue;
            }
            if (null !== $read) {
                $there = $known[$read->key()] ?? null;
                $looked->row($row, $read, $there, $list->doubles, $place($read->place));
                $known[$read->key()] ??= $read->thing->tracking;
            }
        }

        arsort($looked->kinds);
        arsort($looked->unknownPlaces);

        return $looked;
    }

    /** @param list<string> $cells */
    private static function inOneLine(array $cells): string
    {
        return implode(' · ', array_filter(array_map(trim(...), $cells), static fn (string $cell): bool => '' !== $cell));
    }

    /** @return array<string, KnownThing> what the room has, by what it is known as */
    public function known(): array
    {
        $known = [];
        foreach ($this->database->iterateAssociative('SELECT id, name, maker, tracking FROM item WHERE removed_at IS NULL ORDER BY id DESC') as $columns) {
            $row = new Row($columns);
            $known[ListRow::keyOf($row->text('name'), $row->text('maker'))] = new KnownThing($row->int('id'), $row->one('tracking', Tracking::class));
        }

        return $known;
    }

    /** @return array<int, bool> rows that a run took in which was not taken back */
    public function rowsThatAreIn(ImportedList $list): array
    {
        $in = [];
        foreach ($list->runs as [$request, $rows]) {
            $done = $this->database->fetchOne(
                'SELECT p.done FROM part_done p JOIN write_request w ON w.id = p.request_id 
                    WHERE p.request_id = ? AND (w.undone_by IS NULL OR '.HalfUndone::IS.')',
                [$request],
            );
            foreach (\array_slice($rows, 0, TakeInList::AT_ONCE * Row::number($done)) as $row) {
                $in[$row] = true;
            }
        }

        return $in;
    }

    /** The run whose undo was begun and has not come to its end. */
    public function halfOut(ImportedList $list): ?string
    {
        foreach ($list->runs as [$request]) {
            if (false !== $this->database->fetchOne('SELECT 1 FROM write_request w WHERE w.id = ? AND '.HalfUndone::IS, [$request])) {
                return $request;
            }
        }

        return null;
    }

    /** The run that was begun and neither came to its end nor was taken back. */
    public function openRun(ImportedList $list): ?string
    {
        foreach (\array_slice($list->runs, -1) as [$request]) {
            $isOver = $this->database->fetchOne(
                'SELECT 1 FROM write_request w LEFT JOIN part_done p ON p.request_id = w.id WHERE w.id = ? AND (w.undone_by IS NOT NULL OR p.done = p.parts)',
                [$request],
            );

            return false === $isOver ? $request : null;
        }

        return null;
    }
}
