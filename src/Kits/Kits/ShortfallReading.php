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
            'SELECT '.ThingLine::COLUMNS.", sum(w.quantity) AS wanted, min(w.due_on) AS soonest, json_group_array(w.name) AS kits, s.here AS there,
                (SELECT p.cents FROM price p WHERE p.item_id = i.id ORDER BY p.day DESC, p.id DESC LIMIT 1) AS cents,
                (SELECT p.quantity FROM price p WHERE p.item_id = i.id ORDER BY p.day DESC, p.id DESC LIMIT 1) AS price_of,
                (SELECT p.shop FROM price p WHERE p.item_id = i.id AND p.shop <> '' ORDER BY p.day DESC, p.id DESC LIMIT 1) AS shop
             FROM open_want w JOIN item i ON i.id = w.item_id AND i.removed_at IS NULL JOIN stock_of_item s ON s.item_id = i.id
             LEFT JOIN place h ON h.id = i.home_id WHERE i.tracking IN ('count', 'length')
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
