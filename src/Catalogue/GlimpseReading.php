<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Database\Row;
use App\Stores\Glimpse;
use App\Stores\Glimpses;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lottel\Core\Catalogue\Kind;

/** What is seen of the things in a wall of places. */
final readonly class GlimpseReading implements Glimpses
{
    private const MOST_IN_A_PLACE = 30;

    public function __construct(private Connection $database)
    {
    }

    public function in(array $units): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT * FROM (
                 SELECT i.*, b.quantity, b.place_id AS lies_in, row_number() OVER (PARTITION BY b.place_id ORDER BY i.name, i.id) AS nth
                 FROM place p JOIN balance b ON b.place_id = p.id JOIN item i ON i.id = b.item_id WHERE p.unit_id IN (?)) WHERE nth <= ?',
            [$units, self::MOST_IN_A_PLACE],
            [ArrayParameterType::INTEGER, ParameterType::INTEGER],
        );
        $glimpses = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $thing = ThingRow::of($row);
            $glimpses[$row->int('lies_in')][] = new Glimpse($thing->thing->colour, $thing->contents()->thickness, Kind::Paper === $thing->thing->kind);
        }

        return $glimpses;
    }
}
