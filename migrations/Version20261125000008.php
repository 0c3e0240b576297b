<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

/** Only adds columns and tables. */
final class Version20261125000008 extends WatchingMigration
{
    public function getDescription(): string
    {
        return 'The design board: designs of kits, patterns, which piece is of a design, how far each step of making is, sketches.';
    }

    public function up(Schema $schema): void
    {
        foreach ([
            "ALTER TABLE piece ADD COLUMN part VARCHAR(40) DEFAULT NULL CHECK (part <> '')",
            "ALTER TABLE piece ADD COLUMN wish VARCHAR(6) NOT NULL DEFAULT 'this' CHECK (wish IN ('this', 'near', 'scraps'))",
            'ALTER TABLE need ADD COLUMN for_design INTEGER NOT NULL DEFAULT 0 CHECK (for_design >= 0)',
            'ALTER TABLE kit ADD COLUMN sketch VARCHAR(40) DEFAULT NULL',
            'CREATE INDEX item_colour ON item (kind, colour)',
            "CREATE TABLE pattern (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                name VARCHAR(120) NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
                document CLOB NOT NULL CHECK (json_type(document) = 'object'),
                kept_at DATETIME NOT NULL,
                removed_at DATETIME DEFAULT NULL
            )",
            "CREATE TABLE design (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                pattern_id INTEGER DEFAULT NULL REFERENCES pattern (id),
                document CLOB NOT NULL CHECK (json_type(document) = 'object'),
                revision INTEGER NOT NULL DEFAULT 1 CHECK (revision > 0)
            )",
            'CREATE UNIQUE INDEX design_kit ON design (kit_id)',
            'CREATE INDEX design_pattern ON design (pattern_id)',
            "CREATE TABLE making_step (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                step VARCHAR(40) NOT NULL CHECK (step <> ''),
                done INTEGER NOT NULL CHECK (done >= 0)
            )",
            'CREATE UNIQUE INDEX making_step_kit ON making_step (kit_id, step)',
        ] as $sql) {
            $this->addSql($sql);
        }
    }

    public function postUp(Schema $schema): void
    {
        $this->watch();
    }
}
