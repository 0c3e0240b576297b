<?php

declare(strict_types=1);

namespace App\Stores;

use App\Web\Page;
use Lottel\Core\Catalogue\Season;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The room with its units, and one of them. */
final class StoresController extends Page
{
    public function __construct(private readonly RoomReading $room, private readonly PlaceReading $places)
    {
    }

    #[Route('/stores', name: 'stores', methods: ['GET'])]
    public function index(): Response
    {
        $season = Season::broughtForwardOn($this->frame->today());

        return $this->render('stores/index.html.twig', [
            'season' => $season,
            'in_season' => $this->places->ofSeason($season),
            'units' => $this->room->units(),
            'places' => $this->room->placesByUnit(),
        ]);
    }

    #[Route('/stores/units/{letters}', name: 'unit', methods: ['GET'])]
    public function unit(string $letters): Response
    {
        $unit = $this->room->unit($letters);

        return $this->render('stores/unit.html.twig', ['unit' => $unit, 'places' => $this->room->placesByUnit($unit->id)[$unit->id] ?? []]);
    }
}
