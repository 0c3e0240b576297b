<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Measures;
use App\Platform\Web\Svg;
use Lottel\Core\Room\Footprint;
use Lottel\Core\Room\RoomLayout;

/** Draws a room from above, in millimetres: its walls, its door, what stands in the way, and its units. */
final readonly class FloorDrawing
{
    private const MARGIN = 120;
    private const WALL = 60;
    private const LETTER = 45;
    private const NAME = 35;
    private const MM_PER_INCH = 25.4;
    private const TURNS = [0, 90, 180, 270];

    public function __construct(private Measures $measures)
    {
    }

    /** @param bool $canMove whether a person may drag the units and turn them */
    public function draw(RoomPlan $room, bool $canMove): string
    {
        $layout = $room->layout;

        return \sprintf(
            '<svg class="floor-plan" viewBox="%d %d %d %d" width="760" role="group" aria-label="Floor plan of %s"'
            .' data-width="%d" data-depth="%d" data-unit-mm="%s" data-unit-name="%s">%s%s%s%s</svg>',
            -self::MARGIN,
            -self::MARGIN,
            $layout->width + 2 * self::MARGIN,
            $layout->depth + 2 * self::MARGIN,
            Svg::escape($room->name),
            $layout->width,
            $layout->depth,
            $this->measures->isMetric() ? '1' : (string) self::MM_PER_INCH,
            $this->measures->isMetric() ? '' : ' in',
            self::walls($layout),
            self::door($layout),
            implode('', array_map(self::fixture(...), $layout->fixtures)),
            implode('', array_map(static fn (UnitRow $unit): string => self::unit($unit, $canMove), $room->units)),
        );
    }

    private static function walls(RoomLayout $layout): string
    {
        return \sprintf(
            '<rect class="fp-wall" x="%1$d" y="%1$d" width="%2$d" height="%3$d"/><rect class="fp-ground" width="%4$d" height="%5$d"/>',
            -self::WALL,
            $layout->width + 2 * self::WALL,
            $layout->depth + 2 * self::WALL,
            $layout->width,
            $layout->depth,
        );
    }

    private static function door(RoomLayout $layout): string
    {
        return 0 === $layout->doorWidth ? '' : \sprintf(
            '<g class="fp-door" aria-hidden="true"><rect x="%1$d" y="%2$d" width="%3$d" height="%4$d"/>'
            .'<path d="M%1$d %5$dv-%3$da%3$d %3$d 0 0 1 %3$d %3$d"/></g>',
            $layout->doorAt,
            $layout->depth - 1,
            $layout->doorWidth,
            self::WALL + 2,
            $layout->depth,
        );
    }

    /** @param array{name: string, x: int, y: int, width: int, depth: int} $fixture */
    private static function fixture(array $fixture): string
    {
        return \sprintf(
            '<g class="fp-fixture" aria-hidden="true"><rect x="%d" y="%d" width="%d" height="%d" rx="20"/><text x="%.1f" y="%.1f">%s</text></g>',
            $fixture['x'],
            $fixture['y'],
            $fixture['width'],
            $fixture['depth'],
            $fixture['x'] + $fixture['width'] / 2,
            $fixture['y'] + $fixture['depth'] / 2 + self::NAME,
            Svg::escape($fixture['name']),
        );
    }

    private static function unit(UnitRow $unit, bool $canMove): string
    {
        $spot = $unit->footprint;
        $words = \sprintf('%s, %s: move with the arrow keys, turn with r', $unit->letters, $unit->name);
        [$from, $to] = $spot->front();
        $letter = $spot->letter();

        return \sprintf(
            '<g class="fp-unit%s"%s data-unit="%d" data-turn="%d"%s transform="translate(%d %d)"><title>%s</title>'
            .'<rect class="fp-body" width="%d" height="%d" rx="12"/><path class="fp-front" d="%s"/><text x="%.1f" y="%.1f">%s</text></g>',
            $unit->aboveFloor->ticks > 0 ? ' high' : '',
            $canMove ? ' tabindex="0" role="button" aria-label="'.Svg::escape($words).'"' : '',
            $unit->id,
            $spot->turn,
            implode('', array_map(static fn (int $turn): string => self::shape($spot->turned($turn)), self::TURNS)),
            $spot->x,
            $spot->y,
            Svg::escape($unit->letters.' · '.$unit->name),
            $spot->across(),
            $spot->down(),
            \sprintf('M%g %gL%g %g', $from->x, $from->y, $to->x, $to->y),
            $letter->x,
            $letter->y + self::LETTER,
            Svg::escape($unit->letters),
        );
    }

    /** How a unit is drawn when it is turned so: its sides, its front, and where its letter stands. */
    private static function shape(Footprint $spot): string
    {
        [$from, $to] = $spot->front();
        $letter = $spot->letter();

        return \sprintf(
            ' data-shape%d="%d %d|M%g %gL%g %g|%g %g"',
            $spot->turn,
            $spot->across(),
            $spot->down(),
            $from->x,
            $from->y,
            $to->x,
            $to->y,
            $letter->x,
            $letter->y + self::LETTER,
        );
    }
}
