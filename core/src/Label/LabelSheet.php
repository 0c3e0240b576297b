<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/** A page of labels as a grid with margins, in tenths of a millimetre. */
final readonly class LabelSheet
{
    /**
     * @throws InvalidLabel if the labels do not go onto the page, or overlap
     */
    public function __construct(
        public string $name,
        public int $pageWidth,
        public int $pageHeight,
        public int $left,
        public int $top,
        public int $columns,
        public int $rows,
        public LabelSize $label,
        public int $gapAcross = 0,
        public int $gapDown = 0,
    ) {
        if ($columns < 1 || $rows < 1 || min($left, $top, $gapAcross, $gapDown) < 0
            || $left + $columns * $label->width + ($columns - 1) * $gapAcross > $pageWidth
            || $top + $rows * $label->height + ($rows - 1) * $gapDown > $pageHeight) {
            throw InvalidLabel::sheetIsTooSmall();
        }
    }

    /**
     * Returns usual sheets (common practice, no source).
     *
     * @return array<string, self>
     */
    public static function usual(): array
    {
        return [
            'a4-24' => new self('A4, 3 × 8 labels', 2100, 2970, 0, 45, 3, 8, new LabelSize(700, 360)),
            'a4-14' => new self('A4, 2 × 7 labels', 2100, 2970, 47, 151, 2, 7, new LabelSize(990, 380), 26),
            'a4-65' => new self('A4, 5 × 13 labels', 2100, 2970, 49, 107, 5, 13, new LabelSize(381, 211), 24),
            'letter-30' => new self('Letter, 3 × 10 labels', 2159, 2794, 48, 127, 3, 10, new LabelSize(667, 254), 32),
            'letter-10' => new self('Letter, 2 × 5 labels', 2159, 2794, 40, 127, 2, 5, new LabelSize(1016, 508), 45),
        ];
    }

    public function perPage(): int
    {
        return $this->columns * $this->rows;
    }

    /**
     * Returns where labels go: page from 0, and the left upper corner.
     *
     * @param int $start the first label that is still on the sheet, from 1
     *
     * @return list<array{int, int, int}>
     *
     * @throws InvalidLabel if there is no such label
     */
    public function spots(int $labels, int $start = 1): array
    {
        if ($start < 1 || $start > $this->perPage()) {
            throw InvalidLabel::start($this->perPage());
        }
        $spots = [];
        for ($number = $start - 1; $number < $labels + $start - 1; ++$number) {
            $on = $number % $this->perPage();
            $spots[] = [
                intdiv($number, $this->perPage()),
                $this->left + ($on % $this->columns) * ($this->label->width + $this->gapAcross),
                $this->top + intdiv($on, $this->columns) * ($this->label->height + $this->gapDown),
            ];
        }

        return $spots;
    }

    /**
     * Returns labels on their fields, each in the middle of its own.
     *
     * @param list<LabelDrawing> $drawings each no larger than a field
     *
     * @return list<PlacedLabel>
     *
     * @throws InvalidLabel if there is no such label to begin with
     */
    public function place(array $drawings, int $start): array
    {
        return array_map(fn (LabelDrawing $drawing, array $spot): PlacedLabel => new PlacedLabel(
            $drawing,
            $spot[0],
            $spot[1] + intdiv($this->label->width - $drawing->size->width, 2),
            $spot[2] + intdiv($this->label->height - $drawing->size->height, 2),
        ), $drawings, $this->spots(\count($drawings), $start));
    }

    /** Whether a label goes onto one of its fields. */
    public function holds(LabelSize $size): bool
    {
        return $size->width <= $this->label->width && $size->height <= $this->label->height;
    }
}
