<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

/** One thing drawn on a label. All measures in tenths of a millimetre from its left upper corner. */
final readonly class LabelMark
{
    private function __construct(
        public string $kind,
        public float $x,
        public float $y,
        public float $width = 0,
        public float $height = 0,
        public string $text = '',
        public Face $face = Face::Plain,
        public string $fill = '#000000',
        public bool $isCentred = false,
    ) {
    }

    /** A line of text; $y is its baseline, $size its size, $width how wide it is. */
    public static function text(string $text, float $x, float $y, float $size, Face $face, bool $isCentred = false): self
    {
        return new self('text', $x, $y, $face->width($text, $size), $size, $text, $face, isCentred: $isCentred);
    }

    public static function code(string $text, float $x, float $y, float $side): self
    {
        return new self('code', $x, $y, $side, $side, $text);
    }

    public static function patch(float $x, float $y, float $width, float $height, string $fill): self
    {
        return new self('patch', $x, $y, $width, $height, fill: $fill);
    }

    /** A thin line along which the label is folded. */
    public static function fold(float $x, float $y, float $width, float $height): self
    {
        return new self('fold', $x, $y, $width, $height);
    }
}
