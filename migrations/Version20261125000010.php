<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

/** Only adds a column, tables, an index and a place outside. */
final class Version20261125000010 extends WatchingMigration
{
    /** A thing is lent, and what was borrowed is given back. */
    private const LINKS = [
        'DROP TRIGGER log_reason_links',
        <<<'SQL'
            CREATE TRIGGER log_reason_links BEFORE INSERT ON movement
            WHEN NEW.reverses_id IS NULL AND NOT EXISTS (
                SELECT 1 FROM place f, place t WHERE f.id = NEW.from_id AND t.id = NEW.to_id AND CASE NEW.reason
                    WHEN 'take in' THEN f.address IN ('bought', 'given', 'made here', 'borrowed') AND f.nature = 'outside'
                        AND t.nature IN ('storage', 'unfiled')
                    WHEN 'pull' THEN f.nature IN ('storage', 'unfiled') AND t.nature = 'tray' AND t.kind <> 'person'
                    WHEN 'use' THEN f.nature = 'tray' AND f.kind <> 'person' AND t.address = 'used up'
                    WHEN 'return' THEN f.nature = 'tray' AND t.nature IN ('storage', 'unfiled')
                    WHEN 'move' THEN f.nature IN ('storage', 'unfiled') AND t.nature IN ('storage', 'unfiled')
                    WHEN 'cut' THEN (f.nature = 'tray' AND f.kind <> 'person' AND t.address = 'used up')
                        OR (f.address = 'made here' AND t.nature <> 'outside')
                    WHEN 'park' THEN f.nature = 'tray' AND f.kind <> 'person' AND t.nature = 'tray' AND t.kind <> 'person'
                    WHEN 'lend' THEN f.nature IN ('storage', 'unfiled') AND t.nature = 'tray' AND t.kind = 'person'
                    WHEN 'give back' THEN f.nature IN ('storage', 'unfiled') AND t.address = 'borrowed' AND t.nature = 'outside'
                    WHEN 'make' THEN f.address = 'made here' AND t.nature = 'tray' AND t.kind <> 'person'
                    WHEN 'lose' THEN f.nature <> 'outside' AND t.address = 'lost'
                    WHEN 'found' THEN f.address = 'lost' AND t.nature IN ('storage', 'unfiled')
                    WHEN 'discard' THEN f.nature <> 'outside' AND t.address IN ('used up', 'recycled', 'given away', 'sold')
                    WHEN 'count' THEN (f.address = 'counted' AND t.nature IN ('storage', 'unfiled')) OR (f.nature IN ('storage', 'unfiled')
                        AND t.address = 'counted')
                    ELSE 0 END)
            BEGIN SELECT RAISE(ABORT, 'law 1: a reason links certain places only'); END
            SQL,
    ];

    public function getDescription(): string
    {
        return 'Things lent and borrowed, classes with their bags, pads that lie flat, helpers who are children.';
    }

    public function up(Schema $schema): void
    {
        foreach ([
            "INSERT INTO place (nature, kind, address, name) VALUES ('outside', 'outside', 'borrowed', 'borrowed')",
            'ALTER TABLE account ADD COLUMN is_child BOOLEAN NOT NULL DEFAULT 0',
            "CREATE TABLE loan (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                item_id INTEGER NOT NULL REFERENCES item (id),
                contact_id INTEGER NOT NULL REFERENCES contact (id),
                place_id INTEGER DEFAULT NULL REFERENCES place (id),
                way VARCHAR(8) NOT NULL CHECK (way IN ('lent', 'borrowed')),
                quantity INTEGER NOT NULL CHECK (quantity > 0),
                ended INTEGER NOT NULL DEFAULT 0 CHECK (ended BETWEEN 0 AND quantity),
                since DATE NOT NULL,
                until DATE DEFAULT NULL,
                note VARCHAR(200) NOT NULL DEFAULT '',
                CHECK ((way = 'lent') = (place_id IS NOT NULL))
            )",
            'CREATE INDEX loan_item ON loan (item_id)',
            'CREATE INDEX loan_contact ON loan (contact_id)',
            'CREATE INDEX loan_place ON loan (place_id)',
            'CREATE TABLE workshop (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                persons INTEGER NOT NULL CHECK (persons BETWEEN 1 AND 200),
                spares INTEGER NOT NULL DEFAULT 0 CHECK (spares BETWEEN 0 AND 20),
                makes INTEGER NOT NULL DEFAULT 1 CHECK (makes BETWEEN 1 AND 20),
                bring CLOB NOT NULL,
                names CLOB NOT NULL,
                also CLOB NOT NULL
            )',
            'CREATE UNIQUE INDEX workshop_kit ON workshop (kit_id)',
            'CREATE TABLE share (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                workshop_id INTEGER NOT NULL REFERENCES workshop (id),
                need_id INTEGER DEFAULT NULL REFERENCES need (id) ON DELETE CASCADE,
                piece_id INTEGER DEFAULT NULL REFERENCES piece (id) ON DELETE CASCADE,
                each INTEGER NOT NULL CHECK (each BETWEEN 1 AND 10000000),
                among INTEGER NOT NULL DEFAULT 1 CHECK (among BETWEEN 1 AND 200),
                CHECK ((need_id IS NULL) <> (piece_id IS NULL))
            )',
            'CREATE INDEX share_workshop ON share (workshop_id)',
            'CREATE UNIQUE INDEX share_need ON share (need_id)',
            'CREATE UNIQUE INDEX share_piece ON share (piece_id)',
            'CREATE TABLE bag (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                workshop_id INTEGER NOT NULL REFERENCES workshop (id),
                number INTEGER NOT NULL CHECK (number BETWEEN 1 AND 220),
                packed_at DATETIME NOT NULL
            )',
            'CREATE UNIQUE INDEX bag_number ON bag (workshop_id, number)',
            'CREATE TABLE rest (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                item_id INTEGER NOT NULL REFERENCES item (id),
                until DATETIME NOT NULL
            )',
            'CREATE UNIQUE INDEX rest_item ON rest (item_id)',
            'CREATE INDEX item_idle ON item (kind, used_at, since)',
            ...self::LINKS,
        ] as $sql) {
            $this->addSql($sql);
        }
    }

    public function postUp(Schema $schema): void
    {
        $this->watch();
    }
}
