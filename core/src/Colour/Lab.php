<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** A colour in CIELAB (ISO/CIE 11664-4), white D65 from x 0.3127, y 0.3290, 2° observer. */
final readonly class Lab
{
    private const WHITE = [0.3127 / 0.3290, 1.0, (1 - 0.3127 - 0.3290) / 0.3290];

    /** Linear sRGB to XYZ, from the primaries of IEC 61966-2-1 and the white above. */
    private const TO_XYZ = [
        [0.41239079926595934, 0.357584339383878, 0.1804807884018343],
        [0.21263900587151027, 0.715168678767756, 0.07219231536073371],
        [0.01933081871559182, 0.11919477979462598, 0.9505321522496607],
    ];

    public function __construct(public float $l, public float $a, public float $b)
    {
    }

    /** Returns the CIELAB value of an sRGB colour. */
    public static function of(Srgb $colour): self
    {
        $linear = $colour->linear();
        $f = [];
        foreach (self::TO_XYZ as $i => $row) {
            $f[$i] = self::compressed(($row[0] * $linear[0] + $row[1] * $linear[1] + $row[2] * $linear[2]) / self::WHITE[$i]);
        }

        return new self(116 * $f[1] - 16, 500 * ($f[0] - $f[1]), 200 * ($f[1] - $f[2]));
    }

    /** Returns the chroma C*ab. */
    public function chroma(): float
    {
        return hypot($this->a, $this->b);
    }

    /** Returns the hue angle h ab in degrees, 0 to below 360. */
    public function hue(): float
    {
        return fmod(rad2deg(atan2($this->b, $this->a)) + 360, 360);
    }

    private static function compressed(float $t): float
    {
        $delta = 6 / 29;

        return $t > $delta ** 3 ? $t ** (1 / 3) : $t / (3 * $delta ** 2) + 4 / 29;
    }
}
