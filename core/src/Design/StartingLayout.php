<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Measure\Length;

/**
 * Layouts to begin with: blocks on one page of 12 × 12 in, or on two, in eighths of an inch; a photo has a mat that shows one eighth. On
 * a page of another size they keep their proportions, on the grid.
 */
enum StartingLayout: string
{
    case Quay = 'quay';
    case Lantern = 'lantern';
    case Slipway = 'slipway';
    case Mooring = 'mooring';
    case Breakwater = 'breakwater';
    case Tideline = 'tideline';
    case Portholes = 'portholes';
    case Chart = 'chart';
    case TwoPiers = 'two piers';
    case LongSwell = 'long swell';
    case Crossing = 'crossing';
    case Regatta = 'regatta';

    private const EIGHTHS = 96;

    public function form(): Form
    {
        return match ($this) {
            self::TwoPiers, self::LongSwell, self::Crossing, self::Regatta => Form::Spread,
            default => Form::Page,
        };
    }

    public function photos(): int
    {
        return \count(array_filter($this->lines(), static fn (array $line): bool => 'photo' === $line[0]));
    }

    /**
     * Returns its blocks on pages of a size, numbered from one.
     *
     * @param int $grid on which they come to lie
     *
     * @return list<Block>
     */
    public function blocks(Sides $page, int $grid): array
    {
        $to = static fn (int $eighths, int $side): int => (int) round($eighths * $side / (self::EIGHTHS * $grid)) * $grid;
        $eighth = (int) round(Length::TICKS_PER_INCH / 8 * $page->width / (self::EIGHTHS * intdiv(Length::TICKS_PER_INCH, 8)));
        $blocks = [];
        $photos = 0;
        foreach ($this->lines() as $index => [$kind, $x, $y, $width, $height]) {
            $kind = BlockKind::from($kind);
            $isPhoto = BlockKind::Photo === $kind;
            $blocks[] = new Block(
                $index + 1,
                $isPhoto ? 'photo '.++$photos : $kind->value,
                $kind,
                new Rect($to($x, $page->width), $to($y, $page->height), max($grid, $to($width, $page->width)), max($grid, $to($height, $page->height))),
                $isPhoto ? [new Mat(min($eighth, $grid))] : [],
            );
        }

        return $blocks;
    }

    /** @return list<array{string, int, int, int, int}> kind, left, top, width and height */
    private function lines(): array
    {
        return match ($this) {
            self::Quay => [['photo', 9, 21, 32, 48], ['photo', 45, 21, 32, 48], ['title', 8, 7, 56, 10], ['text', 8, 73, 70, 14], ['cluster', 70, 62, 16, 16]],
            self::Lantern => [['photo', 25, 9, 48, 64], ['title', 8, 78, 52, 10], ['text', 64, 78, 24, 10], ['cluster', 14, 60, 18, 14]],
            self::Slipway => [['photo', 9, 9, 48, 32], ['photo', 61, 9, 24, 32], ['photo', 61, 45, 24, 32], ['title', 8, 45, 49, 10], ['text', 8, 59, 49, 20],
                ['cluster', 48, 36, 16, 14]],
            self::Mooring => [['photo', 49, 9, 36, 36], ['photo', 49, 49, 36, 36], ['title', 8, 14, 36, 12], ['text', 8, 30, 36, 44],
                ['cluster', 34, 68, 16, 16]],
            self::Breakwater => [['photo', 9, 9, 24, 32], ['photo', 37, 9, 24, 32], ['photo', 65, 9, 22, 32], ['title', 8, 48, 60, 12], ['text', 8, 64, 80, 22],
                ['cluster', 70, 38, 18, 18]],
            self::Tideline => [['photo', 9, 49, 36, 36], ['photo', 49, 49, 38, 36], ['title', 8, 8, 60, 12], ['text', 8, 24, 60, 18],
                ['cluster', 66, 36, 20, 16]],
            self::Portholes => [['photo', 9, 9, 36, 36], ['photo', 49, 9, 36, 36], ['photo', 9, 49, 36, 36], ['text', 48, 62, 38, 24],
                ['title', 48, 48, 38, 10], ['cluster', 40, 40, 14, 14]],
            self::Chart => [['paper', 0, 32, 96, 30], ['photo', 13, 17, 32, 48], ['photo', 53, 25, 32, 48], ['title', 12, 74, 36, 10], ['text', 52, 8, 34, 12],
                ['cluster', 42, 56, 16, 14]],
            self::TwoPiers => [['photo', 9, 25, 32, 48], ['photo', 45, 25, 32, 48], ['title', 8, 8, 70, 12], ['text', 8, 78, 70, 10],
                ['photo', 107, 9, 48, 32], ['photo', 107, 45, 48, 32], ['text', 160, 8, 24, 70], ['cluster', 150, 70, 18, 16]],
            self::LongSwell => [['photo', 9, 33, 36, 36], ['photo', 49, 33, 36, 36], ['photo', 105, 33, 36, 36], ['photo', 145, 33, 36, 36],
                ['title', 8, 14, 60, 14], ['text', 104, 74, 78, 14], ['cluster', 76, 24, 14, 14]],
            self::Crossing => [['photo', 9, 9, 32, 48], ['photo', 45, 9, 32, 48], ['photo', 9, 61, 32, 24], ['title', 44, 62, 34, 10], ['text', 44, 76, 34, 10],
                ['photo', 113, 9, 32, 48], ['photo', 149, 9, 32, 48], ['photo', 149, 61, 32, 24], ['text', 112, 60, 34, 26], ['cluster', 36, 52, 14, 14]],
            self::Regatta => [['photo', 9, 9, 48, 64], ['title', 8, 78, 50, 10], ['text', 62, 8, 26, 66], ['photo', 105, 9, 24, 32], ['photo', 133, 9, 24, 32],
                ['photo', 161, 9, 24, 32], ['photo', 105, 45, 24, 32], ['photo', 133, 45, 24, 32], ['text', 160, 44, 26, 34], ['cluster', 48, 64, 16, 16]],
        };
    }
}
