<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Database\StepJournal;
use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Only adds a column. */
final class Version20261201000015 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A price that came with old stock is no money spent.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE price ADD COLUMN is_spent BOOLEAN DEFAULT 1 NOT NULL');
    }

    public function postUp(Schema $schema): void
    {
        foreach (StepJournal::install($this->connection) as $sql) {
            $this->connection->executeStatement($sql);
        }
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE price DROP COLUMN is_spent');
    }
}
