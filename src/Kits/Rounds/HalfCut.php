<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kit;
use App\Platform\Database\Row;
use App\Platform\Steps\StepRefused;
use App\Room\Catalogue\Item;
use Doctrine\DBAL\Connection;

/** A sheet of which a cut is made, and not all: it cannot go home as the sheet that the log knows. */
final readonly class HalfCut
{
    public function __construct(private Connection $database)
    {
    }

    /** @throws StepRefused if a kit has one, of a certain paper or of any */
    public function check(Kit $kit, ?Item $paper = null): void
    {
        $name = $this->database->fetchOne(
            "SELECT i.name FROM sheet_in_work s JOIN item i ON i.id = s.item_id
             WHERE s.kit_id = :kit AND NOT s.is_logged AND json_extract(s.tree, '$.made') AND (:paper IS NULL OR s.item_id = :paper) LIMIT 1",
            ['kit' => $kit->id, 'paper' => $paper?->id],
        );
        if (false !== $name) {
            throw RoundsRefused::isHalfCut(Row::word($name));
        }
    }
}
