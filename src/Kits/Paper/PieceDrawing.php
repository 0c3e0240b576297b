<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Web\Measures;
use App\Platform\Web\Svg;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\SheetPart;
use Lottel\Core\Measure\Length;

/** Draws the papers that will do, all to one scale, each with the wanted piece lying in it. */
final readonly class PieceDrawing
{
    private const TALLEST = 134.0;
    private const WIDEST = 740.0;
    private const PLAIN = '#fffdf6';
    private const EDGE = 3.0;
    private const LEAST_FOR_WORDS = 38.0;

    public function __construct(private Measures $measures)
    {
    }

    /** @param list<PieceAnswer> $answers that stand in a row: the scale follows the largest of them */
    public function scale(array $answers): float
    {
        $sides = array_map(static fn (PieceAnswer $answer): array => [$answer->match->scrap->width, $answer->match->scrap->height], $answers);

        return min(
            self::TALLEST / max(1, ...array_column($sides, 1)),
            (self::WIDEST / max(1, \count($answers))) / max(1, ...array_column($sides, 0)),
        );
    }

    public function drawn(PieceAnswer $answer, float $scale): string
    {
        $scrap = $answer->match->scrap;
        [$width, $height] = [$scrap->width * $scale, $scrap->height * $scale];
        [$left, $top] = null === $scrap->outline ? [0, 0] : $scrap->outline->box();
        $lies = $answer->lies;
        $svg = null === $scrap->outline
            ? \sprintf('<rect class="paper-edge" width="%.1f" height="%.1f"/>', $width, $height)
            : $this->outline($answer, $scale, $left, $top);
        foreach ($lies->kept as $part) {
            $svg .= $this->offcut('kept', $part, $scale);
        }
        foreach ($lies->waste as $part) {
            $svg .= $this->offcut('waste', $part, $scale);
        }
        $colour = $answer->paper->colour ?? self::PLAIN;
        [$x, $y, $across, $down] = [($lies->x - $left) * $scale, ($lies->y - $top) * $scale, $lies->width * $scale, $lies->height * $scale];
        $svg .= \sprintf('<rect class="wanted" fill="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>', Svg::escape($colour), $x, $y, $across, $down)
            .$this->said($lies->width, $lies->height, $x + $across / 2, $y + $down / 2, $across, self::onColour($colour));

        return \sprintf(
            '<svg class="piece-drawing" width="%1$.1f" height="%2$.1f" viewBox="%3$.1f %3$.1f %1$.1f %2$.1f" role="img" aria-label="%4$s">%5$s</svg>',
            $width + 2 * self::EDGE,
            $height + 2 * self::EDGE,
            -self::EDGE,
            Svg::escape(\sprintf('%s with the piece in it', $answer->paper->name)),
            $svg,
        );
    }

    /** Dark or light words, whichever is read on a colour. */
    public static function onColour(string $hex): string
    {
        return Lab::of(Srgb::ofHex($hex))->l > 58 ? '#22303a' : '#fffdf6';
    }

    private function outline(PieceAnswer $answer, float $scale, int $left, int $top): string
    {
        $path = '';
        foreach ($answer->match->scrap->outline?->rings() ?? [] as $ring) {
            $points = array_map(static fn (array $corner): string => \sprintf('%.1f %.1f', ($corner[0] - $left) * $scale, ($corner[1] - $top) * $scale), $ring);
            $path .= 'M'.implode('L', $points).'z';
        }

        return \sprintf('<path class="paper-edge kept" fill-rule="evenodd" d="%s"/>', $path);
    }

    private function offcut(string $class, SheetPart $part, float $scale): string
    {
        [$x, $y, $width, $height] = [$part->x * $scale, $part->y * $scale, $part->width * $scale, $part->height * $scale];

        return \sprintf('<rect class="%s" x="%.1f" y="%.1f" width="%.1f" height="%.1f"/>', $class, $x, $y, $width, $height)
            .('kept' === $class ? $this->said($part->width, $part->height, $x + $width / 2, $y + $height / 2, $width, '', $height) : '');
    }

    private function said(int $width, int $height, float $x, float $y, float $room, string $fill, ?float $depth = null): string
    {
        if ($room < self::LEAST_FOR_WORDS || ($depth ?? self::LEAST_FOR_WORDS) < 15) {
            return '';
        }
        $lengths = $this->measures->lengths();

        return \sprintf(
            '<text class="%s"%s x="%.1f" y="%.1f">%s × %s</text>',
            '' === $fill ? 'kept-said' : 'wanted-said',
            '' === $fill ? '' : ' fill="'.$fill.'"',
            $x,
            $y + 4.5,
            Svg::escape($lengths->number(Length::ofTicks($width))),
            Svg::escape($lengths->number(Length::ofTicks($height))),
        );
    }
}
