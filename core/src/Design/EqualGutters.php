<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/**
 * Lays the blocks of each page out with equal gutters between them: in rows, those in columns, those in rows again, as they lie already.
 * What may lie over others stays where it is.
 */
final readonly class EqualGutters
{
    /**
     * @param int $gutter between two blocks
     * @param int $margin how near to an edge of its page a block may come
     */
    public function __construct(private int $gutter, private int $margin)
    {
    }

    /** @throws InvalidDesign if they lie in no rows and columns, or there is no room for the gutters */
    public function on(Design $design): Design
    {
        $moved = [];
        for ($page = 0; $page < $design->form->pages(); ++$page) {
            $sheet = Rect::at($page * $design->finished->width, 0, $design->finished);
            foreach ($this->page($this->blocksOn($design, $sheet), $sheet) as $block) {
                $moved[$block->id] = $block;
            }
        }

        return $design->with(['blocks' => array_map(static fn (Block $block): Block => $moved[$block->id] ?? $block, $design->blocks)]);
    }

    /** @return list<Block> those whose middle lies on a page, and that lie over nothing */
    private function blocksOn(Design $design, Rect $sheet): array
    {
        return array_values(array_filter($design->blocks, static function (Block $block) use ($sheet): bool {
            $middle = $block->outer()->x + intdiv($block->outer()->width, 2);

            return !$block->kind->mayLieOver() && $middle >= $sheet->x && $middle < $sheet->right();
        }));
    }

    /**
     * @param list<Block> $blocks
     *
     * @return list<Block>
     */
    private function page(array $blocks, Rect $sheet): array
    {
        if ([] === $blocks) {
            return [];
        }
        $spaced = $this->spaced($blocks);
        $around = self::around($spaced);
        $inside = $sheet->grown(-$this->margin);
        if (!$around->sides()->isWithin($inside->sides())) {
            throw InvalidDesign::hasNoRoom('gutter', 'within the margins');
        }
        $right = max($inside->x, min($around->x, $inside->right() - $around->width)) - $around->x;
        $down = max($inside->y, min($around->y, $inside->bottom() - $around->height)) - $around->y;

        return array_map(static fn (Block $block): Block => $block->moved($right, $down), $spaced);
    }

    /**
     * @param non-empty-list<Block> $blocks
     *
     * @return non-empty-list<Block>
     */
    private function spaced(array $blocks): array
    {
        if (1 === \count($blocks)) {
            return $blocks;
        }
        foreach ([[false, false], [true, false], [false, true], [true, true]] as [$isAlongX, $isLenient]) {
            $bands = self::bands($blocks, $isAlongX, $isLenient);
            if (\count($bands) > 1) {
                return $this->behindEachOther(array_map($this->spaced(...), $bands), $isAlongX);
            }
        }
        throw InvalidDesign::isNoRows();
    }

    /**
     * @param non-empty-list<non-empty-list<Block>> $bands
     *
     * @return non-empty-list<Block>
     */
    private function behindEachOther(array $bands, bool $isAlongX): array
    {
        $all = $bands[0];
        $end = self::around($bands[0]);
        foreach (\array_slice($bands, 1) as $band) {
            $around = self::around($band);
            $right = $isAlongX ? $end->right() + $this->gutter - $around->x : 0;
            $down = $isAlongX ? 0 : $end->bottom() + $this->gutter - $around->y;
            array_push($all, ...array_map(static fn (Block $block): Block => $block->moved($right, $down), $band));
            $end = $around->moved($right, $down);
        }

        return $all;
    }

    /**
     * @param non-empty-list<Block> $blocks
     * @param bool $isLenient whether those are parted too that lie over each other by less than half
     *
     * @return non-empty-list<non-empty-list<Block>> those that share a stretch of an axis together, one band after the other
     */
    private static function bands(array $blocks, bool $isAlongX, bool $isLenient): array
    {
        $start = static fn (Block $block): int => $isAlongX ? $block->outer()->x : $block->outer()->y;
        $end = static fn (Block $block): int => $isAlongX ? $block->outer()->right() : $block->outer()->bottom();
        usort($blocks, static fn (Block $a, Block $b): int => [$start($a), $a->id] <=> [$start($b), $b->id]);
        $bands = [];
        [$until, $shortest] = [0, 0];
        foreach ($blocks as $block) {
            $long = $end($block) - $start($block);
            $over = $isLenient ? intdiv(min($shortest, $long), 2) : 0;
            if ([] === $bands || $start($block) >= $until - $over) {
                $bands[] = [$block];
                [$until, $shortest] = [$end($block), $long];
            } else {
                $bands[\count($bands) - 1][] = $block;
                [$until, $shortest] = [max($until, $end($block)), min($shortest, $long)];
            }
        }

        return $bands;
    }

    /** @param non-empty-list<Block> $blocks */
    private static function around(array $blocks): Rect
    {
        $outers = array_map(static fn (Block $block): Rect => $block->outer(), $blocks);
        $x = min(array_map(static fn (Rect $outer): int => $outer->x, $outers));
        $y = min(array_map(static fn (Rect $outer): int => $outer->y, $outers));
        $right = max(array_map(static fn (Rect $outer): int => $outer->right(), $outers));
        $bottom = max(array_map(static fn (Rect $outer): int => $outer->bottom(), $outers));

        return new Rect($x, $y, $right - $x, $bottom - $y);
    }
}
