<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use App\Room\Stores\Glimpse;
use App\Room\Stores\Glimpses;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Log\Tracking;

/** What is seen of the things in a wall of places. */
final readonly class GlimpseReading implements Glimpses
{
    private const MOST_IN_A_PLACE = 20;

    public function __construct(private Connection $database)
    {
    }

    public function in(array $units): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT i.kind, i.tracking, i.colour, i.width, i.height, i.depth, i.grams, l.quantity, l.lies_in FROM (
                 SELECT b.item_id, b.quantity, b.place_id AS lies_in, row_number() OVER (PARTITION BY b.place_id ORDER BY b.item_id) AS nth
                 FROM place p JOIN balance b ON b.place_id = p.id WHERE p.unit_id IN (?)) l JOIN item i ON i.id = l.item_id WHERE l.nth <= ?',
            [$units, self::MOST_IN_A_PLACE],
            [ArrayParameterType::INTEGER, ParameterType::INTEGER],
        );
        $glimpses = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $kind = $row->one('kind', Kind::class);
            $contents = TypicalSize::contents(
                $kind,
                $row->one('tracking', Tracking::class),
                $row->int('quantity'),
                $row->box('width', 'height', 'depth'),
                $row->intOrNull('grams'),
            );
            $glimpses[$row->int('lies_in')][] = new Glimpse($row->textOrNull('colour'), $contents->thickness, Kind::Paper === $kind);
        }

        return $glimpses;
    }
}
