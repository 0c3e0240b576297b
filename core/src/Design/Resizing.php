<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Makes a design again in another size. */
final class Resizing
{
    /**
     * Returns it with another finished size. Reveals stay; a side that takes most of what it lies on keeps its distance from the edges,
     * a shorter one its length, or its share where it would not fit; what lies off the middle keeps its share of what is free. On a page
     * blocks keep their sizes where they fit, and their share of what is free around them, on the grid.
     *
     * @param int $grid of blocks
     *
     * @throws InvalidDesign if it cannot be made so
     */
    public static function to(Design $design, Sides $finished, int $grid): Design
    {
        $old = Rect::at(0, 0, $design->finished);
        $new = Rect::at(0, 0, $finished);
        $resized = $design->with(['finished' => $finished]);
        $layers = [];
        foreach ($design->front() as $placed) {
            $layer = self::layer($placed, $old, $new);
            $layers[] = $layer;
            if ($layer->kind->carriesNext()) {
                $front = CardFront::placed($finished, $layers);
                $old = $placed->at;
                $new = $front[\count($front) - 1]->at;
            }
        }
        $blocks = array_map(static fn (Block $block): Block => self::block($block, $design->ground(), $resized->ground(), $grid), $design->blocks);

        return $resized->with(['layers' => $layers, 'blocks' => $blocks])->checked();
    }

    private static function layer(PlacedLayer $placed, Rect $old, Rect $new): Layer
    {
        $layer = $placed->layer;
        $size = null === $layer->size ? null : new Sides(
            self::side($layer->size->width, $old->width, $new->width),
            self::side($layer->size->height, $old->height, $new->height),
        );
        $own = $size ?? $new->sides()->less($layer->reveal ?? 0);
        $window = null === $layer->window ? null : new Sides(
            self::side($layer->window->width, $placed->at->width, $own->width),
            self::side($layer->window->height, $placed->at->height, $own->height),
        );

        return $layer->with([
            'size' => $size,
            'window' => $window,
            'x' => null === $layer->x ? null : self::share($layer->x, $old->width - $placed->at->width, $new->width - $own->width),
            'y' => null === $layer->y ? null : self::share($layer->y, $old->height - $placed->at->height, $new->height - $own->height),
        ]);
    }

    private static function block(Block $block, Rect $old, Rect $new, int $grid): Block
    {
        $outer = $block->outer();
        $around = $outer->width - $block->at->width;
        $width = $outer->width <= $new->width ? $block->at->width : self::share($outer->width, $old->width, $new->width) - $around;
        $height = $outer->height <= $new->height ? $block->at->height : self::share($outer->height, $old->height, $new->height) - $around;
        $sized = $block->with(['at' => new Rect($block->at->x, $block->at->y, max(1, $width), max(1, $height))]);
        $now = $sized->outer();
        $x = self::share($outer->x, $old->width - $outer->width, $new->width - $now->width);
        $y = self::share($outer->y, $old->height - $outer->height, $new->height - $now->height);

        return $sized->outerAt(intdiv($x, $grid) * $grid, intdiv($y, $grid) * $grid);
    }

    private static function side(int $side, int $old, int $new): int
    {
        $keptEdges = $new - ($old - $side);
        if (2 * $side >= $old) {
            return $keptEdges > 0 ? $keptEdges : max(1, self::share($side, $old, $new));
        }

        return $side <= $new ? $side : max(1, self::share($side, $old, $new));
    }

    private static function share(int $part, int $old, int $new): int
    {
        return $old <= 0 ? 0 : intdiv(max(0, $part) * max(0, $new), $old);
    }
}
