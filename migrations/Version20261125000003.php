<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Database\Row;
use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Words\SizeWords;

/** Only adds columns, tables and triggers, so that no table is rebuilt. */
final class Version20261125000003 extends WatchingMigration
{
    public function getDescription(): string
    {
        return 'What a step changed, so that it can be undone; places out of use; reasons and the places they link; sessions; counting.';
    }

    public function up(Schema $schema): void
    {
        foreach ([...self::COLUMNS, ...self::TABLES, ...self::LAWS] as $sql) {
            $this->addSql($sql);
        }
    }

    public function postUp(Schema $schema): void
    {
        $this->watch();
        $this->indexColoursAndSizes();
    }

    private const COLUMNS = [
        'ALTER TABLE item ADD COLUMN removed_at DATETIME DEFAULT NULL',
        'ALTER TABLE item ADD COLUMN since DATETIME DEFAULT NULL',
        'ALTER TABLE kit ADD COLUMN removed_at DATETIME DEFAULT NULL',
        'ALTER TABLE account ADD COLUMN left_at DATETIME DEFAULT NULL',
        'ALTER TABLE account ADD COLUMN sign_ins INTEGER NOT NULL DEFAULT 0',
        'ALTER TABLE write_request ADD COLUMN is_undoable BOOLEAN NOT NULL DEFAULT 0',
        'ALTER TABLE write_request ADD COLUMN undone_by VARCHAR(36) DEFAULT NULL',
        'UPDATE write_request SET is_undoable = 1 WHERE EXISTS (SELECT 1 FROM movement m WHERE m.request_id = write_request.id AND m.reverses_id IS NULL)',
        'UPDATE item SET since = (SELECT min(m.at) FROM movement m WHERE m.item_id = item.id)',
        "UPDATE item SET used_at = (SELECT max(m.at) FROM movement m WHERE m.item_id = item.id AND +m.reason = 'pull' AND NOT EXISTS (SELECT 1
            FROM movement r WHERE r.reverses_id = m.id))",
    ];

    private const TABLES = [
        'CREATE TABLE current_step (request_id VARCHAR(36) PRIMARY KEY NOT NULL) WITHOUT ROWID',
        <<<'SQL'
            CREATE TABLE step_change (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                request_id VARCHAR(36) NOT NULL,
                subject VARCHAR(20) NOT NULL,
                row_id INTEGER NOT NULL,
                what VARCHAR(10) NOT NULL CHECK (what IN ('insert', 'update', 'delete')),
                was CLOB DEFAULT NULL,
                became CLOB DEFAULT NULL
            )
            SQL,
        'CREATE INDEX step_change_request ON step_change (request_id)',
        <<<'SQL'
            CREATE TABLE retracking (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                item_id INTEGER NOT NULL REFERENCES item (id),
                movement_id INTEGER NOT NULL REFERENCES movement (id),
                from_tracking VARCHAR(10) NOT NULL CHECK (from_tracking IN ('one', 'count', 'length', 'level')),
                to_tracking VARCHAR(10) NOT NULL CHECK (to_tracking IN ('one', 'count', 'length', 'level')),
                was INTEGER NOT NULL CHECK (was > 0),
                becomes INTEGER NOT NULL CHECK (becomes > 0)
            )
            SQL,
        'CREATE INDEX retracking_item ON retracking (item_id, movement_id)',
        <<<'SQL'
            CREATE TABLE session (
                id VARCHAR(128) PRIMARY KEY NOT NULL,
                data CLOB NOT NULL,
                ends_at INTEGER NOT NULL
            ) WITHOUT ROWID
            SQL,
        'CREATE INDEX session_end ON session (ends_at)',
        "INSERT INTO place (nature, kind, address, name) VALUES ('outside', 'outside', 'counted', 'counted')",
    ];

    private const LAWS = [
        // A use is a pull that was not undone: kept beside the item, since the log is long.
        'DROP TRIGGER item_used',
        "CREATE TRIGGER item_used AFTER INSERT ON movement WHEN NEW.reason = 'pull'
            BEGIN UPDATE item SET used_at = max(coalesce(used_at, ''), NEW.at) WHERE id = NEW.item_id; END",
        <<<'SQL'
            CREATE TRIGGER item_not_used AFTER INSERT ON movement
            WHEN NEW.reverses_id IS NOT NULL AND (SELECT reason FROM movement WHERE id = NEW.reverses_id) = 'pull'
            BEGIN
                UPDATE item SET used_at = (SELECT max(m.at) FROM movement m WHERE m.item_id = NEW.item_id AND +m.reason = 'pull'
                    AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)) WHERE id = NEW.item_id;
            END
            SQL,
        'CREATE TRIGGER item_known AFTER INSERT ON movement BEGIN UPDATE item SET since = NEW.at WHERE id = NEW.item_id AND since IS NULL; END',
        <<<'SQL'
            CREATE VIEW item_use AS
            SELECT m.item_id, m.kit_id, min(m.at) AS at FROM movement m
            WHERE +m.reason = 'pull' AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id) GROUP BY m.item_id, m.kit_id
            SQL,
        <<<'SQL'
            CREATE TRIGGER log_leaves_retired_places BEFORE INSERT ON movement
            WHEN EXISTS (SELECT 1 FROM place WHERE id IN (NEW.from_id, NEW.to_id) AND retired_at IS NOT NULL)
            BEGIN SELECT RAISE(ABORT, 'law 1: nothing moves into or out of a place that is no longer in use'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER log_reason_links BEFORE INSERT ON movement
            WHEN NEW.reverses_id IS NULL AND NOT EXISTS (
                SELECT 1 FROM place f, place t WHERE f.id = NEW.from_id AND t.id = NEW.to_id AND CASE NEW.reason
                    WHEN 'take in' THEN f.address IN ('bought', 'given', 'made here') AND f.nature = 'outside' AND t.nature IN ('storage', 'unfiled')
                    WHEN 'pull' THEN f.nature IN ('storage', 'unfiled') AND t.nature = 'tray'
                    WHEN 'use' THEN f.nature = 'tray' AND t.address = 'used up'
                    WHEN 'return' THEN f.nature = 'tray' AND t.nature IN ('storage', 'unfiled')
                    WHEN 'move' THEN f.nature IN ('storage', 'unfiled') AND t.nature IN ('storage', 'unfiled')
                    WHEN 'make' THEN f.address = 'made here' AND t.nature = 'tray'
                    WHEN 'lose' THEN f.nature <> 'outside' AND t.address = 'lost'
                    WHEN 'found' THEN f.address = 'lost' AND t.nature IN ('storage', 'unfiled')
                    WHEN 'discard' THEN f.nature <> 'outside' AND t.address IN ('used up', 'recycled', 'given away', 'sold')
                    WHEN 'count' THEN (f.address = 'counted' AND t.nature IN ('storage', 'unfiled')) OR (f.nature IN ('storage', 'unfiled')
                        AND t.address = 'counted')
                    ELSE 0 END)
            BEGIN SELECT RAISE(ABORT, 'law 1: a reason links certain places only'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER place_retires_empty BEFORE UPDATE OF retired_at ON place
            WHEN NEW.retired_at IS NOT NULL AND OLD.retired_at IS NULL AND (EXISTS (SELECT 1 FROM balance WHERE place_id = OLD.id)
                OR EXISTS (SELECT 1 FROM item WHERE home_id = OLD.id))
            BEGIN SELECT RAISE(ABORT, 'a place is taken out of use empty'); END
            SQL,
        'DROP TRIGGER tracking_is_kept',
        <<<'SQL'
            CREATE TRIGGER tracking_is_kept BEFORE UPDATE OF tracking ON item
            WHEN NEW.tracking <> OLD.tracking AND EXISTS (SELECT 1 FROM movement WHERE item_id = OLD.id) AND NOT EXISTS (
                SELECT 1 FROM retracking r WHERE r.item_id = OLD.id AND r.from_tracking = OLD.tracking AND r.to_tracking = NEW.tracking
                AND r.movement_id = (SELECT max(id) FROM movement WHERE item_id = OLD.id))
            BEGIN SELECT RAISE(ABORT, 'an item that has moved keeps its tracking, unless it is said how the one becomes the other'); END
            SQL,
    ];

    /** Colours are found by their words, sizes however they are written: both stand in the index from now on. */
    private function indexColoursAndSizes(): void
    {
        $rows = $this->connection->fetchAllAssociative('SELECT i.id, i.name, i.colour, i.note, f.words FROM item i JOIN finder f ON f.rowid = 2 * i.id');
        foreach (Row::each($rows, static fn (Row $row): Row => $row) as $row) {
            $hex = $row->textOrNull('colour');
            $colour = null === $hex ? '' : ColourWords::wordsFor(Srgb::ofHex($hex));
            $more = trim($colour.' '.SizeWords::in($row->text('name').' '.$row->text('note')));
            if ('' !== $more) {
                $words = $row->text('words').' '.$more;
                $this->connection->executeStatement('UPDATE finder SET words = ? WHERE rowid = ?', [$words, 2 * $row->int('id')]);
            }
        }
    }
}
