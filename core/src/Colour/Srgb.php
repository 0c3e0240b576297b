<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** A colour in sRGB (IEC 61966-2-1), eight bits a channel. */
final readonly class Srgb
{
    private function __construct(public int $red, public int $green, public int $blue)
    {
    }

    /** @throws InvalidColour if it is not `#` and six hexadecimal digits */
    public static function ofHex(string $hex): self
    {
        if (1 !== preg_match('/^#[0-9a-f]{6}$/iD', $hex)) {
            throw InvalidColour::notHex($hex);
        }
        [$red, $green, $blue] = array_map(static fn (string $pair): int => (int) hexdec($pair), str_split(substr($hex, 1), 2));

        return new self($red, $green, $blue);
    }

    /** Returns the colour of linear light, each channel clipped to 0 to 1; transfer function of IEC 61966-2-1. */
    public static function ofLinear(float $red, float $green, float $blue): self
    {
        return new self(self::encoded($red), self::encoded($green), self::encoded($blue));
    }

    /** Returns `#` and six lower-case hexadecimal digits. */
    public function hex(): string
    {
        return \sprintf('#%02x%02x%02x', $this->red, $this->green, $this->blue);
    }

    /**
     * Returns red, green and blue as linear light, 0 to 1; transfer function of IEC 61966-2-1.
     *
     * @return array{float, float, float}
     */
    public function linear(): array
    {
        return [self::decoded($this->red), self::decoded($this->green), self::decoded($this->blue)];
    }

    private static function encoded(float $light): int
    {
        $clipped = min(1.0, max(0.0, $light));

        return (int) round(255 * ($clipped <= 0.0031308 ? 12.92 * $clipped : 1.055 * $clipped ** (1 / 2.4) - 0.055));
    }

    private static function decoded(int $channel): float
    {
        $value = $channel / 255;

        return $value <= 0.04045 ? $value / 12.92 : (($value + 0.055) / 1.055) ** 2.4;
    }
}
