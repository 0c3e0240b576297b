<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use App\Platform\Database\Row;
use App\Room\Find\FindIndex;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;

/**
 * Reads a whole room out of its file into one that has no log yet: all of it or nothing. What stood in the empty room, such as its first
 * drawers, gives way.
 */
final readonly class ImportRoom
{
    public function __construct(
        private Connection $database,
        private EntityManagerInterface $entities,
        private RoomFormat $format,
        private ReadSections $sections,
        private ReadLog $log,
        private ReadPhotos $photos,
        private CheckRoom $check,
        private FindIndex $index,
    ) {
    }

    /** Whether nothing has moved in this room yet. */
    public function isEmpty(): bool
    {
        return false === $this->database->fetchOne('SELECT 1 FROM movement LIMIT 1');
    }

    /**
     * @param resource $handle of the file, that can be sought in
     * @param (callable(string, int): void)|null $tell is told which section is being read, and how many rows have been
     *
     * @return array<string, int> how many rows of each section there are now
     *
     * @throws InvalidRoomFile if something in it is wrong; nothing was changed then
     * @throws RoomHasLog if things have moved in this room
     */
    public function __invoke($handle, ?callable $tell = null): array
    {
        $file = new RoomFile(new JsonFile($handle), $this->format, null === $tell ? static function (): void {} : $tell(...));
        $this->entities->clear();
        $this->database->beginTransaction();
        $photos = [];
        try {
            if (!$this->isEmpty()) {
                throw RoomHasLog::already();
            }
            $this->makeRoom();
            $this->fill($file);
            $photos = $this->photos->from($file);
            $this->database->commit();

            return $file->counts();
        } catch (\Throwable $wrong) {
            if ($this->database->isTransactionActive()) {
                $this->database->rollBack();
            }
            $this->photos->throwAway($photos);
            throw $wrong;
        } finally {
            $this->entities->clear();
        }
    }

    private function makeRoom(): void
    {
        $this->database->executeStatement('PRAGMA defer_foreign_keys = ON');
        foreach (array_reverse($this->format->sections()) as $section) {
            $this->database->executeStatement("DELETE FROM \"{$section->table}\"");
        }
        foreach (['balance', 'session', 'sign_in_failure', 'finder'] as $table) {
            $this->database->executeStatement("DELETE FROM {$table}");
        }
    }

    private function fill(RoomFile $file): void
    {
        $firstTrackings = $this->log->firstTrackings($file);
        foreach ($this->format->sections() as $section) {
            match ($section->name) {
                'movements' => $this->log->from($file),
                'retrackings' => null,
                'items' => $this->sections->read(
                    $file,
                    $section,
                    static fn (array $columns): array => [...$columns, 'tracking' => $firstTrackings[(int) $columns['id']] ?? $columns['tracking']],
                ),
                'places' => $this->sections->read($file, $section, static fn (array $columns): array => [...$columns, 'retired_at' => null]),
                default => $this->sections->read($file, $section, static fn (array $columns): array => $columns),
            };
        }
        $this->sections->retirePlaces($file);
        $this->giveNumbers($file);
        $this->check->room($file);
        try {
            $this->index->rebuild();
        } catch (\DomainException|\InvalidArgumentException $unreadable) {
            throw new InvalidRoomFile('items', $unreadable->getMessage(), $unreadable);
        }
    }

    private function giveNumbers(RoomFile $file): void
    {
        foreach ($file->lastNumbers() as $name => $last) {
            $table = $this->format->section($name)->table;
            $used = Row::number($this->database->fetchOne("SELECT max(id) FROM \"{$table}\""));
            $this->database->executeStatement('DELETE FROM sqlite_sequence WHERE name = ?', [$table]);
            $this->database->insert('sqlite_sequence', ['name' => $table, 'seq' => max($used, $last)]);
        }
    }
}
