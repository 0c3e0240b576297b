<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** A colour in OKLCh: lightness 0 to 1, chroma, hue in degrees (B. Ottosson, “A perceptual color space for image processing”, 2020). */
final readonly class OkLch
{
    public function __construct(public float $l, public float $c, public float $h)
    {
    }

    /** Returns the OKLCh value of an sRGB colour. */
    public static function of(Srgb $colour): self
    {
        [$r, $g, $b] = $colour->linear();
        $l = (0.4122214708 * $r + 0.5363325363 * $g + 0.0514459929 * $b) ** (1 / 3);
        $m = (0.2119034982 * $r + 0.6806995451 * $g + 0.1073969566 * $b) ** (1 / 3);
        $s = (0.0883024619 * $r + 0.2817188376 * $g + 0.6299787005 * $b) ** (1 / 3);
        $a = 1.9779984951 * $l - 2.4285922050 * $m + 0.4505937099 * $s;
        $bb = 0.0259040371 * $l + 0.7827717662 * $m - 0.8086757660 * $s;

        return new self(0.2104542553 * $l + 0.7936177850 * $m - 0.0040720468 * $s, hypot($a, $bb), fmod(rad2deg(atan2($bb, $a)) + 360, 360));
    }

    /** Returns the same hue and chroma at another lightness, 0 to 1, as an sRGB colour; what no screen shows is clipped. */
    public function atLightness(float $lightness): Srgb
    {
        [$a, $b] = [$this->c * cos(deg2rad($this->h)), $this->c * sin(deg2rad($this->h))];
        $l = ($lightness + 0.3963377774 * $a + 0.2158037573 * $b) ** 3;
        $m = ($lightness - 0.1055613458 * $a - 0.0638541728 * $b) ** 3;
        $s = ($lightness - 0.0894841775 * $a - 1.2914855480 * $b) ** 3;

        return Srgb::ofLinear(
            4.0767416621 * $l - 3.3077115913 * $m + 0.2309699292 * $s,
            -1.2684380046 * $l + 2.6097574011 * $m - 0.3413193965 * $s,
            -0.0041960863 * $l - 0.7034186147 * $m + 1.7076147010 * $s,
        );
    }
}
