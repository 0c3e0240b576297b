<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

/** Adds a column; names that differ in small and capital letters alone become one. */
final class Version20261125000015 extends WatchingMigration
{
    public function getDescription(): string
    {
        return 'A price that came with old stock is no money spent; a wall, and a colour, has one spelling.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE price ADD COLUMN is_spent BOOLEAN DEFAULT 1 NOT NULL');
    }

    public function postUp(Schema $schema): void
    {
        $this->oneSpelling('unit', 'wall');
        $this->oneSpelling('item', 'colour_name');
        $this->watch();
    }

    /** The spelling that came first is the one. */
    private function oneSpelling(string $table, string $column): void
    {
        $first = [];
        foreach ($this->connection->fetchFirstColumn("SELECT $column FROM $table WHERE $column <> '' GROUP BY $column ORDER BY min(id)") as $spelt) {
            $name = \is_string($spelt) ? $spelt : '';
            $known = $first[mb_strtolower($name)] ??= $name;
            if ($known !== $name) {
                $this->connection->executeStatement("UPDATE $table SET $column = ? WHERE $column = ?", [$known, $name]);
            }
        }
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE price DROP COLUMN is_spent');
    }
}
