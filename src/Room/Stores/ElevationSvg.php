<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Svg;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Room\DrawnRoom;
use Lottel\Core\Room\DrawnRow;
use Lottel\Core\Room\DrawnUnit;
use Lottel\Core\Room\Elevation;
use Lottel\Core\Room\Plate;
use Lottel\Core\Room\Plates;
use Lottel\Core\Words\Counted;
use Lottel\Core\Words\TypeWidth;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Writes walls as SVG. Colours and dashes come from classes; states have shapes of their own. */
final class ElevationSvg
{
    private const ADDRESS = 10.0;

    /** Names of walls, at 12.5 pixels and bold, are as wide as this size is in the plain weight. */
    private const WALL = 13.3;
    private const MOST_ADDRESS = 19.0;

    private readonly string $placeUrl;

    /** @var list<FrontMark> */
    private array $marks = [];

    public function __construct(private readonly UrlGeneratorInterface $urls)
    {
        $this->placeUrl = substr($urls->generate('place', ['address' => 'A']), 0, -1);
    }

    /**
     * @param array<int, list<FrontRow>> $fronts by unit
     * @param array<int, UnitRow> $units
     * @param array<int, int> $boxes how many inner places there are behind a front
     */
    public function sketch(DrawnRoom $room, array $fronts, array $units, array $boxes, bool $isAbreast): RoomSketch
    {
        $this->marks = [];
        $offsets = self::offsets($room, $isAbreast);
        $svg = '';
        foreach ($room->rows as $nth => $row) {
            $svg .= \sprintf('<g transform="translate(%.1f %.1f)">%s', $offsets[$nth][0], $offsets[$nth][1], $this->board($row));
            foreach ($row->units as $drawn) {
                $unit = $units[$drawn->unit->id];
                $svg .= $this->outline($drawn, $unit).$this->fronts($drawn, $unit, $fronts[$unit->id] ?? [], $boxes, $nth, $room->scale);
            }
            $svg .= '</g>';
        }

        return new RoomSketch($room, preg_split('/\x01(\d+)\x02/', $svg, -1, \PREG_SPLIT_DELIM_CAPTURE) ?: [$svg], $this->marks, $offsets);
    }

    /**
     * Puts the fronts in, with what there is to see on them, and plates beside what is lit.
     *
     * @param array<int, FrontState> $states
     * @param array<int, string> $lit
     */
    public function filled(RoomSketch $sketch, array $states, array $lit): string
    {
        $svg = '';
        foreach ($sketch->parts as $at => $part) {
            if (0 === $at % 2) {
                $svg .= $part;
                continue;
            }
            $mark = $sketch->marks[(int) $part];
            $svg .= $mark->drawn($states[$mark->id] ?? new FrontState(), $lit[$mark->id] ?? null);
        }
        foreach ($sketch->room->rows as $nth => $row) {
            $svg .= $this->over($row, $nth, $sketch, $lit);
        }

        return $svg;
    }

    public static function wrapped(string $inside, string $class, string $title, float $width, float $height): string
    {
        return \sprintf(
            '<svg class="elevation %s" role="group" aria-label="%s" viewBox="-2 0 %.1f %.1f" width="%.0f" height="%.0f">%s</svg>',
            $class,
            Svg::escape($title),
            $width + 4,
            $height,
            $width + 4,
            $height,
            $inside,
        );
    }

    /** @return list<array{float, float}> */
    private static function offsets(DrawnRoom $room, bool $isAbreast): array
    {
        $highest = max(array_map(static fn (DrawnRow $row): float => $row->height, $room->rows) ?: [0.0]);
        $offsets = [];
        [$x, $y] = [0.0, 0.0];
        foreach ($room->rows as $row) {
            $offsets[] = $isAbreast ? [$x, $highest - $row->height] : [0.0, $y];
            $x += $row->width + Elevation::WALL_GAP;
            $y += $row->height + Elevation::BOARD + Elevation::WALL_GAP;
        }

        return $offsets;
    }

