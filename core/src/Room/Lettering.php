<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

use Lottel\Core\Words\TypeWidth;

/** How large the names of units are written in a drawing, in pixels. */
final readonly class Lettering
{
    private const SPACE = 3.5;
    private const OF_PLATE = 0.61;

    /**
     * @param float $letters size of a unit's letters
     * @param float $name size of its name
     * @param float $line from line to line
     */
    private function __construct(public float $letters, public float $name, public float $line)
    {
    }

    public static function small(): self
    {
        return new self(13.0, 11.5, 12.5);
    }

    public static function large(): self
    {
        return new self(18.0, 17.0, 20.0);
    }

    /** How far the first line of a name is indented by the letters of its unit. */
    public function indent(string $letters): float
    {
        return \strlen($letters) * $this->letters * self::OF_PLATE + self::SPACE;
    }

    public function width(string $text): float
    {
        return TypeWidth::of($text, $this->name);
    }
}
