<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Mirrors and turns what lies on a page. */
final class PageTurn
{
    /** Returns it as a mirror beside it shows it; of two pages the left one becomes the right one. */
    public static function mirrored(Design $design): Design
    {
        $width = $design->ground()->width;

        return self::each($design, static fn (Rect $at): Rect => Rect::at($width - $at->right(), $at->y, $at->sides()));
    }

    /** Returns it as a mirror below it shows it. */
    public static function flipped(Design $design): Design
    {
        $height = $design->ground()->height;

        return self::each($design, static fn (Rect $at): Rect => Rect::at($at->x, $height - $at->bottom(), $at->sides()));
    }

    /**
     * Returns it turned by a quarter to the right.
     *
     * @throws InvalidDesign if it is not one square page
     */
    public static function turned(Design $design): Design
    {
        if (1 !== $design->form->pages() || $design->finished->width !== $design->finished->height) {
            throw InvalidDesign::cannotTurn();
        }
        $height = $design->ground()->height;

        return self::each($design, static fn (Rect $at): Rect => Rect::at($height - $at->bottom(), $at->x, $at->sides()->turned()));
    }

    /** @param \Closure(Rect): Rect $to */
    private static function each(Design $design, \Closure $to): Design
    {
        return $design->with(['blocks' => array_map(static fn (Block $block): Block => $block->with(['at' => $to($block->at)]), $design->blocks)]);
    }
}