    /** @param array<int, string> $lit */
    private function over(DrawnRow $row, int $nth, RoomSketch $sketch, array $lit): string
    {
        $svg = '';
        $fronts = [];
        foreach ($sketch->marks as $mark) {
            if ($nth === $mark->row && isset($lit[$mark->id])) {
                $fronts[] = $mark->lit($lit[$mark->id]);
                $svg .= $mark->disc($lit[$mark->id]);
            }
        }
        $svg .= implode('', array_map($this->plate(...), (new Plates($row))->beside($fronts)));

        return '' === $svg
            ? ''
            : \sprintf('<g class="over" transform="translate(%.1f %.1f)">%s</g>', $sketch->offsets[$nth][0], $sketch->offsets[$nth][1], $svg);
    }

    private function plate(Plate $plate): string
    {
        $first = $plate->fronts[0];
        $edge = $plate->isLeft ? $plate->x + $plate->width : $plate->x;
        $stop = $plate->stop();
        $leaders = '';
        foreach ($plate->fronts as $front) {
            $leaders .= \sprintf('M%.1f %.1fL%.1f %.1f', $plate->isLeft ? $front->x : $front->x + $front->width, $front->middle(), $edge, $plate->middle());
        }

        return \sprintf(
            '<path class="leader" d="%s"/><a class="tag" tabindex="-1" aria-hidden="true" href="%s%s">'
                .'<rect x="%.1f" y="%.1f" width="%.1f" height="%.0f" rx="3"/>'.
                '<text x="%.1f" y="%.1f">%s</text></a>%s',
            $leaders,
            $this->placeUrl,
            rawurlencode($first->address),
            $plate->x,
            $plate->y,
            $plate->width,
            Plate::HEIGHT,
            $plate->x + $plate->width / 2,
            $plate->middle() + 4,
            Svg::escape($plate->address()),
            '' === $stop ? '' : FrontMark::discAt($edge + ($plate->isLeft ? 6 : -6), $plate->middle(), $stop),
        );
    }

    private function board(DrawnRow $row): string
    {
        $places = Counted::of($row->wall->places(), 'place');
        $count = Counted::of(\count($row->wall->units), 'unit').' · '.$places;
        $whole = ucfirst($row->wall->name).($row->goesOn ? ', further on' : '');
        $name = TypeWidth::cut($whole, self::WALL, $row->width - 8);
        $isWide = $row->width > TypeWidth::of($whole, self::WALL) + TypeWidth::of($count, self::WALL) + 24;

        return \sprintf(
            '<path class="floor" d="M-2 %1$.1fh%2$.1fv%3$.0fh-%2$.1fz"/><path class="floor-edge" d="M-2 %1$.1fh%2$.1f"/>'
            .'<text class="wall" x="4" y="%4$.1f">%7$s%5$s</text>%6$s',
            $row->height,
            $row->width + 4,
            Elevation::BOARD,
            $row->height + 12.5,
            Svg::escape($name),
            $isWide && !$row->goesOn ? \sprintf('<text class="wall-count" x="%.1f" y="%.1f">%s</text>', $row->width - 4, $row->height + 12.5, $count) : '',
            $name === $whole ? '' : '<title>'.Svg::escape($whole).'</title>',
        );
    }

    /** A unit with its name, without its fronts. */
    public function outline(DrawnUnit $drawn, UnitRow $unit): string
    {
        return $this->title($drawn).$this->carcase($drawn, $unit);
    }

    private function title(DrawnUnit $drawn): string
    {
        $unit = $drawn->unit;
        $indent = $drawn->lettering->indent($unit->letters);
        $lines = '';
        $y = $drawn->y - 5 - $drawn->lettering->line * (\count($drawn->title) - 1);
        foreach ($drawn->title as $nth => $line) {
            $isFirst = 0 === $nth;
            $lines .= \sprintf(
                '<text x="%.1f" y="%.1f">%s%s</text>',
                $drawn->x + ($isFirst || $drawn->isFlush ? 0 : $indent),
                $y + $nth * $drawn->lettering->line,
                $isFirst ? '<tspan class="letters">'.Svg::escape($unit->letters).'</tspan>' : '',
                $isFirst ? \sprintf('<tspan x="%.1f">%s</tspan>', $drawn->x + $indent, Svg::escape($line)) : Svg::escape($line),
            );
        }

        return \sprintf(
            '<a class="unit-name" href="%s"><title>%s · %s</title><g aria-hidden="true">%s</g></a>',
            Svg::escape($this->urls->generate('unit', ['letters' => $unit->letters])),
            Svg::escape($unit->letters),
            Svg::escape($unit->name),
            $lines,
        );
    }

