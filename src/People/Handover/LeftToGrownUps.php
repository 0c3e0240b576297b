<?php

declare(strict_types=1);

namespace App\People\Handover;

use App\Kits\Kits\Kit;
use App\Platform\Database\Row;
use App\Upkeep\Rounds\UpkeepRound;
use Doctrine\DBAL\Connection;
use Lottel\Core\Care\Hazard;

/** What of a round a child would leave to a grown-up. */
final readonly class LeftToGrownUps
{
    public function __construct(private Connection $database)
    {
    }

    /** @return list<string> names */
    public function of(?Kit $kit, ?UpkeepRound $errand): array
    {
        $rows = null === $kit
            ? $this->database->fetchAllAssociative("SELECT DISTINCT i.name, i.hazards FROM errand_task t JOIN item i ON i.id = t.item_id
                WHERE t.errand_id = ? AND t.state = 'open' ORDER BY i.name", [$errand?->id])
            : $this->database->fetchAllAssociative("SELECT DISTINCT i.name, i.hazards FROM need n JOIN item i ON i.id = n.item_id
                WHERE n.kit_id = ? AND n.state = 'open' ORDER BY i.name", [$kit->id]);
        $left = array_filter(
            Row::each($rows, static fn (Row $row): Row => $row),
            static fn (Row $row): bool => Hazard::leavesToGrownUps($row->several('hazards', Hazard::class)),
        );

        return array_values(array_map(static fn (Row $row): string => $row->text('name'), $left));
    }
}
