<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Lays photos out in rows on a page, or on two: as they are while there is room, else turned. */
final readonly class PhotoRows
{
    /**
     * @param int $gutter between two photos with their mats
     * @param int $margin how near to an edge of its page a photo may come
     */
    public function __construct(private int $gutter, private int $margin)
    {
    }

    /**
     * Returns the design with the blocks that found room on it, and those that found none.
     *
     * @param list<Block> $blocks wherever they lie
     *
     * @return array{Design, list<Block>}
     */
    public function on(Design $design, array $blocks): array
    {
        $left = [];
        $pages = $design->form->pages();
        $each = max(1, (int) ceil(\count($blocks) / $pages));
        foreach (array_chunk($blocks, $each) as $page => $ofPage) {
            $inside = Rect::at($page * $design->finished->width, 0, $design->finished)->grown(-$this->margin);
            [$design, $without] = $this->page($design, $ofPage, $inside);
            array_push($left, ...$without);
        }

        return [$design, $left];
    }

    /**
     * @param list<Block> $blocks
     *
     * @return array{Design, list<Block>}
     */
    private function page(Design $design, array $blocks, Rect $inside): array
    {
        $left = [];
        [$x, $y, $bottom] = [$inside->x, $inside->y, $inside->y];
        foreach ($blocks as $block) {
            $placed = $this->spot($block, $inside, [[$x, $y], [$inside->x, $bottom + ($bottom > $inside->y ? $this->gutter : 0)]]);
            if (null === $placed) {
                $left[] = $block;
                continue;
            }
            $design = $design->and($placed);
            [$x, $y] = [$placed->outer()->right() + $this->gutter, $placed->outer()->y];
            $bottom = max($bottom, $placed->outer()->bottom());
        }

        return [$design, $left];
    }

    /** @param list<array{int, int}> $corners where it may go, the next one in the row first */
    private function spot(Block $block, Rect $inside, array $corners): ?Block
    {
        foreach ($corners as [$x, $y]) {
            foreach ([$block->at->sides(), $block->at->sides()->turned()] as $sides) {
                $placed = $block->with(['at' => Rect::at($block->at->x, $block->at->y, $sides)])->outerAt($x, $y);
                if ($placed->outer()->isWithin($inside)) {
                    return $placed;
                }
            }
        }

        return null;
    }
}
