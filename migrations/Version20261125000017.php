<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

final class Version20261125000017 extends WatchingMigration
{
    public function getDescription(): string
    {
        return 'What comes round.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE chore (id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL, name VARCHAR(60) NOT NULL, every_days INTEGER NOT NULL,
            done_on DATE NOT NULL, item_id INTEGER NOT NULL,
            CONSTRAINT FK_CHORE_ITEM FOREIGN KEY (item_id) REFERENCES item (id) NOT DEFERRABLE INITIALLY IMMEDIATE)');
        $this->addSql('CREATE INDEX chore_item ON chore (item_id)');
    }

    public function postUp(Schema $schema): void
    {
        $this->watch();
    }
}
