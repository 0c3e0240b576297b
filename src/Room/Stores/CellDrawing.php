<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Svg;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Furniture\Cell;
use Lottel\Core\Words\Counted;
use Lottel\Core\Words\TypeWidth;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Draws the inner places of a place as they are seen from above, the front at the bottom. */
final readonly class CellDrawing
{
    private const WIDTH = 1000;
    private const USUAL_DEPTH = 700;
    private const LEAST_DEPTH = 300;
    private const MOST_DEPTH = 1400;
    private const MARGIN = 14;
    private const MARGIN_OF_A_LAYER = 26;
    private const BELOW = 90;
    private const NAME = 40.0;

    public function __construct(private UrlGeneratorInterface $urls)
    {
    }

    /** @param list<InnerRow> $inner */
    public function draw(array $inner, ?Box $inside): string
    {
        $depth = null === $inside ? self::USUAL_DEPTH : (int) round(self::WIDTH * $inside->depth->ticks / max(1, $inside->width->ticks));
        $depth = max(self::LEAST_DEPTH, min(self::MOST_DEPTH, $depth));
        $cells = array_map(
            static fn (InnerRow $one, Cell $assumed): array => [$one, $one->cell ?? $assumed],
            $inner,
            Cell::assumed(array_map(static fn (InnerRow $one): int => $one->layer, $inner)),
        );
        usort($cells, static fn (array $a, array $b): int => $b[0]->layer <=> $a[0]->layer);

        return \sprintf(
            '<svg class="cells" viewBox="0 0 %d %d" role="group" aria-label="Its inner places from above, the front at the bottom">%s</svg>',
            self::WIDTH,
            $depth,
            implode('', array_map(fn (array $cell): string => $this->cell($cell[0], $cell[1], $depth), $cells)),
        );
    }

    private function cell(InnerRow $one, Cell $cell, int $depth): string
    {
        $inset = self::MARGIN + self::MARGIN_OF_A_LAYER * $cell->layer;
        [$top, $height] = [$cell->y * $depth / 1000, $cell->height * $depth / 1000];
        $middle = $cell->x + $cell->width / 2;
        $isUnder = 0 !== $cell->layer;
        $line = $isUnder ? $top + $height - self::BELOW : $top + $height / 2;
        $says = Counted::of($one->things, 'thing');
        $named = $one->title.', '.$says;

        return \sprintf(
            '<a href="%s" data-address="%s"><title>%s</title><rect class="cell%s" x="%d" y="%.1f" width="%d" height="%.1f" rx="8"/>'
            .'<text x="%.1f" y="%.1f">%s</text><text class="cell-name" x="%.1f" y="%.1f">%s</text></a>',
            Svg::escape($this->urls->generate('place', ['address' => $one->address])),
            Svg::escape($one->address),
            Svg::escape(\sprintf('%s · %s', $one->address, $named)),
            $isUnder ? ' under' : '',
            $cell->x + $inset,
            $top + $inset,
            max(1, $cell->width - 2 * $inset),
            max(1, $height - 2 * $inset),
            $middle,
            $line,
            Svg::escape($one->label()),
            $middle,
            $line + 50,
            Svg::escape(TypeWidth::of($named, self::NAME) < $cell->width - 4 * $inset ? $named : (string) $one->things),
        );
    }
}
