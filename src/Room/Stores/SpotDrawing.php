<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\Svg;

/** Draws a unit so small that only its fronts are left, with one of them filled: where in the room a place is. */
final readonly class SpotDrawing
{
    private const BOX = [74.0, 78.0];

    public function __construct(private RoomReading $room)
    {
    }

    public function draw(int $id): string
    {
        $place = $this->room->place($id);
        $unit = null === $place ? null : $this->room->units()[$place->unitId] ?? null;
        if (null === $unit) {
            return '';
        }
        $scale = min(self::BOX[0] / max(1, $unit->width->ticks), self::BOX[1] / max(1, $unit->height->ticks));
        $seen = $this->room->frontOf($id);
        $fronts = Svg::rectangle('carcase', 0, 0, $unit->width->ticks * $scale, $unit->height->ticks * $scale, 0);
        foreach ($this->room->places() as $other) {
            if ($other->unitId === $unit->id && null !== $other->front) {
                $front = $other->front;
                $fronts .= Svg::rectangle(
                    $other->id === $seen ? 'front here' : 'front',
                    $front->x->ticks * $scale + 0.6,
                    $front->y->ticks * $scale + 0.6,
                    max(0.8, $front->width->ticks * $scale - 1.2),
                    max(0.8, $front->height->ticks * $scale - 1.2),
                    0,
                );
            }
        }
        [$width, $height] = [$unit->width->ticks * $scale, $unit->height->ticks * $scale];

        return \sprintf(
            '<svg class="spot-drawing" aria-hidden="true" viewBox="-0.5 -0.5 %.1f %.1f" width="%.0f" height="%.0f">%s</svg>',
            $width + 1,
            $height + 1,
            $width + 1,
            $height + 1,
            $fronts,
        );
    }
}
