<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Doctrine\DBAL\Connection;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\CutSizes;

/** Reads the room's dies with the sizes that they cut. */
final readonly class DieReading
{
    public const MOST = 40;
    private const MOST_SIZES = 400;

    public function __construct(private Connection $database)
    {
    }

    /** @return list<DieRow> those that do not say what they cut, by home */
    public function unsaid(): array
    {
        return $this->dies('i.cut_sizes IS NULL');
    }

    /** @return list<DieRow> those that say what they cut, by home */
    public function said(): array
    {
        return $this->dies('i.cut_sizes IS NOT NULL');
    }

    /** @return array{int, int} how many dies say what they cut, and how many do not */
    public function many(): array
    {
        $many = new Row($this->database->fetchAssociative(
            "SELECT count(cut_sizes) AS said, count(*) - count(cut_sizes) AS unsaid FROM item WHERE kind = 'die' AND removed_at IS NULL",
        ) ?: []);

        return [$many->int('said'), $many->int('unsaid')];
    }

    /** @return list<array{Size, string}> each size that is cut, the largest first, with the die that cuts it and where that is at home */
    public function sizes(): array
    {
        $sizes = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT i.name, i.cut_sizes, h.address FROM item i LEFT JOIN place h ON h.id = i.home_id
             WHERE i.kind = 'die' AND i.cut_sizes IS NOT NULL AND i.removed_at IS NULL ORDER BY i.used_at DESC, i.id LIMIT ".self::MOST_SIZES,
        ) as $columns) {
            $die = new Row($columns);
            $named = $die->text('name').(null === $die->textOrNull('address') ? '' : ', '.$die->text('address'));
            foreach (CutSizes::ofTicks($die->pairs('cut_sizes'))->sizes as $size) {
                $sizes[$size->width->ticks.'.'.$size->height->ticks] ??= [$size, $named];
            }
        }
        usort($sizes, static fn (array $one, array $other): int => $other[0]->squareMetres() <=> $one[0]->squareMetres());

        return \array_slice($sizes, 0, self::MOST_SIZES);
    }

    /** @return list<DieRow> */
    private function dies(string $condition): array
    {
        return Row::each($this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.", i.cut_sizes FROM item i LEFT JOIN place h ON h.id = i.home_id
             WHERE i.kind = 'die' AND i.removed_at IS NULL AND ({$condition}) ORDER BY h.address, i.name, i.id LIMIT ".self::MOST,
        ), static fn (Row $row): DieRow => new DieRow(
            ThingLine::of($row),
            OwnedRow::cuts($row),
        ));
    }
}
