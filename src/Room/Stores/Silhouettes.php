<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Svg;
use Lottel\Core\Room\Standing;
use Lottel\Core\Room\Wall;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Draws walls so small that only the outlines of their units are left, with letters where they can be read. */
final readonly class Silhouettes
{
    private const GAP = 3.0;
    private const WALL_GAP = 8.0;
    private const LEAST_FOR_LETTERS = 11.0;
    private const HEAD = 16.0;
    private const TAB = [64.0, 34.0];

    public function __construct(private UrlGeneratorInterface $urls)
    {
    }

    /**
     * @param list<Wall> $walls
     * @param array<int, string> $lit what is written on the disc of a lit unit, by unit
     */
    public function draw(array $walls, float $width, float $height, array $lit): string
    {
        $units = array_merge(...array_map(static fn (Wall $wall): array => $wall->units, $walls));
        if ([] === $units) {
            return '';
        }
        $across = array_sum(array_map(static fn (Standing $unit): int => $unit->width, $units));
        $top = max(array_map(static fn (Standing $unit): int => $unit->top(), $units));
        $free = $width - self::GAP * \count($units) - self::WALL_GAP * (\count($walls) - 1);
        $scale = min(max(1.0, $free) / $across, ($height - self::HEAD - 3) / $top);
        $x = 0.0;
        $svg = $over = '';
        foreach ($walls as $wall) {
            foreach ($wall->units as $unit) {
                $svg .= $this->block($unit, $x, $height - 3, $scale, isset($lit[$unit->id]));
                $stop = $lit[$unit->id] ?? '';
                $over .= '' === $stop ? '' : FrontMark::discAt($x + $unit->width * $scale / 2, $height - 3 - $unit->top() * $scale, $stop);
                $x += $unit->width * $scale + self::GAP;
            }
            $x += self::WALL_GAP;
        }

        return \sprintf(
            '<svg class="elevation silhouettes" role="group" aria-label="The units of the room" viewBox="0 0 %.1f %.1f" width="%.0f" height="%.0f">%s'
            .'<path class="floor-edge" d="M0 %.1fH%.1f"/>%s</svg>',
            $x - self::WALL_GAP,
            $height,
            $x - self::WALL_GAP,
            $height,
            $svg,
            $height - 2,
            $x - self::WALL_GAP,
            $over,
        );
    }

    /** One wall as a picture on its tab. */
    public function wall(Wall $wall): string
    {
        $across = array_sum(array_map(static fn (Standing $unit): int => $unit->width, $wall->units));
        $top = max(array_map(static fn (Standing $unit): int => $unit->top(), $wall->units));
        $free = self::TAB[0] - \count($wall->units) + 1;
        $scale = min($free / max(1, $across), self::TAB[1] / max(1, $top));
        $x = 0.0;
        $blocks = '';
        foreach ($wall->units as $unit) {
            $blocks .= \sprintf('M%.1f %.1fh%.1fv%.1fh-%3$.1fz', $x, self::TAB[1] - $unit->top() * $scale, $unit->width * $scale, $unit->height * $scale);
            $x += $unit->width * $scale + 1;
        }

        return \sprintf(
            '<svg class="wall-outline" aria-hidden="true" viewBox="0 0 %1$.1f %2$.1f" width="%1$.0f" height="%2$.0f">'
            .'<path d="%3$s"/><path class="line" d="M0 %4$.1fH%1$.1f"/></svg>',
            max(1.0, $x - 1),
            self::TAB[1] + 2,
            $blocks,
            self::TAB[1] + 1,
        );
    }

    private function block(Standing $unit, float $x, float $floor, float $scale, bool $isLit): string
    {
        $width = $unit->width * $scale;
        $bottom = $floor - $unit->aboveFloor * $scale;

        return \sprintf(
            '<a class="block%s" href="%s" data-unit="%s" data-large><title>%s · %s</title><rect x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>%s</a>',
            $isLit ? ' lit' : '',
            Svg::escape($this->urls->generate('unit', ['letters' => $unit->letters])),
            Svg::escape($unit->letters),
            Svg::escape($unit->letters),
            Svg::escape($unit->name),
            $x,
            $bottom - $unit->height * $scale,
            $width,
            $unit->height * $scale,
            $width < self::LEAST_FOR_LETTERS * \strlen($unit->letters) ? '' : \sprintf(
                '<text aria-hidden="true" x="%.1f" y="%.1f">%s</text>',
                $x + $width / 2,
                $bottom - 5,
                Svg::escape($unit->letters),
            ),
        );
    }
}
