<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

/** Only adds a column and tables. */
final class Version20261125000005 extends WatchingMigration
{
    public function getDescription(): string
    {
        return 'Photos of open places, where things are seen in them, and what is put off in a round.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE place ADD COLUMN photo VARCHAR(40) DEFAULT NULL');
        $this->addSql(<<<'SQL'
            CREATE TABLE spot (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                item_id INTEGER NOT NULL REFERENCES item (id),
                place_id INTEGER NOT NULL REFERENCES place (id),
                x INTEGER NOT NULL CHECK (x >= 0),
                y INTEGER NOT NULL CHECK (y >= 0),
                width INTEGER NOT NULL CHECK (width > 0 AND x + width <= 1000),
                height INTEGER NOT NULL CHECK (height > 0 AND y + height <= 1000)
            )
            SQL);
        $this->addSql('CREATE UNIQUE INDEX spot_item ON spot (item_id)');
        $this->addSql('CREATE INDEX spot_place ON spot (place_id)');
        $this->addSql(<<<'SQL'
            CREATE TABLE put_off (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                kit_id INTEGER NOT NULL REFERENCES kit (id),
                item_id INTEGER NOT NULL REFERENCES item (id)
            )
            SQL);
        $this->addSql('CREATE UNIQUE INDEX put_off_kit ON put_off (kit_id, item_id)');
    }

    public function postUp(Schema $schema): void
    {
        $this->watch();
    }
}
