<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;

/**
 * Measures a scrap that lies on a sheet of known size in a photo. What hangs together with the rim of the picture is the table; the
 * sheet is the largest of the rest. Lines fitted to its sides cross in its corners, from which follows how the camera saw it; the scrap is
 * what differs in colour from the sheet. An estimate that a person looks at.
 */
final readonly class ScrapOnSheet
{
    private const LEAST_OF_PICTURE = 0.15;
    private const LEAST_OF_SHEET = 0.004;
    private const ALSO_LARGE = 0.3;
    private const INSET = 0.03;

    /** What fills less than so much of the box around it is no rectangle. */
    private const LEAST_FILLED = 0.93;

    /**
     * @param Size $size of the scrap, in ticks, not rounded
     * @param int $giveOrTake what one pixel of the photo is, in ticks
     * @param list<array{int, int}> $corners of the scrap on the sheet, in ticks from its left upper corner
     */
    private function __construct(public Size $sheet, public Size $size, public int $giveOrTake, public array $corners, public string $colour)
    {
    }

    /** @throws UnclearPicture if no sheet is seen whole, or not one rectangular scrap on it */
    public static function measured(Raster $picture, Size $sheet): self
    {
        $colours = array_map(static fn (int $pixel): array => [$pixel >> 16, ($pixel >> 8) & 255, $pixel & 255], $picture->pixels);
        $region = self::sheetIn($picture, $colours);
        $corners = (new PhotoSides($region, $picture->width, $picture->height))->corners();
        $isWide = self::length($corners[0], $corners[1]) > self::length($corners[1], $corners[2]);
        $turned = $isWide === ($sheet->width->ticks >= $sheet->height->ticks) ? $sheet : $sheet->turned();
        $view = View::of($corners, $turned->width->ticks, $turned->height->ticks);
        $scrap = self::scrapOn($picture, $colours, $region, $view);
        [$size, $box] = self::rectangle($scrap, $view, $picture->width);
        $pixel = max(
            $turned->width->ticks / self::length($corners[0], $corners[1]),
            $turned->height->ticks / self::length($corners[1], $corners[2]),
        );

        $seen = self::middle(array_map(static fn (int $at): array => $colours[$at], array_keys($scrap)));

        return new self($turned, $size, (int) ceil($pixel), $box, \sprintf('#%02x%02x%02x', ...$seen));
    }

    /** Returns its size to the sixteenth or the millimetre, which is finer than a photo tells; the shorter side first. */
    public function rounded(LengthUnit $unit): Size
    {
        $step = self::step($unit);
        $sides = array_map(
            static fn (Length $side): int => max(1, (int) round($side->ticks / $step)) * $step,
            [$this->size->width, $this->size->height],
        );

        return Size::ofTicks(min($sides), max($sides));
    }

    /** Returns how far its sides may be off, rounded up. */
    public function mayBeOff(LengthUnit $unit): Length
    {
        return Length::ofTicks((int) ceil($this->giveOrTake / self::step($unit)) * self::step($unit));
    }

    private static function step(LengthUnit $unit): int
    {
        return LengthUnit::Inch === $unit ? intdiv(Length::TICKS_PER_INCH, 16) : Length::TICKS_PER_MILLIMETRE;
    }

    /**
     * @param list<array{int, int, int}> $colours
     *
     * @return array<int, true> the pixels of the sheet with all that lies on it
     */
    private static function sheetIn(Raster $picture, array $colours): array
    {
        $rim = self::rim($picture);
        $table = self::middle(array_map(static fn (int $at): array => $colours[$at], $rim));
        $far = array_map(static fn (array $colour): int => self::between($colour, $table), $colours);
        $most = Threshold::of($far);
        $outside = self::spread($picture, $rim, static fn (int $at): bool => $far[$at] <= $most);
        $inside = array_diff_key(array_fill(0, \count($colours), true), $outside);
        $region = self::largest($picture, $inside)[0] ?? [];
        if (\count($region) < self::LEAST_OF_PICTURE * \count($colours) || [] !== array_intersect_key($region, array_flip($rim))) {
            throw UnclearPicture::sheetIsNotSeen();
        }

        return $region;
    }

    /**
     * @param list<array{int, int, int}> $colours
     * @param array<int, true> $region
     *
     * @return array<int, true> the pixels of the one scrap
     */
    private static function scrapOn(Raster $picture, array $colours, array $region, View $view): array
    {
        $inner = array_filter(array_keys($region), static function (int $at) use ($view, $picture): bool {
            [$x, $y] = $view->at($at % $picture->width + 0.5, intdiv($at, $picture->width) + 0.5);

            return min($x / $view->width, $y / $view->height, 1 - $x / $view->width, 1 - $y / $view->height) > self::INSET;
        });
        $ring = array_filter($inner, static function (int $at) use ($view, $picture): bool {
            [$x, $y] = $view->at($at % $picture->width + 0.5, intdiv($at, $picture->width) + 0.5);

            return min($x / $view->width, $y / $view->height, 1 - $x / $view->width, 1 - $y / $view->height) < 2 * self::INSET;
        });
        $paper = self::middle(array_map(static fn (int $at): array => $colours[$at], array_values($ring)));
        $far = array_map(static fn (int $at): int => self::between($colours[$at], $paper), $inner);
        $least = Threshold::of(array_values($far));
        $other = array_flip(array_keys(array_filter(array_combine($inner, $far), static fn (int $distance): bool => $distance > $least)));
        $parts = self::largest($picture, array_map(static fn (): bool => true, $other));
        if (\count($parts[0] ?? []) < self::LEAST_OF_SHEET * \count($region)) {
            throw UnclearPicture::nothingLiesOnIt();
        }
        if (\count($parts[1] ?? []) > self::ALSO_LARGE * \count($parts[0])) {
            throw UnclearPicture::severalLieOnIt();
        }

        return $parts[0];
    }

    /**
     * @param array<int, true> $scrap
     *
     * @return array{Size, list<array{int, int}>}
     */
    private static function rectangle(array $scrap, View $view, int $across): array
    {
        $points = [];
        $area = 0.0;
        foreach (array_keys($scrap) as $at) {
            [$x, $y] = [$at % $across, intdiv($at, $across)];
            $area += $view->areaAt($x + 0.5, $y + 0.5);
            foreach ([-1, 1, -$across, $across] as $beside) {
                if (!isset($scrap[$at + $beside])) {
                    $points[] = $view->at($x + 0.5, $y + 0.5);
                    break;
                }
            }
        }
        $box = SmallestBox::around($points);
        // The middles of the pixels at the edge lie half a pixel inside.
        $pixel = sqrt($area / \count($scrap));
        [$width, $height] = [$box->width + $pixel, $box->height + $pixel];
        $filled = $area / ($width * $height);
        if ($filled < self::LEAST_FILLED) {
            throw UnclearPicture::isNoRectangle();
        }

        return [Size::ofTicks((int) round($width * sqrt($filled)), (int) round($height * sqrt($filled))), $box->corners()];
    }

    /** @return list<int> the pixels at the rim of the picture */
    private static function rim(Raster $picture): array
    {
        $rim = [];
        for ($x = 0; $x < $picture->width; ++$x) {
            array_push($rim, $x, ($picture->height - 1) * $picture->width + $x);
        }
        for ($y = 0; $y < $picture->height; ++$y) {
            array_push($rim, $y * $picture->width, $y * $picture->width + $picture->width - 1);
        }

        return $rim;
    }

    /**
     * @param list<int> $from
     * @param \Closure(int): bool $goesOn
     *
     * @return array<int, true>
     */
    private static function spread(Raster $picture, array $from, \Closure $goesOn): array
    {
        $reached = [];
        $open = array_values(array_filter($from, $goesOn));
        while (null !== $at = array_pop($open)) {
            if (isset($reached[$at])) {
                continue;
            }
            $reached[$at] = true;
            foreach (self::beside($picture, $at) as $next) {
                if (!isset($reached[$next]) && $goesOn($next)) {
                    $open[] = $next;
                }
            }
        }

        return $reached;
    }

    /**
     * @param array<int, bool> $pixels
     *
     * @return list<array<int, true>> the parts that hang together, the largest first
     */
    private static function largest(Raster $picture, array $pixels): array
    {
        $parts = [];
        while ([] !== $pixels) {
            $part = self::spread($picture, [array_key_first($pixels)], static fn (int $at): bool => isset($pixels[$at]));
            $parts[] = $part;
            $pixels = array_diff_key($pixels, $part);
        }
        usort($parts, static fn (array $a, array $b): int => \count($b) <=> \count($a));

        return $parts;
    }

    /** @return list<int> */
    private static function beside(Raster $picture, int $at): array
    {
        $x = $at % $picture->width;
        $beside = [$at - $picture->width, $at + $picture->width, $x > 0 ? $at - 1 : -1, $x < $picture->width - 1 ? $at + 1 : -1];

        return array_values(array_filter($beside, static fn (int $next): bool => $next >= 0 && $next < $picture->width * $picture->height));
    }

    /**
     * @param list<array{int, int, int}> $colours
     *
     * @return array{int, int, int} the median of each channel
     */
    private static function middle(array $colours): array
    {
        $middle = [];
        foreach ([0, 1, 2] as $channel) {
            $values = array_column($colours, $channel);
            sort($values);
            $middle[] = $values[intdiv(\count($values), 2)] ?? 0;
        }

        return [$middle[0], $middle[1], $middle[2]];
    }

    /**
     * @param array{int, int, int} $one
     * @param array{int, int, int} $other
     */
    private static function between(array $one, array $other): int
    {
        return (int) sqrt(($one[0] - $other[0]) ** 2 + ($one[1] - $other[1]) ** 2 + ($one[2] - $other[2]) ** 2);
    }

    /**
     * @param array{float, float} $from
     * @param array{float, float} $to
     */
    private static function length(array $from, array $to): float
    {
        return hypot($to[0] - $from[0], $to[1] - $from[1]);
    }
}
