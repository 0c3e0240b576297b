<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;
use Doctrine\DBAL\Connection;
use Lottel\Core\Year\PieceCost;

/** The shortfalls of all open kits together: what is to be bought before they can be made. */
final readonly class ShortfallReading
{
    private const MOST = 500;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<Shortfall> what is wanted soonest first */
    public function all(): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.", sum(n.quantity - n.taken) AS wanted, min(k.due_on) AS soonest,
                json_group_array(k.name) AS kits,
                (SELECT coalesce(sum(b.quantity), 0) FROM balance b JOIN place p ON p.id = b.place_id
                 WHERE b.item_id = i.id AND p.nature IN ('storage', 'unfiled')) AS there,
                (SELECT p.cents FROM price p WHERE p.item_id = i.id ORDER BY p.day DESC, p.id DESC LIMIT 1) AS cents,
                (SELECT p.quantity FROM price p WHERE p.item_id = i.id ORDER BY p.day DESC, p.id DESC LIMIT 1) AS price_of,
                (SELECT p.shop FROM price p WHERE p.item_id = i.id AND p.shop <> '' ORDER BY p.day DESC, p.id DESC LIMIT 1) AS shop
             FROM need n JOIN kit k ON k.id = n.kit_id AND ".OpenKits::ARE."
             JOIN item i ON i.id = n.item_id AND i.removed_at IS NULL LEFT JOIN place h ON h.id = i.home_id
             WHERE n.state = 'open' AND n.quantity > n.taken AND i.tracking IN ('count', 'length')
             GROUP BY i.id HAVING wanted > there ORDER BY soonest IS NULL, soonest, i.name LIMIT ".self::MOST,
        );

        return Row::each($rows, static function (Row $row): Shortfall {
            $missing = $row->int('wanted') - $row->int('there');

            return new Shortfall(
                ThingLine::of($row),
                $row->int('wanted'),
                $row->int('there'),
                array_values(array_unique($row->texts('kits'))),
                $row->textOrNull('soonest'),
                null === $row->intOrNull('cents') ? null : PieceCost::of($missing, $row->int('cents'), $row->int('price_of')),
                $row->textOrNull('shop') ?? '',
            );
        });
    }
}
