<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Platform\Database\Row;
use App\Room\Catalogue\ThingLine;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Design\LayerKind;
use Lottel\Core\Design\PlacedLayer;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\CutSizes;

/** Finds which dies cut what is die-cut on a board, by the sizes that their records say. */
final readonly class DiesForDesign
{
    private const MOST = 3;

    public function __construct(private Connection $database)
    {
    }

    /** @return array<string, CutBy> by part of the design */
    public function of(Board $board): array
    {
        $cut = array_filter($board->front, static fn (PlacedLayer $placed): bool => LayerKind::DieCut === $placed->layer->kind);
        if ([] === $cut) {
            return [];
        }
        $said = $this->said();
        $unsaid = Row::number($this->database->fetchOne("SELECT count(*) FROM item WHERE kind = 'die' AND cut_sizes IS NULL AND removed_at IS NULL"));
        $by = [];
        foreach ($cut as $placed) {
            $nearest = self::nearest($said, $placed->at->sides()->size());
            $exact = array_filter($nearest, static fn (Size $size): bool => CutSizes::of([$size])->cuts($placed->at->sides()->size()));
            $dies = $this->dies(\array_slice([] === $exact ? $nearest : $exact, 0, self::MOST, true));
            $by['L'.$placed->layer->id] = [] === $exact ? new CutBy([], $dies, $unsaid) : new CutBy($dies, [], $unsaid);
        }

        return $by;
    }

    /** @return array<int, CutSizes> by die */
    private function said(): array
    {
        $said = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT id, cut_sizes FROM item WHERE kind = 'die' AND cut_sizes IS NOT NULL AND removed_at IS NULL ORDER BY used_at DESC, id",
        ) as $columns) {
            $die = new Row($columns);
            $said[$die->int('id')] = CutSizes::ofTicks($die->pairs('cut_sizes'));
        }

        return $said;
    }

    /**
     * @param array<int, CutSizes> $said
     *
     * @return array<int, Size> by die, the nearest first
     */
    private static function nearest(array $said, Size $wanted): array
    {
        $nearest = array_filter(array_map(static fn (CutSizes $sizes): ?Size => $sizes->nearest($wanted), $said));
        uasort($nearest, static fn (Size $one, Size $other): int => CutSizes::off($one, $wanted) <=> CutSizes::off($other, $wanted));

        return $nearest;
    }

    /**
     * @param array<int, Size> $sizes by die
     *
     * @return list<DieThatCuts> in the same order
     */
    private function dies(array $sizes): array
    {
        $lines = [];
        foreach (Row::each($this->database->fetchAllAssociative(
            'SELECT '.ThingLine::COLUMNS.' FROM item i LEFT JOIN place h ON h.id = i.home_id WHERE i.id IN (?)',
            [array_keys($sizes)],
            [ArrayParameterType::INTEGER],
        ), ThingLine::of(...)) as $line) {
            $lines[$line->id] = $line;
        }

        return array_map(static fn (int $die): DieThatCuts => new DieThatCuts($lines[$die], $sizes[$die]), array_keys($sizes));
    }
}
