<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/**
 * Lays out a label: as large as goes, legible, and with the code only where it can still be read. All measures in tenths of
 * a millimetre.
 */
final class LabelLayout
{
    private const MARGIN = 20;

    /** The side of the smallest code that cameras and scanners read well (common practice, no source). */
    private const LEAST_CODE = 90;
    private const MOST_CODE = 220;

    /** About 6 and 20 points. */
    private const LEAST_TEXT = 21.0;
    private const MOST_TEXT = 70.0;

    /** How high capitals are, as a share of the size. */
    private const CAPITALS = 0.73;

    /** How far letters such as p reach below the line. */
    private const TAILS = 0.24;

    public function draw(LabelFormat $format, LabelText $text, ?LabelSize $size = null): LabelDrawing
    {
        $size ??= $format->size();
        $marks = match ($format) {
            LabelFormat::Tab => $this->tab($text, $size),
            LabelFormat::Lid => $this->lid($text, $size),
            LabelFormat::Swatch => $this->swatch($text, $size),
            LabelFormat::Contents => $this->contents($text, $size),
            default => $this->plain($text, self::MARGIN, self::MARGIN, $size->width - 2 * self::MARGIN, $size->height - 2 * self::MARGIN),
        };

        return new LabelDrawing($size, $format->isRound(), $marks);
    }

    /** Draws a strip of tape of a height; it is as long as it needs to be. */
    public function tape(LabelText $text, int $height): LabelDrawing
    {
        $inner = $height - 16;
        $marks = [];
        $x = 20.0;
        if (null !== $text->code && $inner >= self::LEAST_CODE) {
            $marks[] = LabelMark::code($text->code, $x, 8, $inner);
            $x += $inner + 16;
        }
        $face = $text->isAddress ? Face::Plate : Face::Bold;
        $line = [] === $text->lines || $inner < 90 ? '' : $text->lines[0];
        $headSize = $inner * ('' === $line ? 1.0 : 0.62);
        $lineSize = $inner * 0.34;
        $marks[] = LabelMark::text($text->head, $x, 8 + $headSize * self::CAPITALS, $headSize, $face);
        $width = $face->width($text->head, $headSize);
        if ('' !== $line) {
            $marks[] = LabelMark::text($line, $x, 8 + $inner - 0.2 * $lineSize, $lineSize, Face::Plain);
            $width = max($width, Face::Plain->width($line, $lineSize));
        }
        $length = (int) ceil($x + $width + 20);

        return new LabelDrawing(new LabelSize(max(LabelSize::LEAST, min(LabelSize::MOST, $length)), $height), false, $marks);
    }

    /** @return list<LabelMark> */
    private function plain(LabelText $text, float $x, float $y, float $width, float $height): array
    {
        $marks = [];
        $side = min($height, self::MOST_CODE, $width / 3);
        if (null !== $text->code && $side >= self::LEAST_CODE) {
            $marks[] = LabelMark::code($text->code, $x + $width - $side, $y + ($height - $side) / 2, $side);
            $width -= $side + self::MARGIN;
        }

        return [...$marks, ...$this->words($text, $x, $y, $width, $height)];
    }

    /**
     * A head and lines below it, all as large as goes.
     *
     * @return list<LabelMark>
     */
    private function words(LabelText $text, float $x, float $y, float $width, float $height, bool $isCentred = false): array
    {
        $face = $text->isAddress ? Face::Plate : Face::Bold;
        $lines = array_values(array_filter($text->lines, static fn (string $line): bool => '' !== $line));
        $room = \count($lines) > 0 ? 0.55 : 1.0;
        $head = $this->fitted($text->head, $width, min(200.0, $height * $room / self::CAPITALS), $face);
        $anchor = $isCentred ? $x + $width / 2 : $x;
        $wrapped = $this->wrapped($lines, $width, $height - $head->height * self::CAPITALS);
        $used =
            $head->height * self::CAPITALS +
            array_sum(array_map(static fn (LabelMark $line): float => 1.25 * $line->height, $wrapped)) +
            self::TAILS * ($wrapped[0]->height ?? 0.0);
        $at = $y + max(0.0, ($height - $used) / 2) + $head->height * self::CAPITALS;
        $marks = [LabelMark::text($head->text, $anchor, $at, $head->height, $face, $isCentred)];
        foreach ($wrapped as $line) {
            $at += 1.25 * $line->height;
            $marks[] = LabelMark::text($line->text, $anchor, $at, $line->height, Face::Plain, $isCentred);
        }

        return $marks;
    }

    /** Returns a line in the largest size in which it is no wider, shortened where even the smallest is too large. */
    private function fitted(string $text, float $width, float $most, Face $face): LabelMark
    {
        $size = min($most, $width / max(1e-6, $face->width('' === $text ? ' ' : $text, 1.0)));
        if ($size >= self::LEAST_TEXT) {
            return LabelMark::text($text, 0, 0, $size, $face);
        }
        $size = min($most, self::LEAST_TEXT);
        while (mb_strlen($text) > 1 && $face->width($text.'…', $size) > $width) {
            $text = rtrim(mb_substr($text, 0, -1));
        }

        return LabelMark::text($text.'…', 0, 0, $size, $face);
    }

