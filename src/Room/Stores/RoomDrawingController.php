<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\Unknown;
use App\Platform\Web\DrawingFile;
use App\Platform\Web\Page;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The room from the front and from above, as drawings to take along. */
final class RoomDrawingController extends Page
{
    public function __construct(private readonly DrawingFile $file)
    {
    }

    #[Route('/stores/wall.{type<svg|pdf>}', name: 'wall_file', methods: ['GET'])]
    public function wall(Request $request, string $type, RoomWalls $walls, RoomReading $room, WallDrawing $drawing): Response
    {
        $wall = $walls->named($request->query->getString('wall')) ?? throw $this->createNotFoundException('Nothing stands in the room yet.');

        return $this->file->answer($drawing->draw($wall, $room->placesByUnit()), $type, $this->frame->room()->name.', '.$wall->name, 'wall');
    }

    #[Route('/stores/plan/{id<[0-9]{1,9}>}.{type<svg|pdf>}', name: 'plan_file', methods: ['GET'])]
    public function plan(int $id, string $type, FloorReading $floor, FloorDrawing $drawing): Response
    {
        $room = $floor->rooms()[$id] ?? throw Unknown::room($id);

        return $this->file->answer($drawing->draw($room, false), $type, $room->name.', from above', 'floor-plan');
    }
}
