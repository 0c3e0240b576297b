<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;

/** What is kept, given and made for the dates of people, each by occasion and day as DateInYear::key() says it. */
final readonly class MadeForDates
{
    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, int> how many finished pieces are kept for a date */
    public function kept(): array
    {
        return $this->counted("SELECT occasion_id || ':' || substr(day, 1, 10) AS date, count(*) AS many FROM set_aside GROUP BY 1");
    }

    /** @return array<string, int> how many finished pieces were given for a date */
    public function gone(): array
    {
        return $this->counted(
            "SELECT occasion_id || ':' || substr(occasion_day, 1, 10) AS date, sum(quantity) AS many FROM gift g WHERE occasion_id IS NOT NULL
             AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = g.movement_id) GROUP BY 1",
        );
    }

    /** @return array<string, int> how many kits were made and closed for a date */
    public function closed(): array
    {
        return $this->counted(self::kits("k.stage = 'closed'"));
    }

    /** @return array<string, int> how many kits are planned, under way or closed for a date */
    public function kitsOf(): array
    {
        return $this->counted(self::kits('TRUE'));
    }

    private static function kits(string $which): string
    {
        return "SELECT o.occasion_id || ':' || substr(o.day, 1, 10) AS date, count(*) AS many FROM kit_occasion o JOIN kit k ON k.id = o.kit_id
            WHERE k.removed_at IS NULL AND {$which} GROUP BY 1";
    }

    /** @return array<string, int> */
    private function counted(string $sql): array
    {
        $counts = [];
        foreach ($this->database->fetchAllAssociative($sql) as $columns) {
            $row = new Row($columns);
            $counts[$row->text('date')] = $row->int('many');
        }

        return $counts;
    }
}
