<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Web\PagePart;
use App\Platform\Web\ShowsOnPages;
use Twig\Extension\AbstractExtension;
use Twig\TwigFunction;

/** The drawings of the room that any page may show. */
final class RoomExtension extends AbstractExtension implements ShowsOnPages
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

    public function onPages(): array
    {
        return [
            new PagePart('room', 'room/stores/_beside.html.twig'),
            new PagePart('legend of the room', 'room/stores/_legend.html.twig', 10),
        ];
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
