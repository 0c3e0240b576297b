<?php

declare(strict_types=1);

namespace Lottel\Core\Colour;

/** How near colours come to those that are aimed at. */
final class AimedAt
{
    /** Up to here one passes for the other across a table (common practice, no source). */
    private const NEAR = 12.0;

    /**
     * Returns of each colour that is aimed at the one that comes nearest to it, and how far off that is in ΔE00; null where none is near.
     *
     * @param list<Srgb> $targets
     * @param list<FrontColour> $colours
     *
     * @return list<array{Srgb, FrontColour|null, float|null}>
     */
    public static function met(array $targets, array $colours): array
    {
        return array_map(static function (Srgb $target) use ($colours): array {
            [$best, $least] = [null, self::NEAR];
            foreach ($colours as $colour) {
                $off = Difference::between(Lab::of($target), Lab::of($colour->colour));
                [$best, $least] = $off <= $least ? [$colour, $off] : [$best, $least];
            }

            return [$target, $best, null === $best ? null : $least];
        }, $targets);
    }
}
