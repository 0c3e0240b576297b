<?php

declare(strict_types=1);

namespace App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125000013 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'How far steps are that are written in parts; devices that were let in, and codes that let one in.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE part_done (
            request_id VARCHAR(36) PRIMARY KEY NOT NULL CHECK (length(request_id) = 36),
            done INTEGER NOT NULL CHECK (done >= 0),
            parts INTEGER NOT NULL CHECK (parts >= done)
        ) WITHOUT ROWID');
        $this->addSql("CREATE TABLE device (
            id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
            account_id INTEGER DEFAULT NULL REFERENCES account (id),
            name VARCHAR(60) NOT NULL CHECK (name <> ''),
            token VARCHAR(64) NOT NULL UNIQUE CHECK (length(token) = 64),
            let_in_at DATETIME NOT NULL,
            seen_at DATETIME NOT NULL,
            shut_out_at DATETIME DEFAULT NULL
        )");
        $this->addSql('CREATE INDEX device_account ON device (account_id)');
        $this->addSql('CREATE TABLE device_code (
            code VARCHAR(64) PRIMARY KEY NOT NULL CHECK (length(code) = 64),
            account_id INTEGER DEFAULT NULL REFERENCES account (id),
            ends_at INTEGER NOT NULL
        ) WITHOUT ROWID');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE device_code');
        $this->addSql('DROP TABLE device');
        $this->addSql('DROP TABLE part_done');
    }
}
