<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Looks over the blocks of a page: what lies over what, what comes too near to the edge, what crosses the fold. */
final class PageCheck
{
    /**
     * @param int $margin how near to an edge of its page a block may come
     *
     * @return list<PageFinding>
     */
    public static function of(Design $design, int $margin): array
    {
        $found = [];
        foreach ($design->blocks as $index => $block) {
            array_push($found, ...self::over($block, \array_slice($design->blocks, 0, $index)));
            if (self::crossesFold($design, $block->outer())) {
                $found[] = new PageFinding($block->id, 'crosses the fold between the pages', null);
            } elseif (BlockKind::Paper !== $block->kind && self::isNearEdge($design, $block->outer(), $margin)) {
                $found[] = new PageFinding($block->id, 'comes nearer to the edge than the margin', null);
            }
        }

        return $found;
    }

    /**
     * @param list<Block> $others
     *
     * @return list<PageFinding>
     */
    private static function over(Block $block, array $others): array
    {
        $over = array_filter(
            $others,
            static fn (Block $other): bool => !$block->kind->mayLieOver() && !$other->kind->mayLieOver() && $block->outer()->overlaps($other->outer()),
        );

        return array_values(array_map(
            static fn (Block $other): PageFinding => new PageFinding($block->id, 'lies over '.$other->name, $other->id),
            $over,
        ));
    }

    private static function crossesFold(Design $design, Rect $outer): bool
    {
        $fold = $design->finished->width;

        return 2 === $design->form->pages() && $outer->x < $fold && $outer->right() > $fold;
    }

    private static function isNearEdge(Design $design, Rect $outer, int $margin): bool
    {
        $page = new Rect($outer->x >= $design->finished->width ? $design->finished->width : 0, 0, $design->finished->width, $design->finished->height);

        return !$outer->isWithin($page->grown(-$margin));
    }
}
