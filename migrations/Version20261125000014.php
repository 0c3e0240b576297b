<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

/** Only adds a table and indexes. */
final class Version20261125000014 extends WatchingMigration
{
    public function getDescription(): string
    {
        return 'Rounds that one person hands over to another; indexes by which the filters are counted and colours are named.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("CREATE TABLE handover (
            id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
            kit_id INTEGER DEFAULT NULL REFERENCES kit (id),
            errand_id INTEGER DEFAULT NULL REFERENCES errand (id),
            giver_id INTEGER NOT NULL REFERENCES account (id),
            taker_id INTEGER NOT NULL REFERENCES account (id),
            note VARCHAR(200) NOT NULL DEFAULT '',
            at DATETIME NOT NULL,
            taken_at DATETIME DEFAULT NULL,
            dropped_at DATETIME DEFAULT NULL,
            CHECK ((kit_id IS NULL) <> (errand_id IS NULL)),
            CHECK (taken_at IS NULL OR dropped_at IS NULL)
        )");
        $this->addSql('CREATE INDEX handover_kit ON handover (kit_id)');
        $this->addSql('CREATE INDEX handover_errand ON handover (errand_id)');
        $this->addSql('CREATE INDEX handover_giver ON handover (giver_id)');
        $this->addSql('CREATE INDEX handover_taker ON handover (taker_id, taken_at, dropped_at)');
        $this->addSql('CREATE INDEX item_facet ON item (kind, themes, since, used_at, removed_at)');
        $this->addSql('CREATE INDEX item_colour_name ON item (colour_name, colour, removed_at)');
    }

    public function postUp(Schema $schema): void
    {
        $this->watch();
    }

    public function down(Schema $schema): void
    {
        foreach (['item_colour_name', 'item_facet', 'handover_taker', 'handover_giver', 'handover_errand', 'handover_kit'] as $index) {
            $this->addSql('DROP INDEX '.$index);
        }
        $this->addSql('DROP TABLE handover');
    }
}
