<?php

declare(strict_types=1);

namespace Lottel\Core\Picture;

use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;

/** A small picture, pixel by pixel. */
final readonly class Raster
{
    /** @param list<int> $pixels sRGB as 0xRRGGBB, row by row from the top */
    public function __construct(public int $width, public int $height, public array $pixels)
    {
        if ($width < 1 || $height < 1 || \count($pixels) !== $width * $height) {
            throw new \InvalidArgumentException('A raster has as many pixels as its sides say.');
        }
    }

    /** Returns which pixel lies at a point in thousandths. */
    public function pixelAt(int $x, int $y): int
    {
        return $this->along($y, $this->height) * $this->width + $this->along($x, $this->width);
    }

    /** @return list<int> the pixels of a spot without the fifth at each of its edges, where what lies beside it shows */
    public function middleOf(Spot $spot): array
    {
        $pixels = [];
        [$left, $right] = [
            $this->along(self::fifth($spot->x, $spot->width, 1), $this->width),
            $this->along(self::fifth($spot->x, $spot->width, 4) - 1, $this->width),
        ];
        [$top, $bottom] = [
            $this->along(self::fifth($spot->y, $spot->height, 1), $this->height),
            $this->along(self::fifth($spot->y, $spot->height, 4) - 1, $this->height),
        ];
        for ($y = $top; $y <= $bottom; ++$y) {
            for ($x = $left; $x <= $right; ++$x) {
                $pixels[] = $this->pixels[$y * $this->width + $x];
            }
        }

        return $pixels;
    }

    /** @return list<Lab> */
    public function inLab(): array
    {
        $known = [];

        return array_map(static function (int $pixel) use (&$known): Lab {
            return $known[$pixel] ??= Lab::of(Srgb::ofHex(\sprintf('#%06x', $pixel)));
        }, $this->pixels);
    }

    private static function fifth(int $from, int $long, int $nth): int
    {
        return $from + intdiv($long * $nth, 5);
    }

    private function along(int $thousandths, int $side): int
    {
        return max(0, min($side - 1, intdiv($thousandths * $side, Spot::WHOLE)));
    }
}
