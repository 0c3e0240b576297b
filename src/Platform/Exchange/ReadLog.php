<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use App\Platform\Database\Row;
use App\Room\Log\PlaceInLog;
use Doctrine\DBAL\Connection;
use Lottel\Core\Log\BrokenLaw;
use Lottel\Core\Log\LoggedPlace;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RecordedLine;
use Lottel\Core\Log\RefusedRetracking;
use Lottel\Core\Log\Replay;
use Lottel\Core\Log\Retracking;
use Lottel\Core\Log\Tracking;

/** Reads the log of a room's file line by line, holds each to the laws, and stores it with the balances that follow. */
final readonly class ReadLog
{
    public function __construct(private Connection $database, private RoomFormat $format, private ReadSections $sections)
    {
    }

    /** @throws InvalidRoomFile with the law and the line */
    public function from(RoomFile $file): void
    {
        $changes = $this->retrackings($file);
        $places = $this->places();
        $trackings = $this->trackings();
        $replay = new Replay($places, $trackings, $this->asSaid($changes));
        $movements = $this->format->section('movements');
        $insert = $this->sections->insert($movements);
        foreach ($file->rows($movements) as $index => $columns) {
            $line = $this->line($columns, $index, $places, $trackings);
            try {
                $replay->add($line, null === $line->reverses ? null : $this->earlier($line->reverses));
            } catch (BrokenLaw $broken) {
                throw new InvalidRoomFile("movements[{$index}]", $broken->getMessage(), $broken);
            }
            $this->sections->store($insert, $movements, $index, $columns);
            $this->countOtherwise($changes[$line->item][$line->line] ?? []);
            unset($changes[$line->item][$line->line]);
        }
        if ([] !== $changes) {
            $this->checkCounting($file, array_merge(...array_map(static fn (array $of): array => array_merge(...$of), array_values($changes))), $replay);
        }
        $this->storeBalances($replay);
    }

    /** @return array<int, string> how each thing that is counted otherwise by now was counted at first, by its number */
    public function firstTrackings(RoomFile $file): array
    {
        $first = [];
        foreach ($file->rowsOf('retrackings') as $columns) {
            $first[(int) $columns['item_id']] ??= (string) $columns['from_tracking'];
        }

        return $first;
    }

    /** @return array<int, array<int, list<array{int, array<string, int|float|string|null>}>>> with their index, by thing and line */
    private function retrackings(RoomFile $file): array
    {
        $changes = [];
        foreach ($file->rowsOf('retrackings') as $index => $columns) {
            $changes[(int) $columns['item_id']][(int) $columns['movement_id']][] = [$index, $columns];
        }

        return $changes;
    }

    /**
     * @param array<int, array<int, list<array{int, array<string, int|float|string|null>}>>> $changes
     *
     * @return array<int, array<int, list<Retracking>>>
     */
    private function asSaid(array $changes): array
    {
        $said = [];
        foreach ($changes as $item => $lines) {
            foreach ($lines as $line => $list) {
                $said[$item][$line] = array_map($this->change(...), $list);
            }
        }

        return $said;
    }

    /** @param array{int, array<string, int|float|string|null>} $change */
    private function change(array $change): Retracking
    {
        [$index, $columns] = $change;
        $row = new Row($columns);
        try {
            return Retracking::of(
                $row->one('from_tracking', Tracking::class),
                $row->one('to_tracking', Tracking::class),
                $row->int('was'),
                $row->int('becomes'),
            );
        } catch (RefusedRetracking $refused) {
            throw new InvalidRoomFile("retrackings[{$index}]", $refused->getMessage(), $refused);
        }
    }

    /** @return array<int, LoggedPlace> */
    private function places(): array
    {
        $places = [];
        foreach ($this->database->iterateAssociative('SELECT id, nature, kind, address, retired_at FROM place') as $columns) {
            $place = PlaceInLog::of(new Row($columns));
            $places[$place->id] = $place;
        }

        return $places;
    }

    /** @return array<int, Tracking> */
    private function trackings(): array
    {
        $trackings = [];
        foreach ($this->database->iterateAssociative('SELECT id, tracking FROM item') as $columns) {
            $row = new Row($columns);
            $trackings[$row->int('id')] = $row->one('tracking', Tracking::class);
        }

        return $trackings;
    }

    /**
     * @param array<string, int|float|string|null> $columns
     * @param array<int, LoggedPlace> $places
     * @param array<int, Tracking> $trackings
     */
    private function line(array $columns, int $index, array $places, array $trackings): RecordedLine
    {
        $row = new Row($columns);
        foreach (['from', 'to'] as $end) {
            if (!isset($places[$row->int($end.'_id')])) {
                throw new InvalidRoomFile("movements[{$index}].{$end}", 'There is no place of this number.');
            }
        }

        if (!isset($trackings[$row->int('item_id')])) {
            throw new InvalidRoomFile("movements[{$index}].item", 'There is no thing of this number.');
        }

        return self::recorded($row);
    }

    private function earlier(int $line): ?RecordedLine
    {
        $columns = $this->database->fetchAssociative('SELECT * FROM movement WHERE id = ?', [$line]);
        if (false === $columns) {
            return null;
        }

        return self::recorded(new Row($columns));
    }

    private static function recorded(Row $row): RecordedLine
    {
        return new RecordedLine(
            $row->int('id'),
            $row->int('item_id'),
            $row->int('quantity'),
            $row->int('from_id'),
            $row->int('to_id'),
            $row->one('reason', Reason::class),
            null !== $row->intOrNull('kit_id'),
            $row->intOrNull('reverses_id'),
        );
    }

    /** @param list<array{int, array<string, int|float|string|null>}> $changes */
    private function countOtherwise(array $changes): void
    {
        $section = $this->format->section('retrackings');
        foreach ($changes as [$index, $columns]) {
            $this->sections->store($this->sections->insert($section), $section, $index, $columns);
            $this->database->update('item', ['tracking' => $columns['to_tracking']], ['id' => $columns['item_id']]);
        }
    }

    /** @param list<array{int, array<string, int|float|string|null>}> $left changes after lines that are not there */
    private function checkCounting(RoomFile $file, array $left, Replay $replay): void
    {
        foreach ($left as [$index]) {
            throw new InvalidRoomFile("retrackings[{$index}].movement", 'There is no line of this number about this thing.');
        }
        foreach ($file->rowsOf('items') as $index => $columns) {
            if ($replay->tracking((int) $columns['id'])->value !== $columns['tracking']) {
                throw new InvalidRoomFile("items[{$index}].tracking", 'It is counted otherwise after the last of its retrackings.');
            }
        }
    }

    private function storeBalances(Replay $replay): void
    {
        $insert = $this->database->prepare('INSERT INTO balance (item_id, place_id, quantity) VALUES (?, ?, ?)');
        foreach ($replay->balances() as $item => $there) {
            foreach ($there as $place => $quantity) {
                $insert->bindValue(1, $item);
                $insert->bindValue(2, $place);
                $insert->bindValue(3, $quantity);
                $insert->executeStatement();
            }
        }
    }
}
