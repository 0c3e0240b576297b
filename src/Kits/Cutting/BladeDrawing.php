<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Paper\PieceDrawing;
use App\Platform\Web\Measures;
use App\Platform\Web\Svg;
use Lottel\Core\Cutting\CutStep;
use Lottel\Core\Cutting\WorkPart;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Rule;

/**
 * Draws a cut as the paper lies at the trimmer: the edge that is measured from against the stop at the left, the rule along the top,
 * the blade upright. Small drawings show whole sheets as they are cut.
 */
final readonly class BladeDrawing
{
    private const WIDTH = 560.0;
    private const DEPTH = 284.0;
    private const LEFT = 34.0;
    private const TOP = 58.0;
    private const SMALL = 76.0;

    /** The width of a digit on the rule, in the typeface of plates at 14 pixels. */
    private const DIGIT = 8.4;
    private const PLAIN = '#fffdf6';
    private const MOST_UNDER = 5;

    public function __construct(private Measures $measures)
    {
    }

    public function drawn(CuttingTable $table, CutStep $step): string
    {
        $part = $table->part($step);
        $scale = min((self::WIDTH - self::LEFT - 20) / $step->along(), self::DEPTH / $step->across());
        [$along, $across] = [$step->along() * $scale, $step->across() * $scale];
        $colour = $table->sheets[$step->parts[0][0]]->item->colour ?? self::PLAIN;
        $under = min(self::MOST_UNDER, \count($step->parts) - 1);
        $svg = $this->bed($step, $scale, $across + 3 * $under);
        for ($layer = $under; $layer > 0; --$layer) {
            $svg .= \sprintf(
                '<rect class="under" fill="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>',
                Svg::escape($colour),
                self::LEFT,
                self::TOP + 3 * $layer,
                $along,
                $across,
            );
        }
        $svg .= \sprintf(
            '<rect class="in-hand" fill="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>',
            Svg::escape($colour),
            self::LEFT,
            self::TOP,
            $along,
            $across,
        );
        $svg .= $this->planned($table, $step, $part, $scale, PieceDrawing::onColour($colour));
        $x = self::LEFT + $step->setting * $scale;
        $bottom = self::TOP + $across + 3 * $under;
        $svg .= \sprintf('<path class="measured" d="M%1$.1f %2$.1fH%3$.1f"/>', self::LEFT, self::TOP - 9, $x)
            .\sprintf('<path class="blade" d="M%1$.1f %2$.1fV%3$.1f"/>', $x, self::TOP - 16, $bottom + 14)
            .\sprintf('<path class="blade-head" d="M%1$.1f %2$.1fl-7 -11h14z"/>', $x, self::TOP - 14);

        return \sprintf(
            '<svg class="blade-drawing" viewBox="0 0 %.0f %.0f" role="img" aria-label="%s">%s</svg>',
            self::WIDTH,
            $bottom + 18,
            Svg::escape(\sprintf(
                'The part in hand, %s by %s, with the %s edge against the stop, cut at %s',
                $this->number($step->width),
                $this->number($step->height),
                $step->side(),
                $this->number($step->setting),
            )),
            $svg,
        );
    }

    /** A whole sheet, small, with what is cut of it and what is still to be; the parts of a step are lit. */
    public function small(CuttingTable $table, int $sheet, ?CutStep $step = null): string
    {
        $root = $table->sheets[$sheet]->sheet()->root;
        $scale = self::SMALL / max($root->width, $root->height);
        $colour = $table->sheets[$sheet]->item->colour ?? self::PLAIN;
        $lit = [];
        foreach ($step->parts ?? [] as [$number, $name]) {
            $lit[$name] = $number === $sheet;
        }

        return \sprintf(
            '<svg class="sheet-drawing" width="%1$.0f" height="%2$.0f" viewBox="-2 -2 %1$.1f %2$.1f" aria-hidden="true">%3$s'
                .'<rect class="sheet-edge" width="%4$.1f" height="%5$.1f"/></svg>',
            $root->width * $scale + 4,
            $root->height * $scale + 4,
            $this->tree($root, '1', 0, 0, $scale, Svg::escape($colour), array_filter($lit)),
            $root->width * $scale,
            $root->height * $scale,
        );
    }

    private function bed(CutStep $step, float $scale, float $depth): string
    {
        $unit = LengthUnit::Inch === $this->measures->measure() ? Length::TICKS_PER_INCH : 10 * Length::TICKS_PER_MILLIMETRE;
        $end = min($step->along() + $unit, (int) ((self::WIDTH - self::LEFT - 8) / $scale));
        $svg = \sprintf('<rect class="bed" x="1" y="1" width="%.1f" height="%.1f" rx="8"/>', self::WIDTH - 2, self::TOP + $depth + 16);
        foreach (Rule::along($this->measures->measure(), $end, $scale, self::DIGIT)->marks as [$at, $number]) {
            $x = self::LEFT + $at * $scale;
            $svg .= \sprintf('<path class="rule" d="M%1$.1f %2$.1fv%3$.1f"/>', $x, self::TOP - 22, null !== $number ? -9 : -4);
            if (null !== $number) {
                $svg .= \sprintf('<text class="rule-number" x="%.1f" y="%.1f">%s</text>', $x, self::TOP - 35, $number);
            }
        }

        return $svg.\sprintf('<rect class="stop" x="%.1f" y="%.1f" width="9" height="%.1f" rx="2"/>', self::LEFT - 11, self::TOP - 22, $depth + 30)
            .\sprintf('<text class="stop-name" x="14" y="%1$.1f" transform="rotate(-90 14 %1$.1f)">stop</text>', self::TOP + $depth / 2);
    }

    /** What becomes of the part in hand, as it lies at the trimmer. */
    private function planned(CuttingTable $table, CutStep $step, WorkPart $part, float $scale, string $ink): string
    {
        $svg = '';
        foreach ($this->leaves($part, 0, 0) as [$leaf, $left, $top]) {
            [$x, $y, $width, $height] = $step->isCutAlongX ? [$left, $top, $leaf->width, $leaf->height] : [$top, $left, $leaf->height, $leaf->width];
            if (\in_array($step->edge, ['right', 'lower'], true)) {
                [$x, $y] = [$step->along() - $x - $width, $step->across() - $y - $height];
            }
            [$x, $y, $width, $height] = [self::LEFT + $x * $scale, self::TOP + $y * $scale, $width * $scale, $height * $scale];
            $isKept = null === $leaf->piece && $table->trimmer->keep()->isWorth($leaf->width, $leaf->height);
            $class = null !== $leaf->piece ? 'becomes' : ($isKept ? 'becomes-kept' : 'becomes-waste');
            $svg .= \sprintf('<rect class="%s" stroke="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>', $class, $ink, $x, $y, $width, $height);
            if ($width > 58 && $height > 30) {
                $name = null === $leaf->piece ? ($isKept ? 'keep' : '') : $table->pieces[$leaf->piece]->name;
                $svg .=
                    $this->said($name, $x + $width / 2, $y + $height / 2 - 3, $isKept ? '' : $ink, 'becomes-name').
                    $this->said(
                        $this->number($leaf->width).' × '.$this->number($leaf->height),
                        $x + $width / 2,
                        $y + $height / 2 + 15,
                        $isKept ? '' : $ink,
                        'becomes-size',
                    );
            }
        }

        return $svg;
    }

    private function said(string $text, float $x, float $y, string $ink, string $class): string
    {
        return '' === $text
            ? ''
            : \sprintf(
                '<text class="%s"%s x="%.1f" y="%.1f">%s</text>',
                $class,
                '' === $ink ? '' : ' fill="'.$ink.'"',
                $x,
                $y,
                Svg::escape($text),
            );
    }

    /** @return list<array{WorkPart, int, int}> the parts that are not cut further, and where they lie */
    private function leaves(WorkPart $part, int $x, int $y): array
    {
        if (null === $part->first || null === $part->second) {
            return [[$part, $x, $y]];
        }

        return [
            ...$this->leaves($part->first, $x, $y),
            ...$this->leaves($part->second, $x + ($part->isCutAlongX ? $part->first->width : 0), $y + ($part->isCutAlongX ? 0 : $part->first->height)),
        ];
    }

    /** @param array<string, bool> $lit */
    private function tree(WorkPart $part, string $name, float $x, float $y, float $scale, string $colour, array $lit): string
    {
        [$width, $height] = [$part->width * $scale, $part->height * $scale];
        $svg = '';
        if (null === $part->first || null === $part->second) {
            $svg = \sprintf(
                '<rect class="%s" fill="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>',
                null === $part->piece ? 'rest' : 'part',
                $colour,
                $x,
                $y,
                $width,
                $height,
            );
        } else {
            [$alongX, $first] = [$part->isCutAlongX, $part->first];
            $svg =
                $this->tree($first, $name.'.1', $x, $y, $scale, $colour, $lit).
                $this->tree(
                    $part->second,
                    $name.'.2',
                    $x + ($alongX ? $first->width * $scale : 0),
                    $y + ($alongX ? 0 : $first->height * $scale),
                    $scale,
                    $colour,
                    $lit,
                ).
                \sprintf(
                    '<path class="%s" d="M%.1f %.1f%s%.1f"/>',
                    $part->isMade ? 'cut-made' : 'cut-planned',
                    $x + ($alongX ? $first->width * $scale : 0),
                    $y + ($alongX ? 0 : $first->height * $scale),
                    $alongX ? 'v' : 'h',
                    $alongX ? $height : $width,
                );
        }

        return $svg.(isset($lit[$name]) ? \sprintf('<rect class="lit-part" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>', $x, $y, $width, $height) : '');
    }

    private function number(int $ticks): string
    {
        return $this->measures->lengths()->number(Length::ofTicks($ticks));
    }
}
