<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Svg;
use Lottel\Core\Room\Elevation;
use Lottel\Core\Room\Standing;
use Lottel\Core\Room\Wall;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Symfony\Contracts\Cache\CacheInterface;

/** Draws the room's units in elevation: beside a page, above it on a narrow screen, and one unit by itself. */
final class RoomDrawing
{
    /** The fields that a page has for the room, in pixels: width, height, whether walls stand side by side. */
    private const FIELDS = ['beside' => [348.0, 560.0, false], 'above' => [788.0, 212.0, true]];
    private const HEIGHT_OF_TABS = 76.0;

    private const UNIT = [520.0, 420.0];
    private const STRIP = [358.0, 78.0];

    /** @var array<int, list<FrontRow>>|null */
    private ?array $fronts = null;

    public function __construct(
        private readonly RoomReading $room,
        private readonly RoomWalls $walls,
        private readonly FrontStates $states,
        private readonly ElevationSvg $svg,
        private readonly Silhouettes $silhouettes,
        private readonly UrlGeneratorInterface $urls,
        private readonly CacheInterface $cache,
        private readonly RoomArrows $arrows,
    ) {
    }

    /**
     * Returns the room with what is lit in it; nothing where no furniture stands in it.
     *
     * @param array<int, string> $lit what is written on a lit place's disc, by place; empty text lights it without a disc
     * @param string|null $wall the wall to be seen where not all are; null for the one with most of what is lit
     * @param list<array{int, int, string}> $arrows from which place to which, with a letter; they are drawn from front to front
     */
    public function room(array $lit = [], ?string $wall = null, array $arrows = []): string
    {
        if ([] === $this->room->units()) {
            return '';
        }
        $this->fronts = null;
        $version = $this->room->version();
        $states = $this->states->now();
        $arrows = array_map(fn (array $arrow): array => [$this->front($arrow[0]), $this->front($arrow[1]), $arrow[2]], $arrows);
        $html = '';
        foreach (array_keys(self::FIELDS) as $view) {
            $seen = $this->isLegible($view, $version) ? null : $this->seen($lit, $wall);
            $tabs = null === $seen ? '' : $this->tabs($seen, $lit);
            $drawn = $this->view($view, $version, $seen?->name);
            $inside = $this->svg->filled($drawn, $states, $lit).$this->arrows->draw($drawn, $arrows);
            $html .= '<div class="room-view '.$view.'">'.$tabs.$this->wrapped($drawn, $view, $inside).'</div>';
        }

        return $html.$this->silhouettes($lit);
    }

    private function front(int $place): int
    {
        return $this->room->frontOf($place) ?? $place;
    }

    /** @return list<string> what the shapes in the drawing may say at present */
    public function shapes(): array
    {
        $states = $this->states->now();

        return array_keys(array_filter([
            'out' => [] !== array_filter($states, static fn (FrontState $state): bool => $state->out > 0),
            'overdue' => [] !== array_filter($states, static fn (FrontState $state): bool => $state->isOverdue),
            'over-full' => [] !== array_filter($states, static fn (FrontState $state): bool => $state->isOverFull),
            'lost' => [] !== array_filter($states, static fn (FrontState $state): bool => $state->lost > 0),
            'boxes' => [] !== $this->room->boxes(),
        ]));
    }

    /** @param array<int, string> $lit */
    public function unit(int $unitId, array $lit = []): string
    {
        $unit = $this->room->units()[$unitId];
        $drawn = (new Elevation(...self::UNIT))->draw(Wall::of([$this->walls->standing($unit)->onTheFloor()]));
        $sketch = $this->svg->sketch($drawn, [$unitId => $this->fronts()[$unitId] ?? []], [$unitId => $unit], $this->room->boxes(), false);

        return $this->wrapped($sketch, 'alone', $this->svg->filled($sketch, $this->states->now(), $lit), $unit->name);
    }

    private function view(string $view, string $version, ?string $wall): RoomSketch
    {
        return $this->cache->get('room-'.hash('xxh128', $view.$wall).$version, fn (): RoomSketch => $this->sketch($view, $wall));
    }

