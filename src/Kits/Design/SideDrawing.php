<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Platform\Web\Svg;
use Lottel\Core\Design\Fold;
use Lottel\Core\Design\PlacedLayer;
use Lottel\Core\Measure\Length;

/** Draws a card from the side, its layers and its foam much thicker than they are. */
final readonly class SideDrawing
{
    private const WIDTH = 250.0;
    private const PAPER = 5.0;
    private const FOAM = 26.0;
    private const PLAIN = '#fffdf6';

    public function drawn(Board $board): string
    {
        $design = $board->design;
        $scale = (self::WIDTH - 26) / $design->finished->width;
        $parts = '';
        $y = 0.0;
        for ($fold = $design->fold->thicknesses(); $fold > 0; --$fold) {
            $y -= self::PAPER + 2;
            $parts .= $this->bar(22, $y, self::WIDTH - 26, ($board->papers[$design->paper->item ?? 0] ?? null)?->colour, 'side-base');
        }
        if (Fold::None !== $design->fold) {
            $parts .= \sprintf('<path class="side-fold" d="M22 %.1fq-12 %.1f 0 %.1f"/>', $y + self::PAPER, -$y / 2 - self::PAPER / 2, -$y - self::PAPER);
        }
        // What lies beside another thing lies as low as it can.
        $lying = [];
        foreach ($board->front as $placed) {
            $below = $y;
            foreach ($lying as [$other, $top]) {
                $below = $placed->at->overlaps($other->at) ? min($below, $top) : $below;
            }
            if ($placed->layer->isOnFoam) {
                $parts .= $this->foam($placed, $scale, $below);
                $below -= self::FOAM;
            }
            $top = $below - self::PAPER - 1;
            $parts .= $this->bar(
                22 + $placed->at->x * $scale,
                $top,
                $placed->at->width * $scale,
                ($board->papers[$placed->layer->paper->item ?? 0] ?? null)?->colour,
                'side-layer',
            );
            $lying[] = [$placed, $top];
        }
        $highest = min([$y, ...array_column($lying, 1)]) - 8;

        return \sprintf(
            '<svg class="side-drawing" viewBox="0 %.0f %.0f %.0f" role="img" aria-label="From the side, drawn %d times too thick">%s</svg>',
            $highest,
            self::WIDTH,
            8 - $highest,
            $this->times($board, -$highest - 8, $scale),
            $parts,
        );
    }

    /** Returns about how many times too thick it is drawn. */
    public function tooThick(Board $board): int
    {
        $scale = (self::WIDTH - 26) / $board->design->finished->width;
        $foams = \count(array_filter($board->front, static fn (PlacedLayer $placed): bool => $placed->layer->isOnFoam));
        $high = $board->design->fold->thicknesses() * (self::PAPER + 2) + \count($board->front) * (self::PAPER + 1) + $foams * self::FOAM;

        return $this->times($board, $high, $scale);
    }

    private function times(Board $board, float $high, float $scale): int
    {
        return max(1, (int) round($high / max(0.1, $board->thickness * $scale)));
    }

    private function bar(float $x, float $y, float $width, ?string $colour, string $class): string
    {
        return \sprintf(
            '<rect class="%s" fill="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>',
            $class,
            Svg::escape($colour ?? self::PLAIN),
            $x,
            $y,
            $width,
            self::PAPER,
        );
    }

    private function foam(PlacedLayer $placed, float $scale, float $bottom): string
    {
        [$from, $to] = [22 + $placed->at->x * $scale, 22 + $placed->at->right() * $scale];
        $squares = max(2, min(5, (int) round($placed->at->width / (3 * Length::TICKS_PER_INCH / 2)) + 1));
        $svg = '';
        for ($square = 0; $square < $squares; ++$square) {
            $x = $from + 3 + ($to - $from - 14) * $square / ($squares - 1);
            $svg .= \sprintf('<rect class="side-foam" x="%.1f" y="%.1f" width="8" height="%.1f"/>', $x, $bottom - self::FOAM, self::FOAM);
        }

        return $svg;
    }
}
