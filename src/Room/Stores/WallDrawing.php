<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Svg;
use Lottel\Core\Measure\Length;
use Lottel\Core\Room\DrawnRow;
use Lottel\Core\Room\DrawnUnit;
use Lottel\Core\Room\Elevation;
use Lottel\Core\Room\Lettering;
use Lottel\Core\Room\Standing;
use Lottel\Core\Room\Wall;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;

/** Draws one wall so large that one sees what is in its places. */
final readonly class WallDrawing
{
    private const WIDTH = 856.0;
    private const HEIGHT = 446.0;
    private const UNIT = [334.0, 500.0];

    public function __construct(
        private RoomReading $room,
        private RoomWalls $walls,
        private FrontStates $states,
        private Glimpses $glimpses,
        private ElevationSvg $svg,
        private UrlGeneratorInterface $urls,
    ) {
    }

    /** @param array<int, list<PlaceLine>> $lines the places of the room by unit, with what is in them */
    public function draw(Wall $wall, array $lines): string
    {
        return $this->drawn($wall, $lines, [self::WIDTH, self::HEIGHT], $this->states->now());
    }

    /**
     * One unit by itself, as large as its page has room.
     *
     * @param list<PlaceLine> $lines its places
     * @param bool $isToStay whether it is to hang on the unit for long, so that it does not say what is out today
     */
    public function unit(UnitRow $unit, array $lines, bool $isToStay = false): string
    {
        $wall = Wall::of([$this->walls->standing($unit)->onTheFloor()])[0];

        return $this->drawn($wall, [$unit->id => $lines], self::UNIT, $isToStay ? [] : $this->states->now());
    }

    /**
     * @param array<int, list<PlaceLine>> $lines
     * @param array{float, float} $field
     * @param array<int, FrontState> $states by front
     */
    private function drawn(Wall $wall, array $lines, array $field, array $states): string
    {
        $drawn = (new Elevation($field[0], $field[1], false, Lettering::large()))->draw([$wall]);
        $units = array_map(static fn (Standing $unit): int => $unit->id, $wall->units);
        $seen = new SeenInPlaces($this->room, $lines, $states, $this->glimpses->in($units));
        $svg = '';
        [$bottom, $right] = [0.0, 0.0];
        foreach ($drawn->rows as $row) {
            $svg .= \sprintf('<g transform="translate(0 %.1f)">%s</g>', $bottom, $this->row($row, $seen, $drawn->scale));
            $bottom += $row->height + Elevation::WALL_GAP;
            $right = max($right, $row->width);
        }

        return ElevationSvg::wrapped($svg, 'wall-large', $wall->name, $right, $bottom + 2);
    }

    private function row(DrawnRow $row, SeenInPlaces $seen, float $scale): string
    {
        $svg = \sprintf('<path class="floor-edge" d="M-2 %.1fh%.1f"/>', $row->height, $row->width + 4);
        foreach ($row->units as $drawn) {
            $unit = $this->room->units()[$drawn->unit->id];
            $svg .= $this->svg->outline($drawn, $unit);
            foreach ($seen->fronts($unit->id) as $place) {
                $svg .= $this->front($drawn, $place, $seen, $scale);
            }
        }

        return $svg;
    }

    private function front(DrawnUnit $drawn, FrontRow $place, SeenInPlaces $seen, float $scale): string
    {
        if (null === $place->front) {
            return '';
        }
        $front = new OpenFront(
            $place,
            $this->url($place),
            $drawn->x + $place->front->x->ticks * $scale + 1.2,
            $drawn->y + $place->front->y->ticks * $scale + 1.2,
            max(1.0, $place->front->width->ticks * $scale - 2.4),
            max(1.0, $place->front->height->ticks * $scale - 2.4),
            $scale * Length::TICKS_PER_MILLIMETRE,
            $seen->things($place->id),
            $seen->state($place->id),
            $seen->glimpses($place->id),
            array_map(fn (FrontRow $inner): array => [$inner->address, $this->url($inner)], $seen->inner($place->id)),
        );

        return $front->drawn();
    }

    private function url(FrontRow $place): string
    {
        return Svg::escape($this->urls->generate('place', ['address' => $place->address]));
    }
}
