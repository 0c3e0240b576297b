<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** The colours of a picture with the share that each has, the largest first. */
final readonly class Palette
{
    private const ROUNDS = 24;

    /** @param list<array{colour: Srgb, share: float}> $colours */
    private function __construct(public array $colours)
    {
    }

    /**
     * Returns up to $count colours of a picture: its pixels counted in cells of five bits a channel, the cells' mean colours
     * put into groups by weighted k-means in CIELAB. The first centre is the heaviest cell, each next one the cell that is
     * heaviest times farthest from those chosen, so that the same pixels always give the same palette.
     *
     * @param iterable<int> $pixels sRGB as 0xRRGGBB
     */
    public static function of(iterable $pixels, int $count = 5): self
    {
        $cells = self::cells($pixels);
        if ([] === $cells) {
            return new self([]);
        }
        $centres = self::firstCentres($cells, $count);
        $groups = [];
        for ($round = 0; $round < self::ROUNDS; ++$round) {
            $before = $groups;
            $groups = array_map(static fn (array $cell): int => self::nearest($cell['lab'], $centres), $cells);
            if ($groups === $before) {
                break;
            }
            $centres = self::means($cells, $groups, $centres);
        }

        return new self(self::summed($cells, $groups));
    }

    /**
     * @param iterable<int> $pixels
     *
     * @return list<array{lab: Lab, weight: int, rgb: array{float, float, float}}>
     */
    private static function cells(iterable $pixels): array
    {
        $sums = [];
        foreach ($pixels as $pixel) {
            [$r, $g, $b] = [($pixel >> 16) & 255, ($pixel >> 8) & 255, $pixel & 255];
            $key = ($r >> 3) << 10 | ($g >> 3) << 5 | $b >> 3;
            $sums[$key] ??= [0, 0, 0, 0];
            ++$sums[$key][0];
            $sums[$key][1] += $r;
            $sums[$key][2] += $g;
            $sums[$key][3] += $b;
        }
        ksort($sums);
        $cells = [];
        foreach ($sums as [$weight, $r, $g, $b]) {
            $rgb = [$r / $weight, $g / $weight, $b / $weight];
            $cells[] = ['lab' => Lab::of(self::srgb($rgb)), 'weight' => $weight, 'rgb' => $rgb];
        }

        return $cells;
    }

    /**
     * @param non-empty-list<array{lab: Lab, weight: int, rgb: array{float, float, float}}> $cells
     *
     * @return list<Lab>
     */
    private static function firstCentres(array $cells, int $count): array
    {
        $centres = [];
        $distance = array_fill(0, \count($cells), 1.0);
        while (\count($centres) < min($count, \count($cells))) {
            $best = 0;
            foreach ($cells as $at => $cell) {
                if ($cell['weight'] * $distance[$at] > $cells[$best]['weight'] * $distance[$best]) {
                    $best = $at;
                }
            }
            if (0.0 === $distance[$best]) {
                break;
            }
            $centre = $cells[$best]['lab'];
            foreach ($cells as $at => $cell) {
                $square = self::square($cell['lab'], $centre);
                $distance[$at] = [] === $centres ? $square : min($distance[$at], $square);
            }
            $centres[] = $centre;
        }

        return $centres;
    }

    /**
     * @param list<array{lab: Lab, weight: int, rgb: array{float, float, float}}> $cells
     * @param list<int> $groups
     * @param list<Lab> $centres
     *
     * @return list<Lab>
     */
    private static function means(array $cells, array $groups, array $centres): array
    {
        $sums = array_fill(0, \count($centres), [0.0, 0.0, 0.0, 0.0]);
        foreach ($cells as $at => $cell) {
            [$weight, $l, $a, $b] = $sums[$groups[$at]];
            $more = $cell['weight'];
            $sums[$groups[$at]] = [$weight + $more, $l + $more * $cell['lab']->l, $a + $more * $cell['lab']->a, $b + $more * $cell['lab']->b];
        }

        return array_map(
            static fn (array $sum, Lab $old): Lab => 0.0 === $sum[0] ? $old : new Lab($sum[1] / $sum[0], $sum[2] / $sum[0], $sum[3] / $sum[0]),
            $sums,
            $centres,
        );
    }

    /**
     * @param list<array{lab: Lab, weight: int, rgb: array{float, float, float}}> $cells
     * @param list<int> $groups
     *
     * @return list<array{colour: Srgb, share: float}>
     */
    private static function summed(array $cells, array $groups): array
    {
        $total = array_sum(array_column($cells, 'weight'));
        $sums = [];
        foreach ($cells as $at => $cell) {
            $group = $groups[$at];
            [$weight, $r, $g, $b] = $sums[$group] ?? [0, 0.0, 0.0, 0.0];
            $more = $cell['weight'];
            $sums[$group] = [$weight + $more, $r + $more * $cell['rgb'][0], $g + $more * $cell['rgb'][1], $b + $more * $cell['rgb'][2]];
        }
        $colours = array_map(
            static fn (array $sum): array => [
                'colour' => self::srgb([$sum[1] / $sum[0], $sum[2] / $sum[0], $sum[3] / $sum[0]]),
                'share' => $sum[0] / $total,
            ],
            array_values($sums),
        );
        usort($colours, static fn (array $a, array $b): int => $b['share'] <=> $a['share'] ?: strcmp($a['colour']->hex(), $b['colour']->hex()));

        return $colours;
    }

    /** @param list<Lab> $centres */
    private static function nearest(Lab $lab, array $centres): int
    {
        $best = 0;
        $least = \INF;
        foreach ($centres as $at => $centre) {
            $square = self::square($lab, $centre);
            if ($square < $least) {
                [$best, $least] = [$at, $square];
            }
        }

        return $best;
    }

    private static function square(Lab $one, Lab $other): float
    {
        return ($one->l - $other->l) ** 2 + ($one->a - $other->a) ** 2 + ($one->b - $other->b) ** 2;
    }

    /** @param array{float, float, float} $rgb */
    private static function srgb(array $rgb): Srgb
    {
        return Srgb::ofHex(\sprintf('#%02x%02x%02x', ...array_map(static fn (float $value): int => (int) round($value), $rgb)));
    }
}
