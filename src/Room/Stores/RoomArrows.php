<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Svg;

/** Draws what moves from one front to another: an arrow that bows out of the way, with a letter on it. */
final class RoomArrows
{
    private const BOW = 0.2;
    private const MOST_BOW = 34.0;
    private const HEAD = 8.0;
    private const APART = 19.0;
    private const ALONG = [0.5, 0.38, 0.62, 0.28, 0.72, 0.2, 0.8];

    /**
     * @param list<array{int, int, string}> $arrows from which place's front to which, with a letter; those of which an end is not drawn are left out
     */
    public function draw(RoomSketch $sketch, array $arrows): string
    {
        $at = $this->middles($sketch);
        $lines = $signs = '';
        $taken = [];
        foreach ($arrows as [$from, $to, $letter]) {
            if (!isset($at[$from], $at[$to]) || $from === $to) {
                continue;
            }
            [$start, $end] = [$at[$from], $at[$to]];
            $bend = self::bend($start, $end);
            $lines .= $this->line($start, $bend, $end);
            $sign = $this->free($start, $bend, $end, $taken);
            $taken[] = $sign;
            $signs .= self::sign($sign, $letter);
        }

        return '' === $lines ? '' : '<g class="arrows" aria-hidden="true">'.$lines.$signs.'</g>';
    }

    /** @return array<int, array{float, float}> the middle of each front in the whole drawing, by place */
    private function middles(RoomSketch $sketch): array
    {
        $at = [];
        foreach ($sketch->marks as $mark) {
            [$x, $y] = $mark->middle();
            $at[$mark->id] = [$x + $sketch->offsets[$mark->row][0], $y + $sketch->offsets[$mark->row][1]];
        }

        return $at;
    }

    /**
     * @param array{float, float} $start
     * @param array{float, float} $end
     *
     * @return array{float, float}
     */
    private static function bend(array $start, array $end): array
    {
        [$dx, $dy] = [$end[0] - $start[0], $end[1] - $start[1]];
        $long = max(1.0, hypot($dx, $dy));
        $bow = 2 * min(self::MOST_BOW, self::BOW * $long + 6);

        return [($start[0] + $end[0]) / 2 - $dy / $long * $bow, ($start[1] + $end[1]) / 2 + $dx / $long * $bow];
    }

    /**
     * @param array{float, float} $start
     * @param array{float, float} $bend
     * @param array{float, float} $end
     */
    private function line(array $start, array $bend, array $end): string
    {
        $angle = atan2($end[1] - $bend[1], $end[0] - $bend[0]);
        $path = \sprintf('M%.1f %.1fQ%.1f %.1f %.1f %.1f', ...$start, ...$bend, ...$end);
        $side = static fn (float $turn): string => \sprintf(
            '%.1f %.1f',
            $end[0] - self::HEAD * cos($angle + $turn),
            $end[1] - self::HEAD * sin($angle + $turn),
        );

        return \sprintf(
            '<path class="halo" d="%1$s"/><path class="way" d="%1$s"/><path class="head" d="M%2$.1f %3$.1fL%4$s L%5$sz"/>'
            .'<circle class="from" cx="%6$.1f" cy="%7$.1f" r="3.4"/>',
            $path,
            $end[0],
            $end[1],
            $side(0.45),
            $side(-0.45),
            $start[0],
            $start[1],
        );
    }

    /**
     * A spot along the arrow where no other letter stands.
     *
     * @param array{float, float} $start
     * @param array{float, float} $bend
     * @param array{float, float} $end
     * @param list<array{float, float}> $taken
     *
     * @return array{float, float}
     */
    private function free(array $start, array $bend, array $end, array $taken): array
    {
        $spots = array_map(static function (float $t) use ($start, $bend, $end): array {
            [$a, $b, $c] = [(1 - $t) ** 2, 2 * $t * (1 - $t), $t ** 2];

            return [$a * $start[0] + $b * $bend[0] + $c * $end[0], $a * $start[1] + $b * $bend[1] + $c * $end[1]];
        }, self::ALONG);
        foreach ($spots as $spot) {
            if ([] === array_filter($taken, static fn (array $other): bool => hypot($spot[0] - $other[0], $spot[1] - $other[1]) < self::APART)) {
                return $spot;
            }
        }

        return $spots[0];
    }

    /** @param array{float, float} $at */
    private static function sign(array $at, string $letter): string
    {
        return \sprintf(
            '<g class="sign" transform="translate(%.1f %.1f)"><path d="M0 -11L11 0L0 11L-11 0z"/><text y="4">%s</text></g>',
            $at[0],
            $at[1],
            Svg::escape($letter),
        );
    }
}
