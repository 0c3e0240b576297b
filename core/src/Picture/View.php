<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

/** How a camera saw a flat rectangle: from points of the picture to points of the rectangle, by the projective map of its four corners. */
final readonly class View
{
    /** @param array{float, float, float, float, float, float, float, float} $map */
    private function __construct(private array $map, public int $width, public int $height)
    {
    }

    /** @param list<array{float, float}> $corners upper left, upper right, lower right, lower left, in the picture */
    public static function of(array $corners, int $width, int $height): self
    {
        $rows = [];
        foreach ([[0, 0], [$width, 0], [$width, $height], [0, $height]] as $nth => [$u, $v]) {
            [$x, $y] = $corners[$nth];
            $rows[] = [$x, $y, 1.0, 0.0, 0.0, 0.0, -$u * $x, -$u * $y, (float) $u];
            $rows[] = [0.0, 0.0, 0.0, $x, $y, 1.0, -$v * $x, -$v * $y, (float) $v];
        }

        return new self(self::solved($rows), $width, $height);
    }

    /** @return array{float, float} */
    public function at(float $x, float $y): array
    {
        [$a, $b, $c, $d, $e, $f, $g, $h] = $this->map;
        $depth = $g * $x + $h * $y + 1;

        return [($a * $x + $b * $y + $c) / $depth, ($d * $x + $e * $y + $f) / $depth];
    }

    /** Returns what a pixel around a point covers of the rectangle. */
    public function areaAt(float $x, float $y): float
    {
        [$left, $right, $up, $down] = [$this->at($x - 0.5, $y), $this->at($x + 0.5, $y), $this->at($x, $y - 0.5), $this->at($x, $y + 0.5)];

        return abs(($right[0] - $left[0]) * ($down[1] - $up[1]) - ($right[1] - $left[1]) * ($down[0] - $up[0]));
    }

    /**
     * Gauss’s elimination with the largest pivot.
     *
     * @param list<list<float>> $rows eight of them, each with its right side
     *
     * @return array{float, float, float, float, float, float, float, float}
     */
    private static function solved(array $rows): array
    {
        for ($column = 0; $column < 8; ++$column) {
            $best = $column;
            for ($row = $column + 1; $row < 8; ++$row) {
                $best = abs($rows[$row][$column]) > abs($rows[$best][$column]) ? $row : $best;
            }
            if (abs($rows[$best][$column]) < 1e-12) {
                throw UnclearPicture::sheetIsNotSeen();
            }
            [$rows[$column], $rows[$best]] = [$rows[$best], $rows[$column]];
            for ($row = 0; $row < 8; ++$row) {
                $times = $row === $column ? 0.0 : $rows[$row][$column] / $rows[$column][$column];
                for ($at = $column; 0.0 !== $times && $at < 9; ++$at) {
                    $rows[$row][$at] -= $times * $rows[$column][$at];
                }
            }
        }
        $of = static fn (int $row): float => $rows[$row][8] / $rows[$row][$row];

        return [$of(0), $of(1), $of(2), $of(3), $of(4), $of(5), $of(6), $of(7)];
    }
}
