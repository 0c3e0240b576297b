<?php

declare(strict_types=1);

namespace App\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** One truth about what is here, what is out, what kits want, what was used and what was made: views that all readings share. */
final class Version20261125000016 extends AbstractMigration
{
    private const VIEWS = [
        'lies_here' => <<<'SQL'
            SELECT b.item_id, b.place_id, b.quantity FROM balance b
            WHERE b.place_id NOT IN (SELECT id FROM place WHERE nature NOT IN ('storage', 'unfiled'))
            SQL,
        'lies_out' => <<<'SQL'
            SELECT b.item_id, b.place_id, h.kit_id, b.quantity FROM balance b JOIN place p ON p.id = b.place_id AND p.nature = 'tray'
            LEFT JOIN kit_holder h ON h.place_id = p.id
            SQL,
        'open_want' => <<<'SQL'
            SELECT n.id AS need_id, n.kit_id, n.item_id, n.quantity - n.taken AS quantity, n.for_design, k.stage, k.name, k.due_on
            FROM need n JOIN kit k ON k.id = n.kit_id
            WHERE n.state = 'open' AND n.quantity > n.taken AND k.stage <> 'closed' AND k.removed_at IS NULL
            SQL,
        'use_of_item' => <<<'SQL'
            SELECT m.id AS movement_id, m.item_id, m.kit_id, m.quantity, m.at, +m.reason AS reason FROM movement m
            WHERE (+m.reason IN ('use', 'cut') OR (+m.reason = 'count' AND m.note = 'counted: used without a word'))
                AND m.to_id IN (SELECT id FROM place WHERE nature = 'outside')
                AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)
            SQL,
        'piece_made' => <<<'SQL'
            SELECT m.id AS movement_id, m.item_id, m.kit_id, m.quantity, m.at FROM movement m
            WHERE +m.reason = 'make' AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)
            SQL,
        'came_and_went' => <<<'SQL'
            SELECT m.id AS movement_id, m.item_id, m.at,
                CASE WHEN f.nature = 'outside' THEN m.quantity ELSE 0 END AS came, CASE WHEN t.nature = 'outside' THEN m.quantity ELSE 0 END AS went,
                m.reverses_id IS NULL AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id) AS stands
            FROM movement m JOIN place f ON f.id = m.from_id JOIN place t ON t.id = m.to_id WHERE 'outside' IN (f.nature, t.nature)
            SQL,
        'stock_of_item' => <<<'SQL'
            SELECT i.id AS item_id,
                (SELECT coalesce(sum(l.quantity), 0) FROM lies_here l WHERE l.item_id = i.id) AS here,
                (SELECT coalesce(sum(b.quantity), 0) FROM balance b WHERE b.item_id = i.id
                    AND b.place_id NOT IN (SELECT id FROM place WHERE nature = 'outside')) AS in_room,
                (SELECT coalesce(sum(w.quantity), 0) FROM open_want w WHERE w.item_id = i.id) AS wanted
            FROM item i
            SQL,
    ];

    public function getDescription(): string
    {
        return 'What is here, out, wanted, used and made is said by views of the database.';
    }

    public function up(Schema $schema): void
    {
        foreach (self::VIEWS as $name => $sql) {
            $this->addSql("CREATE VIEW {$name} AS {$sql}");
        }
    }

    public function down(Schema $schema): void
    {
        foreach (array_reverse(array_keys(self::VIEWS)) as $name) {
            $this->addSql("DROP VIEW {$name}");
        }
    }
}
