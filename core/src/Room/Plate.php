<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/** A plate beside a front that is too small for its address: several neighbours share one where they would not fit. In pixels. */
final readonly class Plate
{
    public const HEIGHT = 17.0;
    public const DISC = 9.0;

    /**
     * @param list<LitFront> $fronts from the top down
     * @param float $x its left edge, without its disc
     * @param float $y its upper edge
     * @param bool $isLeft whether it stands to the left of its unit
     */
    public function __construct(public array $fronts, public float $x, public float $y, public float $width, public bool $isLeft)
    {
    }

    public function address(): string
    {
        return self::span(array_map(static fn (LitFront $front): string => $front->address, $this->fronts));
    }

    /** Returns what its disc says: a number, the numbers from and to, or how many stops it stands for. */
    public function stop(): string
    {
        $stops = array_values(
            array_filter(array_map(static fn (LitFront $front): string => $front->stop, $this->fronts), static fn (string $stop): bool => '' !== $stop),
        );
        sort($stops, \SORT_NATURAL);
        $isRun = [] !== $stops && $stops === array_map(strval(...), range((int) $stops[0], (int) $stops[0] + \count($stops) - 1));

        return \count($stops) < 2 || $isRun ? self::span($stops) : \count($stops).' ×';
    }

    public function middle(): float
    {
        return $this->y + self::HEIGHT / 2;
    }

    /** @param list<string> $words */
    private static function span(array $words): string
    {
        $first = $words[0] ?? '';
        $last = $words[\count($words) - 1] ?? '';

        return $first === $last ? $first : $first.'–'.$last;
    }
}
