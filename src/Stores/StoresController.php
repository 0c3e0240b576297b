<?php

declare(strict_types=1);

namespace App\Stores;

use App\Web\Page;
use Lottel\Core\Catalogue\Season;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The room with its units, and one of them. */
final class StoresController extends Page
{
    public function __construct(
        private readonly RoomReading $room,
        private readonly PlaceReading $places,
        private readonly RoomWalls $walls,
        private readonly WallReading $next,
    ) {
    }

    #[Route('/stores', name: 'stores', methods: ['GET'])]
    public function index(Request $request): Response
    {
        $season = Season::broughtForwardOn($this->frame->today());
        $wall = $this->walls->named($request->query->getString('wall'));

        return $this->render('stores/index.html.twig', [
            'season' => $season,
            'in_season' => $this->places->ofSeason($season),
            'walls' => $this->walls->all(),
            'seen' => $wall,
            'wall' => $wall?->name,
            'next' => null === $wall ? [] : $this->next->next($wall),
            'places' => $this->room->placesByUnit(),
        ]);
    }

    /** The drawing of the room by itself, with another of its walls in view. */
    #[Route('/room', name: 'room_panel', methods: ['GET'])]
    public function panel(Request $request): Response
    {
        return $this->render('stores/_panel.html.twig', ['wall' => $request->query->getString('wall'), 'lit' => self::lit($request)]);
    }

    /** One unit so large that a finger finds each of its fronts. */
    #[Route('/room/units/{letters}', name: 'unit_large', methods: ['GET'])]
    public function large(string $letters, Request $request): Response
    {
        return $this->render('stores/_large.html.twig', ['unit' => $this->room->unit($letters), 'lit' => self::lit($request)]);
    }

    #[Route('/stores/units/{letters}', name: 'unit', methods: ['GET'])]
    public function unit(string $letters): Response
    {
        $unit = $this->room->unit($letters);

        return $this->render('stores/unit.html.twig', ['unit' => $unit, 'places' => $this->room->placesByUnit($unit->id)[$unit->id] ?? []]);
    }

    /** @return array<int, string> what is written on the discs of lit places */
    private static function lit(Request $request): array
    {
        $lit = [];
        foreach ($request->query->all('lit') as $place => $stop) {
            if (\is_int($place) && \is_string($stop)) {
                $lit[$place] = mb_substr($stop, 0, 4);
            }
        }

        return $lit;
    }
}
