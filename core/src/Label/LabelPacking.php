<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/**
 * Lays labels of different sizes on plain paper that is cut up afterwards, edge to edge, so that one cut parts two of them: in
 * rows, the highest first, each into the first row with room for it, rows onto the first page with room for them (first fit by
 * falling height; E. G. Coffman, M. R. Garey, D. S. Johnson, R. E. Tarjan, “Performance bounds for level-oriented
 * two-dimensional packing algorithms”, 1980, from memory). In tenths of a millimetre.
 */
final readonly class LabelPacking
{
    private const MARGIN = 50;

    public function __construct(public int $pageWidth, public int $pageHeight)
    {
    }

    /** Whether a label goes onto the paper at all. */
    public function holds(LabelSize $size): bool
    {
        return $size->width <= $this->pageWidth - 2 * self::MARGIN && $size->height <= $this->pageHeight - 2 * self::MARGIN;
    }

    /**
     * Returns where labels go: page from 0, and the left upper corner.
     *
     * @param list<LabelSize> $sizes
     *
     * @return list<array{int, int, int}> in the order of the sizes
     *
     * @throws InvalidLabel if one is larger than the paper
     */
    public function spots(array $sizes): array
    {
        $order = array_keys($sizes);
        usort($order, static fn (int $a, int $b): int => [$sizes[$b]->height, $sizes[$b]->width, $a] <=> [$sizes[$a]->height, $sizes[$a]->width, $b]);
        $rows = $pages = $rights = $spots = [];
        foreach ($order as $index) {
            $size = $sizes[$index];
            if (!$this->holds($size)) {
                throw InvalidLabel::largerThanPaper();
            }
            $row = $this->rowFor($size, $rows, $rights);
            if (null === $row) {
                $row = \count($rows);
                $rows[] = $this->newRow($size->height, $pages);
                $rights[] = self::MARGIN;
            }
            $spots[$index] = [$rows[$row][0], $rights[$row], $rows[$row][1]];
            $rights[$row] += $size->width;
        }
        ksort($spots);

        return array_values($spots);
    }

    /**
     * @param list<array{int, int, int}> $rows page, upper edge and height of each
     * @param array<int, int> $rights where the next label of each row begins
     */
    private function rowFor(LabelSize $size, array $rows, array $rights): ?int
    {
        foreach ($rows as $index => [, , $height]) {
            if ($rights[$index] + $size->width <= $this->pageWidth - self::MARGIN && $size->height <= $height) {
                return $index;
            }
        }

        return null;
    }

    /**
     * @param array<int, int> $pages where the next row of each page begins
     *
     * @return array{int, int, int} page, upper edge and height
     */
    private function newRow(int $height, array &$pages): array
    {
        $page = 0;
        while (isset($pages[$page]) && $pages[$page] + $height > $this->pageHeight - self::MARGIN) {
            ++$page;
        }
        $top = $pages[$page] ?? self::MARGIN;
        $pages[$page] = $top + $height;

        return [$page, $top, $height];
    }
}