    private function sketch(string $view, ?string $wall): RoomSketch
    {
        [$width, $height, $isAbreast] = self::FIELDS[$view];
        $walls = array_values(array_filter($this->walls->all(), static fn (Wall $one): bool => null === $wall || $one->name === $wall));
        $drawn = (new Elevation($width, $height - (null === $wall ? 0 : self::HEIGHT_OF_TABS), $isAbreast && null === $wall))->draw($walls);

        return $this->svg->sketch($drawn, $this->fronts(), $this->room->units(), $this->room->boxes(), $isAbreast && null === $wall);
    }

    private function wrapped(RoomSketch $sketch, string $class, string $inside, string $title = 'The storage units of the room'): string
    {
        $right = $bottom = 0.0;
        foreach ($sketch->room->rows as $nth => $row) {
            $right = max($right, $sketch->offsets[$nth][0] + $row->width);
            $bottom = max($bottom, $sketch->offsets[$nth][1] + $row->height + Elevation::BOARD);
        }

        return ElevationSvg::wrapped($inside, $class, $title, $right, $bottom);
    }

    /** @return array<int, list<FrontRow>> the places with a front, by unit */
    private function fronts(): array
    {
        if (null === $this->fronts) {
            $this->fronts = [];
            foreach ($this->room->places() as $place) {
                if (null !== $place->front) {
                    $this->fronts[$place->unitId][] = $place;
                }
            }
        }

        return $this->fronts;
    }

    /** Whether all walls are seen at once; kept by itself, since the drawing of all walls is large where they are not. */
    private function isLegible(string $view, string $version): bool
    {
        return $this->cache->get(
            'room-legible-'.$view.$version,
            fn (): bool => \count($this->walls->all()) < 2 || $this->view($view, $version, null)->room->isLegible(),
        );
    }

    /** @param array<int, string> $lit */
    private function seen(array $lit, ?string $wall): Wall
    {
        $walls = $this->walls->all();
        $best = $walls[0];
        foreach ($walls as $one) {
            if ($one->name === $wall) {
                return $one;
            }
            $best = $this->litAt($one, $lit) > $this->litAt($best, $lit) ? $one : $best;
        }

        return $best;
    }

    /** @param array<int, string> $lit */
    private function litAt(Wall $wall, array $lit): int
    {
        $units = array_map(static fn (Standing $unit): int => $unit->id, $wall->units);

        return \count(array_filter(array_keys($lit), fn (int $place): bool => \in_array($this->room->place($place)?->unitId, $units, true)));
    }

    /** @param array<int, string> $lit */
    private function tabs(Wall $seen, array $lit): string
    {
        $html = '';
        foreach ($this->walls->all() as $wall) {
            $many = $this->litAt($wall, $lit);
            $html .= \sprintf(
                '<a href="%s" hx-get="%s" hx-target="#room-drawing" hx-swap="innerHTML" hx-push-url="false"%s>%s%s</a>',
                Svg::escape($this->urls->generate('stores', ['wall' => $wall->name])),
                Svg::escape($this->urls->generate('room_panel', ['wall' => $wall->name, 'lit' => $lit])),
                $wall->name === $seen->name ? ' aria-current="true"' : '',
                Svg::escape($wall->name),
                0 === $many ? '' : ' <b>'.$many.'<span class="sr-only"> lit</span></b>',
            );
        }

        return '<nav class="wall-tabs" aria-label="Walls">'.$html.'</nav>';
    }

    /** @param array<int, string> $lit */
    private function silhouettes(array $lit): string
    {
        $byUnit = [];
        foreach ($lit as $place => $stop) {
            $unit = $this->room->place($place)?->unitId;
            if (null !== $unit) {
                $byUnit[$unit][] = $stop;
            }
        }
        $texts = array_map(static function (array $stops): string {
            $numbers = array_values(array_filter($stops, static fn (string $stop): bool => '' !== $stop));

            return \count($numbers) > 1 ? '×'.\count($numbers) : $numbers[0] ?? '';
        }, $byUnit);

        return '<div class="room-view outlines">'.$this->silhouettes->draw($this->walls->all(), self::STRIP[0], self::STRIP[1], $texts).'</div>';
    }
}
