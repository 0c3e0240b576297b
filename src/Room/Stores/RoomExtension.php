<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** The drawings of the room that any page may show. */
final class RoomExtension extends AbstractExtension
{
    public function __construct(
        private readonly RoomDrawing $room,
        private readonly WallDrawing $wall,
        private readonly Silhouettes $silhouettes,
        private readonly CellDrawing $cells,
        private readonly FloorDrawing $floor,
        private readonly SpotDrawing $spot,
    ) {
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('room_drawing', $this->room->room(...), ['is_safe' => ['html']]),
            new TwigFunction('room_shapes', $this->room->shapes(...)),
            new TwigFunction('unit_drawing', $this->room->unit(...), ['is_safe' => ['html']]),
            new TwigFunction('cells_drawing', $this->cells->draw(...), ['is_safe' => ['html']]),
            new TwigFunction('floor_drawing', $this->floor->draw(...), ['is_safe' => ['html']]),
            new TwigFunction('spot_drawing', $this->spot->draw(...), ['is_safe' => ['html']]),
            new TwigFunction('open_unit', $this->wall->unit(...), ['is_safe' => ['html']]),
            new TwigFunction('wall_drawing', $this->wall->draw(...), ['is_safe' => ['html']]),
            new TwigFunction('wall_outline', $this->silhouettes->wall(...), ['is_safe' => ['html']]),
        ];
    }
}
