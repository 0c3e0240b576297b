<?php

declare(strict_types=1);

namespace App\Upkeep\Weeding;

use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;
use App\Room\Stores\Place;
use App\Upkeep\Rounds\Fate;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;

/** Reads what waits to be given away, recycled or sold. */
final readonly class PartingReading
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, list<PartingRow>> what is in each box, by what becomes of it; what has waited longest first */
    public function boxes(): array
    {
        $fates = $boxes = [];
        foreach (Fate::cases() as $fate) {
            if (null !== $fate->box()) {
                $fates[$fate->box()] = $fate;
            }
        }
        foreach ($this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.', p.address AS box, b.quantity,
                (SELECT max(m.at) FROM movement m WHERE m.item_id = i.id AND m.to_id = p.id) AS waits_since
             FROM place p JOIN balance b ON b.place_id = p.id JOIN item i ON i.id = b.item_id LEFT JOIN place h ON h.id = i.home_id
             WHERE p.address IN (?) ORDER BY waits_since, i.id',
            [Place::PARTING],
            [ArrayParameterType::STRING],
        ) as $columns) {
            $row = new Row($columns);
            $fate = $fates[$row->text('box')];
            $boxes[$fate->value][] = new PartingRow(ThingLine::of($row), $fate, $row->int('quantity'), $row->time('waits_since'));
        }

        return $boxes;
    }
}
