<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

/** Only adds columns and tables. */
final class Version20261125000009 extends WatchingMigration
{
    /** A kit is carried from its tray into a folder, and back. */
    private const LINKS = [
        'DROP TRIGGER log_reason_links',
        <<<'SQL'
            CREATE TRIGGER log_reason_links BEFORE INSERT ON movement
            WHEN NEW.reverses_id IS NULL AND NOT EXISTS (
                SELECT 1 FROM place f, place t WHERE f.id = NEW.from_id AND t.id = NEW.to_id AND CASE NEW.reason
                    WHEN 'take in' THEN f.address IN ('bought', 'given', 'made here') AND f.nature = 'outside' AND t.nature IN ('storage', 'unfiled')
                    WHEN 'pull' THEN f.nature IN ('storage', 'unfiled') AND t.nature = 'tray'
                    WHEN 'use' THEN f.nature = 'tray' AND t.address = 'used up'
                    WHEN 'return' THEN f.nature = 'tray' AND t.nature IN ('storage', 'unfiled')
                    WHEN 'move' THEN f.nature IN ('storage', 'unfiled') AND t.nature IN ('storage', 'unfiled')
                    WHEN 'cut' THEN (f.nature = 'tray' AND t.address = 'used up') OR (f.address = 'made here' AND t.nature <> 'outside')
                    WHEN 'park' THEN f.nature = 'tray' AND t.nature = 'tray'
                    WHEN 'make' THEN f.address = 'made here' AND t.nature = 'tray'
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
        return 'Kits through the year: people and dates, hours, how long a kit takes, calendars; finished pieces kept and given, prices, albums.';
    }

    public function up(Schema $schema): void
    {
        foreach ([
            "ALTER TABLE room ADD COLUMN week_minutes CLOB NOT NULL DEFAULT '[]' CHECK (json_type(week_minutes) = 'array')",
            'CREATE TABLE other_hours (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                day DATE NOT NULL,
                minutes INTEGER NOT NULL CHECK (minutes BETWEEN 0 AND 1440)
            )',
            'CREATE UNIQUE INDEX other_hours_day ON other_hours (day)',
            "CREATE TABLE contact (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                name VARCHAR(120) NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
                likes VARCHAR(200) NOT NULL DEFAULT '',
                note CLOB NOT NULL DEFAULT '',
                removed_at DATETIME DEFAULT NULL
            )",
            "CREATE TABLE occasion (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                contact_id INTEGER DEFAULT NULL REFERENCES contact (id),
                kind VARCHAR(12) NOT NULL CHECK (kind IN ('birthday', 'anniversary', 'order', 'class', 'season', 'other')),
                name VARCHAR(120) NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
                month INTEGER NOT NULL CHECK (month BETWEEN 1 AND 12),
                day INTEGER NOT NULL CHECK (day BETWEEN 1 AND 31),
                year INTEGER DEFAULT NULL CHECK (year BETWEEN 1 AND 9999),
                is_yearly BOOLEAN NOT NULL DEFAULT 1 CHECK (is_yearly OR year IS NOT NULL),
                wants VARCHAR(120) NOT NULL DEFAULT '',
                pieces INTEGER NOT NULL DEFAULT 1 CHECK (pieces BETWEEN 0 AND 10000),
                days_ahead INTEGER NOT NULL DEFAULT 0 CHECK (days_ahead BETWEEN 0 AND 366),
                lasts INTEGER NOT NULL DEFAULT 1 CHECK (lasts BETWEEN 1 AND 366),
                removed_at DATETIME DEFAULT NULL
            )",
            'CREATE INDEX occasion_contact ON occasion (contact_id)',
            'CREATE TABLE kit_occasion (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                occasion_id INTEGER NOT NULL REFERENCES occasion (id),
                day DATE NOT NULL
            )',
            'CREATE UNIQUE INDEX kit_occasion_kit ON kit_occasion (kit_id)',
            'CREATE INDEX kit_occasion_day ON kit_occasion (occasion_id, day)',
            'CREATE TABLE kit_time (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                minutes INTEGER DEFAULT NULL CHECK (minutes BETWEEN 1 AND 100000),
                drying_days INTEGER NOT NULL DEFAULT 0 CHECK (drying_days BETWEEN 0 AND 366),
                ready_from DATE DEFAULT NULL
            )',
            'CREATE UNIQUE INDEX kit_time_kit ON kit_time (kit_id)',
            "CREATE TABLE feed (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                account_id INTEGER NOT NULL REFERENCES account (id),
                name VARCHAR(60) NOT NULL CHECK (name <> ''),
                salt VARCHAR(32) NOT NULL CHECK (length(salt) = 32),
                made_at DATETIME NOT NULL,
                stopped_at DATETIME DEFAULT NULL
            )",
            'CREATE INDEX feed_account ON feed (account_id)',
            'CREATE TABLE folder (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                place_id INTEGER NOT NULL REFERENCES place (id),
                home_id INTEGER DEFAULT NULL REFERENCES place (id)
            )',
            'CREATE UNIQUE INDEX folder_place ON folder (place_id)',
            'CREATE INDEX folder_home ON folder (home_id)',
            'CREATE TABLE set_aside (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                occasion_id INTEGER NOT NULL REFERENCES occasion (id),
                item_id INTEGER NOT NULL REFERENCES item (id),
                day DATE NOT NULL
            )',
            'CREATE INDEX set_aside_day ON set_aside (occasion_id, day)',
            'CREATE INDEX set_aside_item ON set_aside (item_id)',
            "CREATE TABLE gift (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                item_id INTEGER NOT NULL REFERENCES item (id),
                contact_id INTEGER DEFAULT NULL REFERENCES contact (id),
                occasion_id INTEGER DEFAULT NULL REFERENCES occasion (id),
                movement_id INTEGER NOT NULL,
                way VARCHAR(6) NOT NULL CHECK (way IN ('given', 'sent', 'sold')),
                quantity INTEGER NOT NULL CHECK (quantity > 0),
                day DATE NOT NULL,
                occasion_day DATE DEFAULT NULL,
                cents INTEGER DEFAULT NULL CHECK (cents >= 0),
                note VARCHAR(200) NOT NULL DEFAULT ''
            )",
            'CREATE INDEX gift_item ON gift (item_id)',
            'CREATE INDEX gift_contact ON gift (contact_id)',
            'CREATE INDEX gift_occasion ON gift (occasion_id)',
            'CREATE INDEX gift_movement ON gift (movement_id)',
            "CREATE TABLE price (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                item_id INTEGER NOT NULL REFERENCES item (id),
                cents INTEGER NOT NULL CHECK (cents >= 0),
                quantity INTEGER NOT NULL CHECK (quantity > 0),
                day DATE NOT NULL,
                shop VARCHAR(120) NOT NULL DEFAULT ''
            )",
            'CREATE INDEX price_item ON price (item_id, day)',
            'CREATE TABLE album (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                name VARCHAR(120) NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
                removed_at DATETIME DEFAULT NULL
            )',
            "CREATE TABLE album_page (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                album_id INTEGER NOT NULL REFERENCES album (id),
                item_id INTEGER DEFAULT NULL REFERENCES item (id),
                kit_id INTEGER DEFAULT NULL REFERENCES kit (id),
                position INTEGER NOT NULL CHECK (position > 0),
                title VARCHAR(120) NOT NULL DEFAULT ''
            )",
            'CREATE INDEX album_page_album ON album_page (album_id, position)',
            'CREATE INDEX album_page_item ON album_page (item_id)',
            'CREATE INDEX album_page_kit ON album_page (kit_id)',
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
