<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

/** Only adds columns and tables. */
final class Version20261125000007 extends WatchingMigration
{
    private const SIDES = 'width INTEGER NOT NULL CHECK (width > 0), height INTEGER NOT NULL CHECK (height > 0)';

    /** A cut takes a sheet from the tray, and what it leaves comes in. */
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
        return 'The cutting table: pieces of a kit, the sheets that they are cut from, and what each cut left, to the square tick.';
    }

    public function up(Schema $schema): void
    {
        foreach ([
            'longest_cut INTEGER DEFAULT 97536 CHECK (longest_cut > 0)',
            'smallest_strip INTEGER NOT NULL DEFAULT 1016 CHECK (smallest_strip >= 0)',
            'sheets_together INTEGER NOT NULL DEFAULT 3 CHECK (sheets_together BETWEEN 1 AND 500)',
            'keep_short INTEGER NOT NULL DEFAULT 8128 CHECK (keep_short > 0)',
            'keep_long INTEGER NOT NULL DEFAULT 16256 CHECK (keep_long >= keep_short)',
            "offcuts VARCHAR(10) NOT NULL DEFAULT 'colour' CHECK (offcuts IN ('colour', 'maker', 'collection', 'parent'))",
            'cents_per_cut INTEGER DEFAULT NULL CHECK (cents_per_cut >= 0)',
        ] as $column) {
            $this->addSql('ALTER TABLE room ADD COLUMN '.$column);
        }
        $this->addSql('ALTER TABLE need ADD COLUMN to_cut INTEGER NOT NULL DEFAULT 0 CHECK (to_cut >= 0)');
        foreach ([...$this->table(), ...$this->lawFive(), ...self::LINKS] as $sql) {
            $this->addSql($sql);
        }
    }

    public function postUp(Schema $schema): void
    {
        $this->watch();
    }

    /** @return list<string> */
    private function table(): array
    {
        $sides = self::SIDES;

        return [
            "CREATE TABLE piece (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                paper_id INTEGER NOT NULL REFERENCES item (id),
                item_id INTEGER DEFAULT NULL REFERENCES item (id),
                name VARCHAR(60) NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
                {$sides},
                quantity INTEGER NOT NULL CHECK (quantity BETWEEN 1 AND 1000),
                may_turn BOOLEAN NOT NULL DEFAULT 1,
                creases CLOB NOT NULL DEFAULT '[]',
                scored INTEGER NOT NULL DEFAULT 0 CHECK (scored >= 0)
            )",
            'CREATE INDEX piece_kit ON piece (kit_id)',
            'CREATE INDEX piece_paper ON piece (paper_id)',
            'CREATE INDEX piece_item ON piece (item_id)',
            'CREATE TABLE sheet_in_work (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                item_id INTEGER NOT NULL REFERENCES item (id),
                tree CLOB NOT NULL,
                is_logged BOOLEAN NOT NULL DEFAULT 0
            )',
            'CREATE INDEX sheet_in_work_kit ON sheet_in_work (kit_id)',
            'CREATE INDEX sheet_in_work_item ON sheet_in_work (item_id)',
            'CREATE TABLE cut_plan (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                least INTEGER NOT NULL DEFAULT 0 CHECK (least >= 0),
                effort INTEGER NOT NULL DEFAULT 0 CHECK (effort >= 0),
                is_ahead BOOLEAN NOT NULL DEFAULT 0,
                setting INTEGER DEFAULT NULL CHECK (setting > 0)
            )',
            'CREATE UNIQUE INDEX cut_plan_kit ON cut_plan (kit_id)',
        ];
    }

    /**
     * What a cut left is written first, then the cut itself, which is refused unless its area is kept; afterwards neither is changed.
     *
     * @return list<string>
     */
    private function lawFive(): array
    {
        $sides = self::SIDES;
        $kept = [];
        foreach (['cut', 'cut_part'] as $table) {
            foreach (['UPDATE', 'DELETE'] as $what) {
                $kept[] = \sprintf(
                    "CREATE TRIGGER %1\$s_is_kept_%2\$s BEFORE %3\$s ON %1\$s BEGIN SELECT RAISE(ABORT, 'law 2: a cut is never changed'); END",
                    $table,
                    strtolower($what),
                    $what,
                );
            }
        }

        return [
            "CREATE TABLE cut (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                movement_id INTEGER NOT NULL REFERENCES movement (id),
                {$sides},
                sheets INTEGER NOT NULL CHECK (sheets > 0)
            )",
            'CREATE UNIQUE INDEX cut_movement ON cut (movement_id)',
            "CREATE TABLE cut_part (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                cut_id INTEGER NOT NULL REFERENCES cut (movement_id) DEFERRABLE INITIALLY DEFERRED,
                movement_id INTEGER DEFAULT NULL REFERENCES movement (id),
                fate VARCHAR(6) NOT NULL CHECK (fate IN ('piece', 'offcut', 'waste')),
                {$sides},
                quantity INTEGER NOT NULL CHECK (quantity > 0),
                CHECK ((fate = 'waste') = (movement_id IS NULL))
            )",
            'CREATE INDEX cut_part_cut ON cut_part (cut_id)',
            'CREATE INDEX cut_part_movement ON cut_part (movement_id)',
            <<<'SQL'
                CREATE TRIGGER cut_conserves_area BEFORE INSERT ON cut
                WHEN NEW.width * NEW.height * NEW.sheets
                    <> (SELECT coalesce(sum(width * height * quantity), 0) FROM cut_part WHERE cut_id = NEW.movement_id)
                BEGIN SELECT RAISE(ABORT, 'law 5: a cut conserves area'); END
                SQL,
            <<<'SQL'
                CREATE TRIGGER cut_is_of_its_sheets BEFORE INSERT ON cut
                WHEN NOT EXISTS (SELECT 1 FROM movement m WHERE m.id = NEW.movement_id AND m.reason = 'cut' AND m.quantity = NEW.sheets)
                BEGIN SELECT RAISE(ABORT, 'law 5: a cut takes as many sheets as leave the tray'); END
                SQL,
            <<<'SQL'
                CREATE TRIGGER cut_part_is_of_a_new_cut BEFORE INSERT ON cut_part
                WHEN EXISTS (SELECT 1 FROM cut WHERE movement_id = NEW.cut_id)
                BEGIN SELECT RAISE(ABORT, 'law 5: what a cut left is written with it'); END
                SQL,
            <<<'SQL'
                CREATE TRIGGER cut_part_is_what_came_in BEFORE INSERT ON cut_part
                WHEN NEW.movement_id IS NOT NULL AND NOT EXISTS (
                    SELECT 1 FROM movement m WHERE m.id = NEW.movement_id AND m.reason = 'cut' AND m.quantity = NEW.quantity)
                BEGIN SELECT RAISE(ABORT, 'law 5: as many come in as were cut'); END
                SQL,
            ...$kept,
        ];
    }
}
