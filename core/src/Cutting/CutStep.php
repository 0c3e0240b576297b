<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/**
 * One stroke of the trimmer: a setting from an edge, and the parts that lie on each other under it. A part is named by the
 * number of its stock in the plan and its name there: `1` is the whole, `1.1` and `1.2` what its cut makes.
 */
final readonly class CutStep
{
    /**
     * @param string $edge left, right, upper or lower
     * @param list<array{int, string}> $parts
     * @param int $width of each part in hand
     */
    public function __construct(
        public int $setting,
        public string $edge,
        public array $parts,
        public bool $isNewSetting,
        public int $width,
        public int $height,
        public bool $isCutAlongX,
    ) {
    }

    /** Which edge lies against the stop: the `short` or the `long` one, or `any` of a square. */
    public function side(): string
    {
        [$edge, $other] = $this->isCutAlongX ? [$this->height, $this->width] : [$this->width, $this->height];

        return $edge === $other ? 'any' : ($edge < $other ? 'short' : 'long');
    }

    /** Returns where the cut is, from the left or the upper edge. */
    public function at(): int
    {
        return $this->atWhenSetTo($this->setting);
    }

    /** Returns where a cut would be with the same edge against the stop and the trimmer set to something else. */
    public function atWhenSetTo(int $setting): int
    {
        return match ($this->edge) {
            'left', 'upper' => $setting,
            'right' => $this->width - $setting,
            default => $this->height - $setting,
        };
    }

    /** Returns the length of a part in hand along the trimmer's rule. */
    public function along(): int
    {
        return $this->isCutAlongX ? $this->width : $this->height;
    }

    /** Returns how long the cut is. */
    public function across(): int
    {
        return $this->isCutAlongX ? $this->height : $this->width;
    }
}
