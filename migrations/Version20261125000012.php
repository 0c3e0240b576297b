<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Database\Row;
use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\CutSizes;

/** What was written about the sizes that a die cuts is read; what cannot be read is kept in the note. */
final class Version20261125000012 extends WatchingMigration
{
    public function getDescription(): string
    {
        return 'Dies with the sizes that they cut; places for the season at hand, and where their things live otherwise; boxes of a house move.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE item ADD COLUMN cut_sizes CLOB DEFAULT NULL');
        $this->addSql('ALTER TABLE item ADD COLUMN season_home_id INTEGER DEFAULT NULL REFERENCES place (id)');
        $this->addSql('CREATE INDEX item_season_home ON item (season_home_id)');
        $this->addSql('CREATE INDEX item_season ON item (season)');
        $this->addSql('ALTER TABLE place ADD COLUMN is_for_season BOOLEAN NOT NULL DEFAULT 0');
        $this->addSql('ALTER TABLE errand ADD COLUMN is_waiting BOOLEAN NOT NULL DEFAULT 0');
        $this->addSql("CREATE TABLE house_move (
            id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
            box_width INTEGER NOT NULL CHECK (box_width > 0),
            box_height INTEGER NOT NULL CHECK (box_height > 0),
            box_depth INTEGER NOT NULL CHECK (box_depth > 0),
            most_grams INTEGER NOT NULL CHECK (most_grams > 0),
            by_hand CLOB NOT NULL DEFAULT '[]',
            begun_at DATETIME NOT NULL,
            moved_at DATETIME DEFAULT NULL,
            ended_at DATETIME DEFAULT NULL
        )");
        $this->addSql('CREATE TABLE moving_box (
            id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
            move_id INTEGER NOT NULL REFERENCES house_move (id),
            errand_id INTEGER NOT NULL REFERENCES errand (id),
            nth INTEGER NOT NULL,
            unpack_nth INTEGER NOT NULL,
            litres DOUBLE PRECISION NOT NULL,
            grams DOUBLE PRECISION NOT NULL
        )');
        $this->addSql('CREATE INDEX moving_box_move ON moving_box (move_id)');
        $this->addSql('CREATE INDEX moving_box_errand ON moving_box (errand_id)');
    }

    public function postUp(Schema $schema): void
    {
        $unit = LengthUnit::tryFrom(Row::word($this->connection->fetchOne('SELECT measure FROM room ORDER BY id LIMIT 1') ?: 'in')) ?? LengthUnit::Inch;
        $dies = $this->connection->fetchAllAssociative("SELECT id, note, details FROM item WHERE json_extract(details, '$.\"cut sizes\"') IS NOT NULL");
        foreach ($dies as $columns) {
            $this->measure(new Row($columns), $unit);
        }
        $this->watch();
    }

    private function measure(Row $die, LengthUnit $unit): void
    {
        $details = $die->named('details');
        $said = $details['cut sizes'];
        unset($details['cut sizes']);
        $sizes = self::sizes($said, $unit);
        $this->connection->update('item', [
            'cut_sizes' => null === $sizes ? null : json_encode($sizes->ticks(), \JSON_THROW_ON_ERROR),
            'note' => null === $sizes ? trim($die->text('note')."\nCuts these sizes: ".$said) : $die->text('note'),
            'details' => [] === $details ? '{}' : json_encode($details, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE),
        ], ['id' => $die->int('id')]);
    }

    private static function sizes(string $text, LengthUnit $unit): ?CutSizes
    {
        try {
            $sizes = CutSizes::read($text, $unit);
        } catch (InvalidLength) {
            return null;
        }

        return $sizes->isNone() ? null : $sizes;
    }
}
