<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Symfony\Component\Clock\ClockInterface;

/** What was spent, by month and by maker, as far as prices were written down. */
final readonly class Spending
{
    private const MONTHS = 6;
    private const MOST_MAKERS = 6;

    public function __construct(private Connection $database, private ClockInterface $clock)
    {
    }

    /** @return array<string, int> cents by month such as `2026-11`, the oldest first */
    public function byMonth(): array
    {
        $first = $this->clock->now()->modify('first day of this month');
        $months = [];
        for ($ago = self::MONTHS - 1; $ago >= 0; --$ago) {
            $months[$first->modify(\sprintf('-%d months', $ago))->format('Y-m')] = 0;
        }
        foreach ($this->sums('substr(day, 1, 7)', 'what') as $month => $cents) {
            if (isset($months[$month])) {
                $months[$month] = $cents;
            }
        }

        return $months;
    }

    /** @return array<string, int> cents of the last months by maker, those with most first */
    public function byMaker(): array
    {
        return \array_slice($this->sums("CASE WHEN i.maker = '' THEN 'no maker' ELSE i.maker END", 'cents DESC'), 0, self::MOST_MAKERS, true);
    }

    /** @return array<string, int> */
    private function sums(string $by, string $order): array
    {
        $since = $this->clock->now()->modify('first day of this month')->modify(\sprintf('-%d months', self::MONTHS - 1))->format('Y-m-d');
        $sums = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT $by AS what, sum(p.cents) AS cents FROM price p JOIN item i ON i.id = p.item_id
             WHERE p.day >= ? AND p.is_spent GROUP BY what ORDER BY $order",
            [$since],
        ) as $columns) {
            $row = new Row($columns);
            $sums[$row->text('what')] = $row->int('cents');
        }

        return $sums;
    }
}
