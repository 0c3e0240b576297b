<?php

declare(strict_types=1);

namespace App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125000001 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The room, its catalogue, kits, and the log with its laws.';
    }

    public function up(Schema $schema): void
    {
        foreach ([...self::TABLES, ...self::INDEXES, ...self::LAWS, ...self::OUTSIDE] as $sql) {
            $this->addSql($sql);
        }
    }

    private const TABLES = [
        <<<'SQL'
            CREATE TABLE room (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                name VARCHAR(120) NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
                measure VARCHAR(2) NOT NULL CHECK (measure IN ('in', 'mm')),
                time_zone VARCHAR(64) NOT NULL
            )
            SQL,
        <<<'SQL'
            CREATE TABLE account (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                login VARCHAR(60) NOT NULL COLLATE NOCASE UNIQUE CHECK (length(login) BETWEEN 1 AND 60),
                name VARCHAR(120) NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
                password VARCHAR(255) NOT NULL,
                role VARCHAR(10) NOT NULL CHECK (role IN ('owner', 'helper'))
            )
            SQL,
        <<<'SQL'
            CREATE TABLE unit (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                room_id INTEGER NOT NULL REFERENCES room (id),
                letters VARCHAR(3) NOT NULL UNIQUE CHECK (length(letters) BETWEEN 1 AND 3),
                name VARCHAR(120) NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
                template VARCHAR(20) NOT NULL,
                wall VARCHAR(60) NOT NULL,
                walk INTEGER NOT NULL CHECK (walk >= 0),
                width INTEGER NOT NULL CHECK (width > 0),
                height INTEGER NOT NULL CHECK (height > 0),
                depth INTEGER NOT NULL CHECK (depth > 0),
                above_floor INTEGER NOT NULL CHECK (above_floor >= 0),
                caution VARCHAR(300) NOT NULL DEFAULT ''
            )
            SQL,
        <<<'SQL'
            CREATE TABLE place (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                unit_id INTEGER DEFAULT NULL REFERENCES unit (id),
                parent_id INTEGER DEFAULT NULL REFERENCES place (id),
                nature VARCHAR(10) NOT NULL CHECK (nature IN ('storage', 'tray', 'unfiled', 'outside')),
                kind VARCHAR(20) NOT NULL,
                address VARCHAR(24) NOT NULL UNIQUE CHECK (length(address) BETWEEN 1 AND 24),
                name VARCHAR(120) NOT NULL,
                front_x INTEGER DEFAULT NULL CHECK (front_x >= 0),
                front_y INTEGER DEFAULT NULL CHECK (front_y >= 0),
                front_width INTEGER DEFAULT NULL CHECK (front_width > 0),
                front_height INTEGER DEFAULT NULL CHECK (front_height > 0),
                layer INTEGER NOT NULL DEFAULT 0 CHECK (layer >= 0),
                scheme VARCHAR(60) NOT NULL DEFAULT 'name',
                says_kind VARCHAR(20) DEFAULT NULL,
                says_maker VARCHAR(120) NOT NULL DEFAULT '',
                says_theme VARCHAR(120) NOT NULL DEFAULT '',
                CHECK ((nature = 'storage') = (unit_id IS NOT NULL)),
                CHECK (parent_id IS NULL OR parent_id <> id),
                CHECK ((front_x IS NULL) = (front_y IS NULL) AND (front_x IS NULL) = (front_width IS NULL) AND (front_x IS NULL) = (front_height IS NULL))
            )
            SQL,
        <<<'SQL'
            CREATE TABLE item (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                home_id INTEGER DEFAULT NULL REFERENCES place (id),
                name VARCHAR(200) NOT NULL CHECK (length(name) BETWEEN 1 AND 200),
                maker VARCHAR(120) NOT NULL DEFAULT '',
                kind VARCHAR(20) NOT NULL,
                tracking VARCHAR(10) NOT NULL CHECK (tracking IN ('one', 'count', 'length', 'level')),
                themes CLOB NOT NULL,
                colour VARCHAR(7) DEFAULT NULL CHECK (colour GLOB '#[0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f][0-9a-f]'),
                colour_name VARCHAR(60) NOT NULL DEFAULT '',
                sentiments CLOB NOT NULL DEFAULT '',
                note CLOB NOT NULL DEFAULT '',
                hazards CLOB NOT NULL
            )
            SQL,
        <<<'SQL'
            CREATE TABLE companion (
                item_id INTEGER NOT NULL REFERENCES item (id),
                other_id INTEGER NOT NULL REFERENCES item (id),
                PRIMARY KEY (item_id, other_id),
                CHECK (item_id < other_id)
            )
            SQL,
        <<<'SQL'
            CREATE TABLE kit (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                tray_id INTEGER DEFAULT NULL REFERENCES place (id),
                name VARCHAR(120) NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
                makes VARCHAR(200) NOT NULL DEFAULT '',
                due_on DATE DEFAULT NULL,
                for_whom VARCHAR(120) NOT NULL DEFAULT '',
                occasion VARCHAR(120) NOT NULL DEFAULT '',
                note CLOB NOT NULL DEFAULT '',
                stage VARCHAR(10) NOT NULL CHECK (stage IN ('planned', 'pulling', 'making', 'returning', 'closed')),
                created_at DATETIME NOT NULL,
                out_since DATETIME DEFAULT NULL,
                closed_at DATETIME DEFAULT NULL,
                CHECK ((stage IN ('planned', 'closed')) = (tray_id IS NULL))
            )
            SQL,
        <<<'SQL'
            CREATE TABLE need (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                item_id INTEGER NOT NULL REFERENCES item (id),
                instead_of_id INTEGER DEFAULT NULL REFERENCES need (id) ON DELETE SET NULL,
                quantity INTEGER NOT NULL CHECK (quantity BETWEEN 1 AND 1000000000),
                taken INTEGER NOT NULL DEFAULT 0 CHECK (taken >= 0),
                state VARCHAR(10) NOT NULL CHECK (state IN ('open', 'taken', 'fewer', 'not here', 'replaced')),
                UNIQUE (kit_id, item_id)
            )
            SQL,
        <<<'SQL'
            CREATE TABLE movement (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                item_id INTEGER NOT NULL REFERENCES item (id),
                from_id INTEGER NOT NULL REFERENCES place (id),
                to_id INTEGER NOT NULL REFERENCES place (id),
                kit_id INTEGER DEFAULT NULL REFERENCES kit (id),
                account_id INTEGER NOT NULL REFERENCES account (id),
                reverses_id INTEGER DEFAULT NULL UNIQUE REFERENCES movement (id),
                quantity INTEGER NOT NULL CHECK (quantity BETWEEN 1 AND 1000000000),
                at DATETIME NOT NULL,
                reason VARCHAR(10) NOT NULL,
                note VARCHAR(300) NOT NULL DEFAULT '',
                request_id VARCHAR(36) NOT NULL,
                CHECK (from_id <> to_id),
                CHECK ((reason = 'reverse') = (reverses_id IS NOT NULL))
            )
            SQL,
        <<<'SQL'
            CREATE TABLE balance (
                item_id INTEGER NOT NULL REFERENCES item (id),
                place_id INTEGER NOT NULL REFERENCES place (id),
                quantity INTEGER NOT NULL CHECK (quantity <> 0),
                PRIMARY KEY (item_id, place_id)
            ) WITHOUT ROWID
            SQL,
        <<<'SQL'
            CREATE TABLE write_request (
                id VARCHAR(36) PRIMARY KEY NOT NULL CHECK (length(id) = 36),
                account_id INTEGER DEFAULT NULL REFERENCES account (id),
                at DATETIME NOT NULL,
                outcome CLOB NOT NULL,
                said CLOB NOT NULL
            ) WITHOUT ROWID
            SQL,
        <<<'SQL'
            CREATE TABLE sign_in_failure (
                subject VARCHAR(200) PRIMARY KEY NOT NULL,
                failures INTEGER NOT NULL,
                since INTEGER NOT NULL
            ) WITHOUT ROWID
            SQL,
        "CREATE VIRTUAL TABLE finder USING fts5(name, maker, words, address, tokenize = 'unicode61 remove_diacritics 2', prefix = '1 2 3')",
    ];

    private const INDEXES = [
        'CREATE INDEX unit_room ON unit (room_id)',
        'CREATE INDEX place_unit ON place (unit_id)',
        'CREATE INDEX place_parent ON place (parent_id)',
        'CREATE INDEX item_home ON item (home_id)',
        'CREATE INDEX companion_other ON companion (other_id)',
        'CREATE UNIQUE INDEX kit_tray ON kit (tray_id)',
        'CREATE INDEX kit_stage ON kit (stage)',
        'CREATE INDEX need_item ON need (item_id)',
        'CREATE INDEX need_instead_of ON need (instead_of_id)',
        'CREATE INDEX movement_item ON movement (item_id, id)',
        'CREATE INDEX movement_from ON movement (from_id, id)',
        'CREATE INDEX movement_to ON movement (to_id, id)',
        'CREATE INDEX movement_kit ON movement (kit_id, id)',
        'CREATE INDEX movement_account ON movement (account_id, id)',
        'CREATE INDEX movement_reason ON movement (reason, id)',
        'CREATE INDEX movement_at ON movement (at, id)',
        'CREATE INDEX movement_request ON movement (request_id)',
        'CREATE INDEX balance_place ON balance (place_id, item_id, quantity)',
    ];

    private const LAWS = [
        "CREATE TRIGGER log_is_never_changed BEFORE UPDATE ON movement BEGIN SELECT RAISE(ABORT, 'law 2: a movement is never changed'); END",
        "CREATE TRIGGER log_is_never_deleted BEFORE DELETE ON movement BEGIN SELECT RAISE(ABORT, 'law 2: a movement is never deleted'); END",
        <<<'SQL'
            CREATE TRIGGER log_is_only_added BEFORE INSERT ON movement
            WHEN EXISTS (SELECT 1 FROM movement WHERE id = NEW.id)
            BEGIN SELECT RAISE(ABORT, 'law 2: a movement is never replaced'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER log_touches_the_room BEFORE INSERT ON movement
            WHEN (SELECT count(*) FROM place WHERE id IN (NEW.from_id, NEW.to_id) AND nature <> 'outside') = 0
            BEGIN SELECT RAISE(ABORT, 'law 1: a movement touches an inside place'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER log_moves_one_as_one BEFORE INSERT ON movement
            WHEN NEW.quantity <> 1 AND (SELECT tracking FROM item WHERE id = NEW.item_id) = 'one'
            BEGIN SELECT RAISE(ABORT, 'law 4: a single thing moves as one'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER log_reversal_mirrors BEFORE INSERT ON movement
            WHEN NEW.reverses_id IS NOT NULL AND NOT EXISTS (
                SELECT 1 FROM movement m WHERE m.id = NEW.reverses_id AND m.reverses_id IS NULL AND m.item_id = NEW.item_id
                AND m.quantity = NEW.quantity AND m.from_id = NEW.to_id AND m.to_id = NEW.from_id)
            BEGIN SELECT RAISE(ABORT, 'law 2: a reversal mirrors what it reverses'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER balance_added BEFORE INSERT ON balance
            WHEN NEW.quantity < 0 AND (SELECT nature FROM place WHERE id = NEW.place_id) <> 'outside'
            BEGIN SELECT RAISE(ABORT, 'law 4: no inside balance is negative'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER balance_changed BEFORE UPDATE ON balance
            WHEN NEW.quantity < 0 AND (SELECT nature FROM place WHERE id = NEW.place_id) <> 'outside'
            BEGIN SELECT RAISE(ABORT, 'law 4: no inside balance is negative'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER balance_of_one_added AFTER INSERT ON balance
            WHEN (SELECT tracking FROM item WHERE id = NEW.item_id) = 'one' AND (
                SELECT sum(b.quantity) FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = NEW.item_id AND p.nature <> 'outside') > 1
            BEGIN SELECT RAISE(ABORT, 'law 4: a single thing is in one place'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER balance_of_one_changed AFTER UPDATE ON balance
            WHEN (SELECT tracking FROM item WHERE id = NEW.item_id) = 'one' AND (
                SELECT sum(b.quantity) FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = NEW.item_id AND p.nature <> 'outside') > 1
            BEGIN SELECT RAISE(ABORT, 'law 4: a single thing is in one place'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER kit_closes_empty BEFORE UPDATE OF stage, tray_id ON kit
            WHEN OLD.tray_id IS NOT NULL AND NEW.tray_id IS NOT OLD.tray_id AND EXISTS (SELECT 1 FROM balance WHERE place_id = OLD.tray_id)
            BEGIN SELECT RAISE(ABORT, 'law 6: a kit leaves its tray only when the tray is empty'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER tracking_is_kept BEFORE UPDATE OF tracking ON item
            WHEN NEW.tracking <> OLD.tracking AND EXISTS (SELECT 1 FROM movement WHERE item_id = OLD.id)
            BEGIN SELECT RAISE(ABORT, 'an item that has moved keeps its tracking'); END
            SQL,
        <<<'SQL'
            CREATE TRIGGER nature_is_kept BEFORE UPDATE OF nature ON place
            WHEN NEW.nature <> OLD.nature
            BEGIN SELECT RAISE(ABORT, 'a place keeps its nature'); END
            SQL,
    ];

    private const OUTSIDE = [
        <<<'SQL'
            INSERT INTO place (nature, kind, address, name) VALUES
            ('outside', 'outside', 'bought', 'bought'), ('outside', 'outside', 'given', 'given'), ('outside', 'outside', 'made here', 'made here'),
            ('outside', 'outside', 'used up', 'used up'), ('outside', 'outside', 'recycled', 'recycled'), ('outside', 'outside', 'given away', 'given away'),
            ('outside', 'outside', 'lost', 'lost'), ('outside', 'outside', 'sold', 'sold'), ('unfiled', 'not filed', 'not filed', 'not filed')
            SQL,
    ];
}
