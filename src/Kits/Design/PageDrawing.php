<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Paper\PieceDrawing;
use App\Platform\Web\Measures;
use App\Platform\Web\Svg;
use Lottel\Core\Design\Block;
use Lottel\Core\Design\PageFinding;
use Lottel\Core\Design\Rect;
use Lottel\Core\Measure\Length;

/** Draws a page, or two side by side, with its blocks at true proportion; each block can be taken hold of, also by keys. */
final readonly class PageDrawing
{
    private const WIDTH = 430.0;
    private const SPREAD = 640.0;
    private const EDGE = 8.0;
    private const PLAIN = '#fffdf6';

    public function __construct(private Measures $measures)
    {
    }

    public function drawn(Board $board, int $grid): string
    {
        $ground = $board->design->ground();
        $wide = 2 === $board->design->form->pages() ? self::SPREAD : self::WIDTH;
        $scale = ($wide - 2 * self::EDGE) / $ground->width;
        $svg = '';
        foreach ($board->design->blocks as $block) {
            $isAbout = static fn (PageFinding $finding): bool => \in_array($block->id, [$finding->block, $finding->other], true);
            $isWrong = [] !== array_filter($board->findings, $isAbout);
            $svg .= $this->block($board, $block, $scale, $isWrong);
        }

        return \sprintf(
            '<svg class="page-drawing" viewBox="%1$.0f %1$.0f %2$.0f %3$.0f" data-page="" data-grid="%4$d" data-scale="%5$.8F" aria-label="%6$s"'
                .' role="group">%7$s%8$s</svg>',
            -self::EDGE,
            $wide,
            $ground->height * $scale + 2 * self::EDGE,
            $grid,
            $scale,
            Svg::escape(\sprintf('The layout, %s × %s', $this->number($ground->width), $this->number($ground->height))),
            $this->ground($board, $scale),
            $svg,
        );
    }

    /**
     * Blocks as bare shapes, such as those of a layout to begin with.
     *
     * @param list<Block> $blocks
     */
    public static function shapes(array $blocks, Rect $ground, int $pages, float $high): string
    {
        $scale = $high / $ground->height;
        $svg = \sprintf('<rect class="page-ground" width="%.1f" height="%.1f"/>', $ground->width * $scale, $ground->height * $scale);
        $svg .= 2 === $pages ? \sprintf('<path class="page-fold" d="M%1$.1f 0V%2$.1f"/>', $ground->width * $scale / 2, $ground->height * $scale) : '';
        foreach ($blocks as $block) {
            $outer = $block->outer();
            $svg .= \sprintf(
                '<rect class="shape %s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>',
                $block->kind->value,
                $outer->x * $scale,
                $outer->y * $scale,
                $outer->width * $scale,
                $outer->height * $scale,
            );
        }

        return \sprintf(
            '<svg class="page-shapes" width="%1$.0f" height="%2$.0f" viewBox="-1 -1 %1$.0f %2$.0f" aria-hidden="true">%3$s</svg>',
            $ground->width * $scale + 2,
            $ground->height * $scale + 2,
            $svg,
        );
    }

    private function ground(Board $board, float $scale): string
    {
        $ground = $board->design->ground();
        $colour = ($board->papers[$board->design->paper->item ?? 0] ?? null)?->colour;

        [$width, $height] = [$ground->width * $scale, $ground->height * $scale];
        $fold = 2 === $board->design->form->pages() ? \sprintf('<path class="page-fold" d="M%1$.1f 0V%2$.1f"/>', $width / 2, $height) : '';

        return \sprintf('<rect class="page-ground" fill="%s" width="%.1f" height="%.1f"/>', Svg::escape($colour ?? self::PLAIN), $width, $height).$fold;
    }

    private function block(Board $board, Block $block, float $scale, bool $isWrong): string
    {
        $svg = '';
        foreach ($block->matsAt() as [$at, $mat]) {
            $svg .= $this->rect('block-mat', $at, $scale, ($board->papers[$mat->paper->item ?? 0] ?? null)->colour ?? '#e9e2d0');
        }
        $colour = $block->kind->isCut() ? ($board->papers[$block->paper->item ?? 0] ?? null)->colour ?? self::PLAIN : null;
        $svg .= $this->rect('block-'.$block->kind->value, $block->at, $scale, $colour);
        [$width, $height] = [$block->at->width * $scale, $block->at->height * $scale];
        $ink = null === $colour ? '' : \sprintf(' fill="%s"', PieceDrawing::onColour($colour));
        if ($width > 46 && $height > 18) {
            $svg .= \sprintf(
                '<text class="block-name"%s x="%.1f" y="%.1f">%s</text>',
                $ink,
                $block->at->x * $scale + $width / 2,
                $block->at->y * $scale + $height / 2 + 1,
                Svg::escape($block->name),
            );
        }
        if ($width > 60 && $height > 40) {
            $svg .= \sprintf(
                ' <text class="block-size"%s x="%.1f" y="%.1f">%s × %s</text>',
                $ink,
                $block->at->x * $scale + $width / 2,
                $block->at->y * $scale + $height / 2 + 17,
                Svg::escape($this->number($block->at->width)),
                Svg::escape($this->number($block->at->height)),
            );
        }
        $outer = $block->outer();

        return \sprintf(
            '<g id="block-%1$d" class="block%2$s" data-block="%1$d" tabindex="0" role="button" aria-label="%3$s">%4$s%5$s</g>',
            $block->id,
            $isWrong ? ' wrong' : '',
            Svg::escape(\sprintf(
                '%s %s × %s, %s from the left, %s from the top; arrow keys move it',
                $block->name,
                $this->number($block->at->width),
                $this->number($block->at->height),
                $this->number($outer->x),
                $this->number($outer->y),
            )),
            $svg,
            $this->rect('block-edge', $outer, $scale, null),
        );
    }

    private function rect(string $class, Rect $at, float $scale, ?string $colour): string
    {
        return \sprintf(
            '<rect class="%s"%s x="%.2f" y="%.2f" width="%.2f" height="%.2f"/>',
            $class,
            null === $colour ? '' : ' fill="'.Svg::escape($colour).'"',
            $at->x * $scale,
            $at->y * $scale,
            $at->width * $scale,
            $at->height * $scale,
        );
    }

    private function number(int $ticks): string
    {
        return $this->measures->lengths()->number(Length::ofTicks($ticks));
    }
}
