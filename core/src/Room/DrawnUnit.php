<?php

declare(strict_types=1);

namespace Lottel\Core\Room;

/** Where a unit is drawn in its row, with its name above it, in pixels from the row's left upper corner. */
final readonly class DrawnUnit
{
    /**
     * @param list<string> $title the lines of its name; the first stands beside its letters and may be empty
     * @param bool $isFlush whether the lines after the first begin under the letters
     */
    public function __construct(
        public Standing $unit,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
        public array $title,
        public bool $isFlush,
        public Lettering $lettering,
    ) {
    }

    /**
     * Returns what its name takes up.
     *
     * @return array{float, float, float, float} x, y, width, height
     */
    public function nameBox(): array
    {
        $indent = $this->lettering->indent($this->unit->letters);
        $widths = array_map(
            fn (string $line, int $nth): float => ($this->isFlush && $nth > 0 ? 0.0 : $indent) + $this->lettering->width($line),
            $this->title,
            array_keys($this->title),
        );
        $height = \count($this->title) * $this->lettering->line + Elevation::TITLE_GAP;

        return [$this->x, $this->y - $height, max($widths ?: [$indent]), $height];
    }
}
