<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Input;
use Lottel\Core\Measure\InvalidLength;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthFormat;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Usual;
use Lottel\Core\Room\RoomLayout;

/** Reads a floor plan: walls, door, what stands in the way, and where the units are. */
final readonly class FloorPlanForm
{
    private const MOST_FIXTURES = 8;
    private const TURNS = [0, 90, 180, 270];

    public function __construct(private Input $input, private LengthUnit $measure)
    {
    }

    public function layout(): RoomLayout
    {
        $width = $this->side('room_width');
        $depth = $this->side('room_depth');
        $doorAt = $this->input->length('door_at')?->nearestMillimetres() ?? 0;
        $doorWidth = $this->input->length('door_width')?->nearestMillimetres() ?? 0;
        if ($doorAt + $doorWidth > $width) {
            $this->input->refuse('door_at', 'The door would be outside the wall.');
        }

        return new RoomLayout($width, $depth, $doorAt, $doorWidth, $this->fixtures());
    }

    /** @return array<int, array{int, int, int}> x, y and turn by unit */
    public function spots(): array
    {
        [$xs, $ys, $turns] = [$this->input->list('x'), $this->input->list('y'), $this->input->list('turn')];
        $spots = [];
        foreach ($this->input->list('unit') as $index => $unit) {
            $spots[(int) $unit] = [$this->distance($xs[$index] ?? ''), $this->distance($ys[$index] ?? ''), $this->turn($turns[$index] ?? '0')];
        }

        return $spots;
    }

    /** @return list<array{name: string, x: int, y: int, width: int, depth: int}> */
    private function fixtures(): array
    {
        $fixtures = [];
        foreach (\array_slice($this->input->list('fixture'), 0, self::MOST_FIXTURES) as $index => $typed) {
            $name = mb_substr(trim(mb_scrub($typed)), 0, 40);
            [$x, $y, $width, $depth] = array_map(
                fn (string $field): int => $this->millimetres($this->input->list($field)[$index] ?? ''),
                ['fixture_x', 'fixture_y', 'fixture_width', 'fixture_depth'],
            );
            if ('' === $name) {
                continue;
            }
            if (min($x, $y) < 0 || min($width, $depth) < 1) {
                $such = Usual::in($this->measure)->exampleOfFurniture();
                $this->input->refuse('fixtures', \sprintf('Say of %s where it stands, and how wide and deep it is, such as %s.', $name, $such));
            } else {
                $fixtures[] = ['name' => $name, 'x' => $x, 'y' => $y, 'width' => $width, 'depth' => $depth];
            }
        }

        return $fixtures;
    }

    private function side(string $field): int
    {
        $millimetres = $this->input->length($field)?->nearestMillimetres() ?? 0;
        if ($millimetres < RoomLayout::LEAST_MM || $millimetres > RoomLayout::MOST_MM) {
            $say = fn (int $of): string => (new LengthFormat($this->measure))->rolled(Length::ofTenthMillimetres(10 * $of));
            $this->input->refuse($field, \sprintf('From %s to %s.', $say(RoomLayout::LEAST_MM), $say(RoomLayout::MOST_MM)));
        }

        return max(RoomLayout::LEAST_MM, min(RoomLayout::MOST_MM, $millimetres));
    }

    private function turn(string $typed): int
    {
        if (!\in_array((int) $typed, self::TURNS, true)) {
            $this->input->refuse('plan', 'A unit is turned by 0, 90, 180 or 270.');

            return 0;
        }

        return (int) $typed;
    }

    private function distance(string $typed): int
    {
        $distance = $this->millimetres($typed);
        if ($distance < 0) {
            $this->input->refuse('plan', \sprintf(
                '“%s” is no place for a unit. Give how far it is from the left or from the upper wall, such as %s.',
                mb_substr(trim(mb_scrub($typed)), 0, 20),
                Usual::in($this->measure)->exampleOfDistance(),
            ));
        }

        return max(0, $distance);
    }

    /** Reads a length, a bare number as the room measures, to the nearest millimetre; -1 where it is none. */
    private function millimetres(string $typed): int
    {
        try {
            return 1 === preg_match('/[0-9]/', $typed) ? Length::parse(trim($typed), $this->measure)->nearestMillimetres() : -1;
        } catch (InvalidLength) {
            return -1;
        }
    }
}