    private function carcase(DrawnUnit $drawn, UnitRow $unit): string
    {
        $svg = \sprintf('<rect class="carcase" x="%.1f" y="%.1f" width="%.1f" height="%.1f" rx="2"/>', $drawn->x, $drawn->y, $drawn->width, $drawn->height);
        if (UnitTemplate::Cart !== $unit->template) {
            return $svg;
        }
        foreach ([0.2, 0.8] as $at) {
            $svg .= \sprintf('<circle class="castor" cx="%.1f" cy="%.1f" r="2.2"/>', $drawn->x + $at * $drawn->width, $drawn->y + $drawn->height);
        }

        return $svg;
    }

    /**
     * The marks in the place of the fronts, which are put in when it is known what is to be seen on them.
     *
     * @param list<FrontRow> $fronts
     * @param array<int, int> $boxes
     */
    private function fronts(DrawnUnit $drawn, UnitRow $unit, array $fronts, array $boxes, int $row, float $scale): string
    {
        $svg = '';
        foreach ($fronts as $place) {
            if (null === $place->front) {
                continue;
            }
            [$width, $height] = [max(1.0, $place->front->width->ticks * $scale - 1.6), max(1.0, $place->front->height->ticks * $scale - 1.6)];
            [$x, $y] = [$drawn->x + $place->front->x->ticks * $scale + 0.8, $drawn->y + $place->front->y->ticks * $scale + 0.8];
            $this->marks[] = new FrontMark(
                $place->id,
                $row,
                $unit->id,
                $place->address,
                \sprintf(
                    'href="%1$s%2$s" data-address="%2$s" data-place="%4$d" data-unit="%3$s"',
                    $this->placeUrl,
                    rawurlencode($place->address),
                    $unit->letters,
                    $place->id,
                ),
                Svg::escape($place->address.' · '.$place->title),
                $x,
                $y,
                $width,
                $height,
                $this->label($place->address, $x, $y, $width, $height, $unit->template).self::boxes($boxes[$place->id] ?? 0, $x, $y, $width, $height),
            );
            $svg .= "\x01".array_key_last($this->marks)."\x02";
        }

        return $svg;
    }

    private function label(string $address, float $x, float $y, float $width, float $height, UnitTemplate $template): string
    {
        $font = max(self::ADDRESS, min(self::MOST_ADDRESS, $height * 0.36));
        if (Plates::isLegible($width, $height) && \strlen($address) * $font * 0.6 + 4 <= $width) {
            return \sprintf(
                '<text class="address" aria-hidden="true" x="%.1f" y="%.1f" font-size="%.1f">%s</text>',
                $x + $width / 2,
                $y + $height / 2 + $font * 0.33,
                $font,
                Svg::escape($address),
            );
        }

        return UnitTemplate::Chest === $template && $width > 14
            ? \sprintf('<path class="pull" d="M%.1f %.1fh6"/>', $x + $width / 2 - 3, $y + $height / 2)
            : '';
    }

    private static function boxes(int $count, float $x, float $y, float $width, float $height): string
    {
        $svg = '';
        for ($box = 0; $box < min($count, 3) && 5 + 7 * $box < $width - 5; ++$box) {
            $svg .= \sprintf('M%.1f %.1fh5v3h-5z', $x + 3 + 7 * $box, $y + $height - 4);
        }

        return '' === $svg || $height < 8 ? '' : '<path class="boxes" d="'.$svg.'"/>';
    }
}
