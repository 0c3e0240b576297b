<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

/** What was told by words alone becomes a column: what a line of the log stands for, and the number of a tray, folder, basket or box. */
final class Version20261125000017 extends WatchingMigration
{
    private const NEVER_CHANGED = "CREATE TRIGGER log_is_never_changed BEFORE UPDATE ON movement
        BEGIN SELECT RAISE(ABORT, 'law 2: a movement is never changed'); END";

    private const USE = <<<'SQL'
        CREATE VIEW use_of_item AS SELECT m.id AS movement_id, m.item_id, m.kit_id, m.quantity, m.at, +m.reason AS reason FROM movement m
        WHERE (+m.reason IN ('use', 'cut') OR %s)
            AND m.to_id IN (SELECT id FROM place WHERE nature = 'outside')
            AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)
        SQL;

    public function getDescription(): string
    {
        return 'What a line of the log stands for, and the number of a tray, are columns.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE movement ADD COLUMN why VARCHAR(10) DEFAULT NULL');
        $this->addSql('ALTER TABLE place ADD COLUMN number INTEGER DEFAULT NULL');
        // Nothing that a line says is changed; what it says in words it says as a value, too.
        $this->addSql('DROP TRIGGER log_is_never_changed');
        $this->addSql("UPDATE movement SET why = 'used' WHERE note = 'counted: used without a word'");
        $this->addSql("UPDATE movement SET why = 'found here' WHERE note = 'was found here'");
        $this->addSql(self::NEVER_CHANGED);
        $this->addSql("UPDATE place SET number = CAST(substr(address, instr(address, ' ') + 1) AS INTEGER)
            WHERE nature = 'tray' AND kind IN ('tray', 'folder', 'basket') AND address GLOB '* [0-9]*'");
        $this->addSql('DROP VIEW use_of_item');
        $this->addSql(\sprintf(self::USE, "(+m.reason = 'count' AND m.why = 'used')"));
    }

    public function postUp(Schema $schema): void
    {
        $this->watch();
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP VIEW use_of_item');
        $this->addSql('ALTER TABLE place DROP COLUMN number');
        $this->addSql('ALTER TABLE movement DROP COLUMN why');
        $this->addSql(\sprintf(self::USE, "(+m.reason = 'count' AND m.note = 'counted: used without a word')"));
    }

    public function postDown(Schema $schema): void
    {
        $this->watch();
    }
}
