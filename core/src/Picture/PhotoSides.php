<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

/** The four sides of what looks like a rectangle in a picture, as lines fitted to its edge; their crossings are its corners. */
final readonly class PhotoSides
{
    /** How near to a corner the edge is left out, and how far from the straight line between two corners. */
    private const OFF_CORNERS = 0.1;
    private const OFF_LINE = 0.04;

    /** @param array<int, true> $region pixels */
    public function __construct(private array $region, private int $width, private int $height)
    {
    }

    /**
     * @return list<array{float, float}> upper left, upper right, lower right, lower left
     *
     * @throws UnclearPicture if it has not four straight sides
     */
    public function corners(): array
    {
        $rough = $this->rough();
        $edge = $this->edge();
        $lines = [];
        foreach ($rough as $nth => $from) {
            $lines[] = self::fitted($from, $rough[($nth + 1) % 4], $edge);
        }
        $corners = [];
        foreach ($lines as $nth => $line) {
            $corners[] = self::crossing($lines[($nth + 3) % 4], $line);
        }

        return $corners;
    }

    /** @return list<array{float, float}> the pixels farthest out in each diagonal direction */
    private function rough(): array
    {
        $best = array_fill(0, 4, [0.0, 0.0, -\INF]);
        foreach (array_keys($this->region) as $at) {
            [$x, $y] = [$at % $this->width, intdiv($at, $this->width)];
            foreach ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as $corner => [$right, $down]) {
                $out = $right * $x + $down * $y;
                if ($out > $best[$corner][2]) {
                    $best[$corner] = [$x + 0.5 + $right / 2, $y + 0.5 + $down / 2, $out];
                }
            }
        }

        return array_map(static fn (array $corner): array => [$corner[0], $corner[1]], $best);
    }

    /** @return list<array{float, float}> points between a pixel of it and one that is not */
    private function edge(): array
    {
        $edge = [];
        foreach (array_keys($this->region) as $at) {
            [$x, $y] = [$at % $this->width, intdiv($at, $this->width)];
            foreach ([[-1, 0], [1, 0], [0, -1], [0, 1]] as [$right, $down]) {
                [$nextX, $nextY] = [$x + $right, $y + $down];
                $isOutside = $nextX < 0 || $nextY < 0 || $nextX >= $this->width || $nextY >= $this->height;
                if ($isOutside || !isset($this->region[$nextY * $this->width + $nextX])) {
                    $edge[] = [$x + 0.5 + $right / 2, $y + 0.5 + $down / 2];
                }
            }
        }

        return $edge;
    }

    /**
     * @param array{float, float} $from
     * @param array{float, float} $to
     * @param list<array{float, float}> $edge
     *
     * @return array{float, float, float} the line a·x + b·y = c that is nearest to the edge between two corners
     */
    private static function fitted(array $from, array $to, array $edge): array
    {
        $long = hypot($to[0] - $from[0], $to[1] - $from[1]);
        if ($long < 8) {
            throw UnclearPicture::sheetIsNotSeen();
        }
        [$right, $down] = [($to[0] - $from[0]) / $long, ($to[1] - $from[1]) / $long];
        $near = array_values(array_filter($edge, static function (array $point) use ($from, $right, $down, $long): bool {
            [$x, $y] = [$point[0] - $from[0], $point[1] - $from[1]];
            $along = ($x * $right + $y * $down) / $long;

            return $along > self::OFF_CORNERS && $along < 1 - self::OFF_CORNERS && abs($y * $right - $x * $down) < max(2.5, self::OFF_LINE * $long);
        }));
        if (\count($near) < 0.6 * $long) {
            throw UnclearPicture::sheetIsNotSeen();
        }
        [$x, $y] = [array_sum(array_column($near, 0)) / \count($near), array_sum(array_column($near, 1)) / \count($near)];
        $xx = $yy = $xy = 0.0;
        foreach ($near as $point) {
            $xx += ($point[0] - $x) ** 2;
            $yy += ($point[1] - $y) ** 2;
            $xy += ($point[0] - $x) * ($point[1] - $y);
        }
        $angle = atan2(2 * $xy, $xx - $yy) / 2;
        [$a, $b] = [-sin($angle), cos($angle)];

        return [$a, $b, $a * $x + $b * $y];
    }

    /**
     * @param array{float, float, float} $one
     * @param array{float, float, float} $other
     *
     * @return array{float, float}
     */
    private static function crossing(array $one, array $other): array
    {
        $across = $one[0] * $other[1] - $other[0] * $one[1];
        if (abs($across) < 0.2) {
            throw UnclearPicture::sheetIsNotSeen();
        }

        return [($one[2] * $other[1] - $other[2] * $one[1]) / $across, ($one[0] * $other[2] - $other[0] * $one[2]) / $across];
    }
}
