<?php

declare(strict_types=1);

namespace App\Migrations;

use App\Platform\Steps\WatchingMigration;
use Doctrine\DBAL\Schema\Schema;

/** Only adds tables. */
final class Version20261125000011 extends WatchingMigration
{
    /** A thing lies in a basket on its way from one home to another. */
    private const LINKS = [
        'DROP TRIGGER log_reason_links',
        <<<'SQL'
            CREATE TRIGGER log_reason_links BEFORE INSERT ON movement
            WHEN NEW.reverses_id IS NULL AND NOT EXISTS (
                SELECT 1 FROM place f, place t WHERE f.id = NEW.from_id AND t.id = NEW.to_id AND CASE NEW.reason
                    WHEN 'take in' THEN f.address IN ('bought', 'given', 'made here', 'borrowed') AND f.nature = 'outside'
                        AND t.nature IN ('storage', 'unfiled')
                    WHEN 'pull' THEN f.nature IN ('storage', 'unfiled') AND t.nature = 'tray' AND t.kind NOT IN ('person', 'basket')
                    WHEN 'use' THEN f.nature = 'tray' AND f.kind NOT IN ('person', 'basket') AND t.address = 'used up'
                    WHEN 'return' THEN f.nature = 'tray' AND f.kind <> 'basket' AND t.nature IN ('storage', 'unfiled')
                    WHEN 'move' THEN (f.nature IN ('storage', 'unfiled') AND (t.nature IN ('storage', 'unfiled') OR t.kind = 'basket'))
                        OR (f.kind = 'basket' AND t.nature IN ('storage', 'unfiled'))
                    WHEN 'cut' THEN (f.nature = 'tray' AND f.kind NOT IN ('person', 'basket') AND t.address = 'used up')
                        OR (f.address = 'made here' AND t.nature <> 'outside')
                    WHEN 'park' THEN f.nature = 'tray' AND f.kind NOT IN ('person', 'basket')
                        AND t.nature = 'tray' AND t.kind NOT IN ('person', 'basket')
                    WHEN 'lend' THEN f.nature IN ('storage', 'unfiled') AND t.nature = 'tray' AND t.kind = 'person'
                    WHEN 'give back' THEN f.nature IN ('storage', 'unfiled') AND t.address = 'borrowed' AND t.nature = 'outside'
                    WHEN 'make' THEN f.address = 'made here' AND t.nature = 'tray' AND t.kind NOT IN ('person', 'basket')
                    WHEN 'lose' THEN f.nature <> 'outside' AND t.address = 'lost'
                    WHEN 'found' THEN f.address = 'lost' AND t.nature IN ('storage', 'unfiled')
                    WHEN 'discard' THEN f.nature <> 'outside' AND t.address IN ('used up', 'recycled', 'given away', 'sold')
                    WHEN 'count' THEN (f.address = 'counted' AND t.nature IN ('storage', 'unfiled')) OR (f.nature IN ('storage', 'unfiled')
                        AND t.address = 'counted')
                    ELSE 0 END)
            BEGIN SELECT RAISE(ABORT, 'law 1: a reason links certain places only'); END
            SQL,
    ];

    public function getDescription(): string
    {
        return 'Errands: rounds of upkeep with what is carried, looked for and counted; baskets; what counts found; what is kept of a stock.';
    }

    public function up(Schema $schema): void
    {
        foreach ([
            'CREATE TABLE errand (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                purpose VARCHAR(10) NOT NULL,
                name VARCHAR(120) NOT NULL,
                basket_id INTEGER NOT NULL REFERENCES place (id),
                saves DOUBLE PRECISION NOT NULL DEFAULT 0,
                begun_at DATETIME NOT NULL,
                ended_at DATETIME DEFAULT NULL
            )',
            'CREATE INDEX errand_basket ON errand (basket_id)',
            "CREATE TABLE errand_task (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                errand_id INTEGER NOT NULL REFERENCES errand (id),
                what VARCHAR(10) NOT NULL,
                item_id INTEGER DEFAULT NULL REFERENCES item (id),
                place_id INTEGER NOT NULL REFERENCES place (id),
                to_id INTEGER DEFAULT NULL REFERENCES place (id),
                kit_id INTEGER DEFAULT NULL REFERENCES kit (id),
                becomes_home BOOLEAN NOT NULL DEFAULT 0,
                nth INTEGER NOT NULL,
                put_nth INTEGER DEFAULT NULL,
                state VARCHAR(8) NOT NULL DEFAULT 'open' CHECK (state IN ('open', 'carried', 'done', 'missed', 'left')),
                chance INTEGER DEFAULT NULL CHECK (chance BETWEEN 0 AND 1000),
                CHECK ((what = 'carry') = (to_id IS NOT NULL))
            )",
            'CREATE INDEX errand_task_errand ON errand_task (errand_id)',
            'CREATE INDEX errand_task_item ON errand_task (item_id)',
            'CREATE INDEX errand_task_place ON errand_task (place_id)',
            'CREATE INDEX errand_task_to ON errand_task (to_id)',
            'CREATE INDEX errand_task_kit ON errand_task (kit_id)',
            'CREATE TABLE place_count (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                place_id INTEGER NOT NULL REFERENCES place (id),
                account_id INTEGER NOT NULL REFERENCES account (id),
                at DATETIME NOT NULL,
                expected INTEGER NOT NULL CHECK (expected >= 0),
                wrong INTEGER NOT NULL CHECK (wrong >= 0),
                touched INTEGER NOT NULL DEFAULT 0 CHECK (touched >= 0)
            )',
            'CREATE INDEX place_count_place ON place_count (place_id, at)',
            'CREATE INDEX place_count_account ON place_count (account_id)',
            'CREATE TABLE stock_rule (
                id INTEGER PRIMARY KEY AUTOINCREMENT NOT NULL,
                item_id INTEGER NOT NULL REFERENCES item (id),
                spare INTEGER NOT NULL DEFAULT 0 CHECK (spare >= 0),
                lead_days INTEGER DEFAULT NULL CHECK (lead_days BETWEEN 0 AND 365),
                ceiling_cents INTEGER DEFAULT NULL CHECK (ceiling_cents >= 0),
                ceiling_of INTEGER DEFAULT NULL CHECK (ceiling_of > 0),
                CHECK ((ceiling_cents IS NULL) = (ceiling_of IS NULL))
            )',
            'CREATE UNIQUE INDEX stock_rule_item ON stock_rule (item_id)',
            ...self::LINKS,
        ] as $sql) {
            $this->addSql($sql);
        }
    }

    public function postUp(Schema $schema): void
    {
        $this->watch();
    }
}
