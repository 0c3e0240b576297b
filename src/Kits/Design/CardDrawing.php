<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Paper\PieceDrawing;
use App\Platform\Web\Measures;
use App\Platform\Web\Svg;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\Layer;
use Lottel\Core\Design\LayerKind;
use Lottel\Core\Design\PlacedLayer;
use Lottel\Core\Design\Rect;
use Lottel\Core\Measure\Length;
use Lottel\Core\Words\TypeWidth;

/**
 * Draws the front of a card at true proportion in the colours of its papers: what carries the next layer has a line of measure above and
 * at the left, what lies on it a name with its size at the right.
 */
final readonly class CardDrawing
{
    private const WIDTH = 430.0;
    private const MOST_WIDE = 218.0;
    private const MOST_HIGH = 232.0;
    private const LINE = 21.0;
    private const LABEL = 34.0;
    private const MOST_LINES = 4;
    private const TEXT = 15.0;
    private const PLAIN = '#fffdf6';

    public function __construct(private Measures $measures)
    {
    }

    public function drawn(Board $board): string
    {
        $design = $board->design;
        $scale = min(self::MOST_WIDE / $design->finished->width, self::MOST_HIGH / $design->finished->height);
        $ground = $design->ground();
        $measured = $this->measured($board);
        [$left, $top] = [\count($measured) * self::LINE + 16, \count($measured) * self::LINE + 6];
        $svg = $this->paper('card-base', $ground, null, $scale, $left, $top, self::colour($board->papers, $design->paper->item ?? 0));
        foreach ($board->front as $placed) {
            $svg .= $this->layer($board->papers, $placed, $scale, $left, $top);
        }
        foreach ($measured as $line => [$name, $at]) {
            $svg .= $this->above($name, $at, $scale, $left, $top, ($line + 0.5) * self::LINE)
                .$this->beside($name, $at, $scale, $left, $top, ($line + 0.5) * self::LINE);
        }
        [$labels, $bottom] = $this->labels($board, $scale, $left, $top);
        $height = max($top + $ground->height * $scale, $bottom) + 12;

        return \sprintf(
            '<svg class="card-drawing" viewBox="0 0 %.0f %.0f" role="img" aria-label="%s">%s%s</svg>',
            self::WIDTH,
            $height,
            Svg::escape($this->described($board)),
            $svg,
            $labels,
        );
    }

    /**
     * A card alone and small, as far as some of its layers.
     *
     * @param array<int, PaperOnBoard> $papers by item
     */
    public function small(Design $design, array $papers, float $high, ?int $layers = null): string
    {
        $ground = $design->ground();
        $scale = min($high / $ground->height, 1.5 * $high / $ground->width);
        $svg = $this->paper('card-base', $ground, null, $scale, 1, 1, self::colour($papers, $design->paper->item ?? 0));
        foreach (\array_slice($design->front(), 0, $layers) as $placed) {
            $svg .= $this->layer($papers, $placed, $scale, 1, 1);
        }

        return \sprintf(
            '<svg class="card-drawing small" width="%1$.0f" height="%2$.0f" viewBox="0 0 %1$.0f %2$.0f" aria-hidden="true">%3$s</svg>',
            $ground->width * $scale + 2,
            $ground->height * $scale + 2,
            $svg,
        );
    }

    private function described(Board $board): string
    {
        $names = array_map(fn (PlacedLayer $placed): string => \sprintf(
            '%s %s × %s',
            $placed->layer->name,
            $this->number($placed->at->width),
            $this->number($placed->at->height),
        ), $board->front);

        return \sprintf(
            'The front, %s × %s%s',
            $this->number($board->design->finished->width),
            $this->number($board->design->finished->height),
            [] === $names ? '' : '; from the bottom up: '.implode(', ', $names),
        );
    }

    /** @return list<array{string, Rect}> what is measured on two sides, the lowest first */
    private function measured(Board $board): array
    {
        $measured = [[$board->design->form->base(), $board->design->ground()]];
        foreach ($board->front as $placed) {
            if ($placed->layer->kind->carriesNext() && \count($measured) < self::MOST_LINES) {
                $measured[] = [$placed->layer->name, $placed->at];
            }
        }

        return $measured;
    }

    /** @param array<int, PaperOnBoard> $papers */
    private static function colour(array $papers, int $item): ?string
    {
        return ($papers[$item] ?? null)?->colour;
    }

    /** @param array<int, PaperOnBoard> $papers */
    private function layer(array $papers, PlacedLayer $placed, float $scale, float $left, float $top): string
    {
        $layer = $placed->layer;
        $colour = self::colour($papers, $layer->paper->item ?? 0);
        $shadow = $layer->isOnFoam ? \sprintf(
            '<rect class="foam-shadow" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>',
            $left + $placed->at->x * $scale + 3,
            $top + $placed->at->y * $scale + 4,
            $placed->at->width * $scale,
            $placed->at->height * $scale,
        ) : '';
        $class = 'card-layer'.(LayerKind::DieCut === $layer->kind ? ' die-cut' : '').($layer->isStamped ? ' stamped' : '');

        $drawn = $shadow.$this->paper($class, $placed->at, $placed->window, $scale, $left, $top, $colour)
            .$this->stamp($layer, $placed, $scale, $left, $top, $colour);

        return \sprintf('<g data-opens="part-L%d">%s</g>', $layer->id, $drawn);
    }

    /** That something is stamped is only hinted at: nobody has said what. */
    private function stamp(Layer $layer, PlacedLayer $placed, float $scale, float $left, float $top, ?string $colour): string
    {
        if (!$layer->isStamped) {
            return '';
        }
        $at = $placed->at->grown(-(int) (0.08 * min($placed->at->width, $placed->at->height)));

        return \sprintf(
            '<rect class="stamped-hint" stroke="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="3"/>',
            PieceDrawing::onColour($colour ?? self::PLAIN),
            $left + $at->x * $scale,
            $top + $at->y * $scale,
            $at->width * $scale,
            $at->height * $scale,
        );
    }

    private function paper(string $class, Rect $at, ?Rect $window, float $scale, float $left, float $top, ?string $colour): string
    {
        $path = static fn (Rect $rect): string => \sprintf(
            'M%.1f %.1fh%.1fv%.1fh%.1fz',
            $left + $rect->x * $scale,
            $top + $rect->y * $scale,
            $rect->width * $scale,
            $rect->height * $scale,
            -$rect->width * $scale,
        );

        return \sprintf(
            '<path class="%s%s" fill="%s" fill-rule="evenodd" d="%s%s"/>',
            $class,
            null === $colour ? ' no-colour' : '',
            Svg::escape($colour ?? self::PLAIN),
            $path($at),
            null === $window ? '' : $path($window),
        );
    }

    private function above(string $name, Rect $at, float $scale, float $left, float $top, float $y): string
    {
        [$from, $to] = [$left + $at->x * $scale, $left + $at->right() * $scale];
        $text = $this->said($name, $at->width, $to - $from);
        $half = TypeWidth::of($text, self::TEXT) / 2 + 5;
        $middle = ($from + $to) / 2;

        return \sprintf('<path class="measure-edge" d="M%1$.1f %2$.1fV%4$.1fM%3$.1f %2$.1fV%4$.1f"/>', $from, $y - 5, $to, $top + $at->y * $scale)
            .$this->arrows($from, $middle - $half, $middle + $half, $to, $y, false)
            .\sprintf('<text class="measure" x="%.1f" y="%.1f">%s</text>', $middle, $y + 5, Svg::escape($text));
    }

    private function beside(string $name, Rect $at, float $scale, float $left, float $top, float $x): string
    {
        [$from, $to] = [$top + $at->y * $scale, $top + $at->bottom() * $scale];
        $text = $this->said($name, $at->height, $to - $from);
        $half = TypeWidth::of($text, self::TEXT) / 2 + 5;
        $middle = ($from + $to) / 2;

        return \sprintf('<path class="measure-edge" d="M%2$.1f %1$.1fH%4$.1fM%2$.1f %3$.1fH%4$.1f"/>', $from, $x - 5, $to, $left + $at->x * $scale)
            .$this->arrows($from, $middle - $half, $middle + $half, $to, $x, true)
            .\sprintf('<text class="measure" transform="rotate(-90 %1$.1f %2$.1f)" x="%1$.1f" y="%2$.1f">%3$s</text>', $x + 5, $middle, Svg::escape($text));
    }

    private function said(string $name, int $ticks, float $room): string
    {
        $number = $this->number($ticks);

        return TypeWidth::of($name.' '.$number, self::TEXT) + 26 <= $room ? $name.' '.$number : $number;
    }

    private function arrows(float $from, float $left, float $right, float $to, float $at, bool $isUpright): string
    {
        $line = static fn (float $a, float $b): string => \sprintf($isUpright ? 'M%1$.1f %2$.1fV%3$.1f' : 'M%2$.1f %1$.1fH%3$.1f', $at, $a, $b);
        $head = static fn (float $tip, int $way): string => $isUpright
            ? \sprintf('M%1$.1f %2$.1fl-3 %3$dh6z', $at, $tip, 7 * $way)
            : \sprintf('M%2$.1f %1$.1fl%3$d -3v6z', $at, $tip, 7 * $way);

        return \sprintf('<path class="measure-line" d="%s%s"/>', $left > $from ? $line($from, $left) : '', $to > $right ? $line($right, $to) : '')
            .\sprintf('<path class="measure-head" d="%s%s"/>', $head($from, 1), $head($to, -1));
    }

    /** @return array{string, float} names beside the card, pushed apart, and where they end */
    private function labels(Board $board, float $scale, float $left, float $top): array
    {
        $x = $left + $board->design->finished->width * $scale + 20;
        $isNamed = static fn (PlacedLayer $placed): bool => !$placed->layer->kind->carriesNext() || null !== $placed->window;
        $beside = array_values(array_filter($board->front, $isNamed));
        usort($beside, static fn (PlacedLayer $a, PlacedLayer $b): int => $a->at->y <=> $b->at->y);
        [$svg, $free] = ['', $top];
        foreach ($beside as $placed) {
            $middle = $top + ($placed->at->y + $placed->at->height / 2) * $scale;
            $y = max($free, $middle - self::LABEL / 2);
            $free = $y + self::LABEL + 6;
            $from = $left + $placed->at->right() * $scale - min(14, $placed->at->width * $scale / 3);
            $size = $placed->window ?? $placed->at;
            $name = mb_strlen($placed->layer->name) > 13 ? mb_substr($placed->layer->name, 0, 12).'…' : $placed->layer->name;
            $says = (null === $placed->window ? '' : 'window ').$this->number($size->width).' × '.$this->number($size->height);
            $svg .= \sprintf('<path class="leader" d="M%.1f %.1fL%.1f %.1f"/>', $from, $middle, $x - 4, $y + 12)
                .\sprintf('<circle class="leader-end" cx="%.1f" cy="%.1f" r="2.4"/>', $from, $middle)
                .\sprintf('<text class="layer-name" x="%.1f" y="%.1f">%s</text>', $x, $y + 13, Svg::escape($name))
                .\sprintf(
                    '<text class="layer-says" x="%.1f" y="%.1f">%s</text>',
                    $x,
                    $y + 30,
                    Svg::escape($says.($placed->layer->isOnFoam ? ', foam' : '')),
                );
        }

        return [$svg, $free];
    }

    private function number(int $ticks): string
    {
        return $this->measures->lengths()->number(Length::ofTicks($ticks));
    }
}