    /**
     * Returns lines that go into a height, broken between words, in one size.
     *
     * @param list<string> $lines
     *
     * @return list<LabelMark>
     */
    private function wrapped(array $lines, float $width, float $height): array
    {
        if ([] === $lines) {
            return [];
        }
        for ($size = self::MOST_TEXT; $size >= self::LEAST_TEXT; $size -= 3.5) {
            $broken = array_merge(...array_map(fn (string $line): array => $this->broken($line, $width, $size), $lines));
            if (1.25 * $size * \count($broken) + self::TAILS * $size <= $height) {
                return array_map(fn (string $line): LabelMark => $this->fitted($line, $width, $size, Face::Plain), $broken);
            }
        }
        $count = max(0, (int) (($height - self::TAILS * self::LEAST_TEXT) / (1.25 * self::LEAST_TEXT)));

        return array_map(fn (string $line): LabelMark => $this->fitted($line, $width, self::LEAST_TEXT, Face::Plain), \array_slice($lines, 0, $count));
    }

    /** @return list<string> */
    private function broken(string $text, float $width, float $size): array
    {
        $lines = [];
        $line = '';
        foreach (explode(' ', $text) as $word) {
            if ('' !== $line && Face::Plain->width($line.' '.$word, $size) > $width) {
                $lines[] = $line;
                $line = $word;
            } else {
                $line = '' === $line ? $word : $line.' '.$word;
            }
        }

        return [...$lines, $line];
    }

    /**
     * Both halves say the same, so that it can be read from either side.
     *
     * @return list<LabelMark>
     */
    private function tab(LabelText $text, LabelSize $size): array
    {
        $half = $size->width / 2;
        $bare = new LabelText($text->head, $text->lines, null, null, [], $text->isAddress);

        return [
            LabelMark::fold($half, 0, 0, $size->height),
            ...$this->plain($bare, self::MARGIN, self::MARGIN, $half - 2 * self::MARGIN, $size->height - 2 * self::MARGIN),
            ...$this->plain($bare, $half + self::MARGIN, self::MARGIN, $half - 2 * self::MARGIN, $size->height - 2 * self::MARGIN),
        ];
    }

    /** @return list<LabelMark> */
    private function lid(LabelText $text, LabelSize $size): array
    {
        $side = min($size->width, $size->height);
        $square = $side / \M_SQRT2 - self::MARGIN;
        $left = ($size->width - $square) / 2;
        $top = ($size->height - $square) / 2;
        $code = $square * 0.55;
        if (null === $text->code || $code < self::LEAST_CODE) {
            return $this->words($text, $left, $top, $square, $square, true);
        }

        return [
            LabelMark::code($text->code, $left + ($square - $code) / 2, $top, $code),
            ...$this->words(
                new LabelText($text->head, \array_slice($text->lines, 0, 1), null, null, [], $text->isAddress),
                $left,
                $top + $code + 10,
                $square,
                $square - $code - 10,
                true,
            ),
        ];
    }

    /** @return list<LabelMark> */
    private function swatch(LabelText $text, LabelSize $size): array
    {
        $high = $size->height * 0.5;
        $patch = null === $text->colour ? [] : [LabelMark::patch(0, 0, $size->width, $high, $text->colour)];
        $top = [] === $patch ? self::MARGIN : $high + 12;

        return [...$patch, ...$this->plain($text, self::MARGIN, $top, $size->width - 2 * self::MARGIN, $size->height - $top - 12)];
    }

    /** @return list<LabelMark> */
    private function contents(LabelText $text, LabelSize $size): array
    {
        $width = $size->width - 4 * self::MARGIN;
        $marks = $this->plain($text, 2 * self::MARGIN, 2 * self::MARGIN, $width, 220);
        $room = $size->height - 320.0;
        $line = max(self::LEAST_TEXT * 1.3, min(45.0, $room / max(1, \count($text->contents))));
        $fits = (int) ($room / $line);
        $shown = \array_slice($text->contents, 0, \count($text->contents) > $fits ? $fits - 1 : $fits);
        $at = 290.0;
        foreach ($shown as $content) {
            $at += $line;
            $fitted = $this->fitted($content, $width, $line / 1.3, Face::Plain);
            $marks[] = LabelMark::text($fitted->text, 2 * self::MARGIN, $at, $fitted->height, Face::Plain);
        }
        if (\count($shown) < \count($text->contents)) {
            $more = \sprintf('and %d more', \count($text->contents) - \count($shown));
            $marks[] = LabelMark::text($more, 2 * self::MARGIN, $at + $line, $line / 1.3, Face::Bold);
        }

        return $marks;
    }
}
