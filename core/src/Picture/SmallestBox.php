<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

/** The rectangle of least area around points, turned as it must be: one of its sides lies along a side of their convex hull. */
final readonly class SmallestBox
{
    private function __construct(public float $width, public float $height, private float $left, private float $top, private float $angle)
    {
    }

    /** @param list<array{float, float}> $points at least one */
    public static function around(array $points): self
    {
        $hull = self::hull($points);
        $best = null;
        foreach ($hull as $nth => $from) {
            $to = $hull[($nth + 1) % \count($hull)];
            $angle = atan2($to[1] - $from[1], $to[0] - $from[0]);
            $box = self::turned($hull, $angle);
            $best = null === $best || $box->width * $box->height < $best->width * $best->height ? $box : $best;
        }
        \assert(null !== $best);

        return $best;
    }

    /** @return list<array{int, int}> */
    public function corners(): array
    {
        [$cos, $sin] = [cos($this->angle), sin($this->angle)];
        $at = static fn (float $x, float $y): array => [(int) round($x * $cos - $y * $sin), (int) round($x * $sin + $y * $cos)];
        [$right, $bottom] = [$this->left + $this->width, $this->top + $this->height];

        return [$at($this->left, $this->top), $at($right, $this->top), $at($right, $bottom), $at($this->left, $bottom)];
    }

    /** @param list<array{float, float}> $points */
    private static function turned(array $points, float $angle): self
    {
        [$cos, $sin] = [cos($angle), sin($angle)];
        $along = array_map(static fn (array $point): float => $point[0] * $cos + $point[1] * $sin, $points);
        $across = array_map(static fn (array $point): float => $point[1] * $cos - $point[0] * $sin, $points);
        $along = [] === $along ? [0.0] : $along;
        $across = [] === $across ? [0.0] : $across;

        return new self(max($along) - min($along), max($across) - min($across), min($along), min($across), $angle);
    }

    /**
     * Andrew’s monotone chain (1979; from memory).
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    private static function hull(array $points): array
    {
        usort($points, static fn (array $a, array $b): int => $a <=> $b);
        $hull = [...self::chain($points), ...self::chain(array_reverse($points))];

        return [] === $hull ? $points : $hull;
    }

    /**
     * @param list<array{float, float}> $points in order
     *
     * @return list<array{float, float}> those that the way along one side turns at, without the last
     */
    private static function chain(array $points): array
    {
        $chain = [];
        foreach ($points as $point) {
            for ($size = \count($chain); $size >= 2; --$size) {
                [$a, $b] = [$chain[$size - 2], $chain[$size - 1]];
                if (($b[0] - $a[0]) * ($point[1] - $a[1]) - ($b[1] - $a[1]) * ($point[0] - $a[0]) > 0) {
                    break;
                }
                array_pop($chain);
            }
            $chain[] = $point;
        }
        array_pop($chain);

        return $chain;
    }
}
