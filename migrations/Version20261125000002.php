<?php

declare(strict_types=1);

namespace App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Only adds columns and tables, so that no table is rebuilt. */
final class Version20261125000002 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Floor plans, what places take, fuller records of items, labels, saved searches.';
    }

    public function up(Schema $schema): void
    {
        foreach ([...self::COLUMNS, ...self::USE, ...self::TABLES] as $sql) {
            $this->addSql($sql);
        }
    }

    private const COLUMNS = [
        "ALTER TABLE room ADD COLUMN plan CLOB NOT NULL DEFAULT '{}'",
        'ALTER TABLE unit ADD COLUMN plan_x INTEGER DEFAULT NULL',
        'ALTER TABLE unit ADD COLUMN plan_y INTEGER DEFAULT NULL',
        'ALTER TABLE unit ADD COLUMN turn INTEGER NOT NULL DEFAULT 0 CHECK (turn IN (0, 90, 180, 270))',
        'ALTER TABLE place ADD COLUMN inner_width INTEGER DEFAULT NULL CHECK (inner_width > 0)',
        'ALTER TABLE place ADD COLUMN inner_height INTEGER DEFAULT NULL CHECK (inner_height > 0)',
        'ALTER TABLE place ADD COLUMN inner_depth INTEGER DEFAULT NULL CHECK (inner_depth > 0)',
        'ALTER TABLE place ADD COLUMN cell_x INTEGER DEFAULT NULL CHECK (cell_x BETWEEN 0 AND 1000)',
        'ALTER TABLE place ADD COLUMN cell_y INTEGER DEFAULT NULL CHECK (cell_y BETWEEN 0 AND 1000)',
        'ALTER TABLE place ADD COLUMN cell_width INTEGER DEFAULT NULL CHECK (cell_width BETWEEN 1 AND 1000)',
        'ALTER TABLE place ADD COLUMN cell_height INTEGER DEFAULT NULL CHECK (cell_height BETWEEN 1 AND 1000)',
        'ALTER TABLE place ADD COLUMN most_grams INTEGER DEFAULT NULL CHECK (most_grams > 0)',
        'ALTER TABLE place ADD COLUMN room_to_grow INTEGER NOT NULL DEFAULT 20 CHECK (room_to_grow BETWEEN 0 AND 90)',
        "ALTER TABLE place ADD COLUMN says_colour VARCHAR(20) NOT NULL DEFAULT ''",
        "ALTER TABLE place ADD COLUMN also_kinds CLOB NOT NULL DEFAULT '[]'",
        "ALTER TABLE place ADD COLUMN season VARCHAR(10) NOT NULL DEFAULT ''",
        'ALTER TABLE place ADD COLUMN is_child_safe BOOLEAN NOT NULL DEFAULT 0',
        'ALTER TABLE place ADD COLUMN file_after_uses INTEGER DEFAULT NULL CHECK (file_after_uses BETWEEN 1 AND 99)',
        'ALTER TABLE place ADD COLUMN retired_at DATETIME DEFAULT NULL',
        'ALTER TABLE item ADD COLUMN width INTEGER DEFAULT NULL CHECK (width > 0)',
        'ALTER TABLE item ADD COLUMN height INTEGER DEFAULT NULL CHECK (height > 0)',
        'ALTER TABLE item ADD COLUMN depth INTEGER DEFAULT NULL CHECK (depth > 0)',
        'ALTER TABLE item ADD COLUMN grams INTEGER DEFAULT NULL CHECK (grams > 0)',
        "ALTER TABLE item ADD COLUMN collection VARCHAR(120) NOT NULL DEFAULT ''",
        "ALTER TABLE item ADD COLUMN season VARCHAR(10) NOT NULL DEFAULT ''",
        'ALTER TABLE item ADD COLUMN is_multicolour BOOLEAN NOT NULL DEFAULT 0',
        "ALTER TABLE item ADD COLUMN details CLOB NOT NULL DEFAULT '{}'",
        'ALTER TABLE item ADD COLUMN photo VARCHAR(40) DEFAULT NULL',
        'ALTER TABLE companion ADD COLUMN is_together BOOLEAN NOT NULL DEFAULT 0',
        'ALTER TABLE item ADD COLUMN used_at DATETIME DEFAULT NULL',
    ];

    /** When an item was last pulled, kept beside it, since the log is long. */
    private const USE = [
        "UPDATE item SET used_at = (SELECT max(m.at) FROM movement m WHERE m.item_id = item.id AND +m.reason = 'pull')",
        "CREATE TRIGGER item_used AFTER INSERT ON movement WHEN NEW.reason = 'pull'
            BEGIN UPDATE item SET used_at = max(coalesce(used_at, ''), NEW.at) WHERE id = NEW.item_id; END",
    ];

    private const TABLES = [
        <<<'SQL'
            CREATE TABLE label_wish (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                place_id INTEGER DEFAULT NULL REFERENCES place (id),
                item_id INTEGER DEFAULT NULL REFERENCES item (id),
                format VARCHAR(20) NOT NULL,
                reason VARCHAR(20) NOT NULL,
                at DATETIME NOT NULL,
                CHECK ((place_id IS NULL) <> (item_id IS NULL)),
                UNIQUE (place_id, format),
                UNIQUE (item_id, format)
            )
            SQL,
        <<<'SQL'
            CREATE TABLE saved_search (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                name VARCHAR(60) NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 60),
                query VARCHAR(1000) NOT NULL
            )
            SQL,
        <<<'SQL'
            CREATE TABLE label_sheet (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                name VARCHAR(60) NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 60),
                measures CLOB NOT NULL
            )
            SQL,
        'CREATE INDEX item_name ON item (name)',
        'CREATE INDEX item_themes ON item (themes)',
        "CREATE VIRTUAL TABLE finder_word USING fts5vocab(finder, 'row')",
    ];
}
