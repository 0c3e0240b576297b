<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Database\TableRebuild;
use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Makes room for kits with more than one tray and for several lines about one thing: readings ask a view where a kit's things
 * are, and a list may name a thing more than once.
 */
final class Version20261125000004 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A list may name a thing more than once; what holds the things of a kit is asked of one place.';
    }

    /** A table is made anew outside of a transaction, in which foreign keys cannot be switched off. */
    public function isTransactional(): bool
    {
        return false;
    }

    public function preUp(Schema $schema): void
    {
        (new TableRebuild($this->connection))->rebuild(
            'need',
            static fn (string $made): string => (string) preg_replace('/,\s*UNIQUE \(kit_id, item_id\)/', '', $made),
        );
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE INDEX need_kit ON need (kit_id, item_id)');
        $this->addSql('CREATE VIEW kit_holder AS SELECT id AS kit_id, tray_id AS place_id FROM kit WHERE tray_id IS NOT NULL');
    }
}
