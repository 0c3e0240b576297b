<?php

declare(strict_types=1);

namespace App\Paper;

use App\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\RainbowOrder;

/** All paper laid out in groups of columns: by family of colour in rainbow order, by collection, by maker, or by the unit it lies in. */
final readonly class PaperWall
{
    /** What a shelf shows at the most: where a room has more colours, those of which it has most. */
    private const MOST = 150;

    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, list<PaperColumn>> columns by group */
    public function laidOut(PaperOrder $order): array
    {
        $groups = [];
        foreach ($this->columns($order) as $column) {
            $groups[$column->group][] = $column;
        }
        $laid = array_map(static function (array $columns): array {
            usort($columns, self::compare(...));

            return $columns;
        }, $groups);
        uksort($laid, static fn (string $a, string $b): int => PaperOrder::Colour === $order ? self::rank($a) <=> self::rank($b) : strnatcasecmp($a, $b));

        return $laid;
    }

    /**
     * How many colours are not shown.
     *
     * @param array<string, list<PaperColumn>> $shown
     */
    public function more(array $shown): int
    {
        $columns = array_sum(array_map(\count(...), $shown));

        return $columns < self::MOST ? 0 : max(0, $this->many() - $columns);
    }

    private function many(): int
    {
        return Row::number($this->database->fetchOne(
            "SELECT count(DISTINCT coalesce(colour || ' ' || CASE WHEN colour_name = '' THEN name ELSE colour_name END, id)) FROM item
             WHERE removed_at IS NULL AND kind IN ('paper', 'scrap')",
        ));
    }

    /** @return list<PaperColumn> */
    private function columns(PaperOrder $order): array
    {
        $group = match ($order) {
            PaperOrder::Colour => "''",
            PaperOrder::Collection => "CASE WHEN i.collection = '' THEN 'no collection' ELSE i.collection END",
            PaperOrder::Maker => "CASE WHEN i.maker = '' THEN 'unknown maker' ELSE i.maker END",
            PaperOrder::Place => "coalesce(u.letters, 'no home')",
        };
        $rows = $this->database->fetchAllAssociative(
            "WITH paper AS (SELECT i.id, i.kind, i.colour, i.sheet_width, i.sheet_height, i.collection, i.maker, i.home_id,
                CASE WHEN i.colour IS NULL OR i.colour_name = '' THEN i.name ELSE i.colour_name END AS label,
                (SELECT coalesce(sum(b.quantity), 0) FROM balance b JOIN place l ON l.id = b.place_id
                    WHERE b.item_id = i.id AND l.nature IN ('storage', 'unfiled')) AS stored
                FROM item i WHERE i.removed_at IS NULL AND i.kind IN ('paper', 'scrap'))
             SELECT min(i.id) AS id, i.label, i.colour, $group AS in_group, sum(CASE WHEN i.kind = 'paper' THEN i.stored ELSE 0 END) AS sheets,
                sum(CASE WHEN i.kind = 'scrap' THEN i.stored ELSE 0 END) AS scraps,
                json_group_array(json_array(i.sheet_width, i.sheet_height)) FILTER (WHERE i.kind = 'scrap' AND i.sheet_width IS NOT NULL) AS scrap_sizes
             FROM paper i LEFT JOIN place p ON p.id = i.home_id LEFT JOIN unit u ON u.id = p.unit_id
             WHERE i.kind = 'paper' OR i.stored > 0
             GROUP BY in_group, i.colour, i.label, CASE WHEN i.colour IS NULL THEN i.id END
             ORDER BY sum(i.stored) DESC, i.label LIMIT ".self::MOST,
        );

        return Row::each($rows, static fn (Row $row): PaperColumn => PaperColumn::of($row, $order));
    }

    private static function rank(string $group): int
    {
        return Family::tryFrom($group)?->rank() ?? \PHP_INT_MAX;
    }

    private static function compare(PaperColumn $a, PaperColumn $b): int
    {
        [$one, $other] = [$a->srgb(), $b->srgb()];
        if (null === $one || null === $other) {
            return (null === $one) <=> (null === $other) ?: strnatcasecmp($a->label, $b->label);
        }

        return RainbowOrder::compare($one, $other);
    }
}
