<?php

declare(strict_types=1);

namespace App\Upkeep\Capacity;

use App\Platform\Web\Page;
use App\Room\Stores\RoomReading;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Which places are full, heavy, growing, empty. */
final class CapacityController extends Page
{
    private const SHOWN = 25;

    #[Route('/upkeep/full', name: 'full', methods: ['GET'])]
    public function index(CapacityReading $reading, RoomReading $room): Response
    {
        $now = $reading->now();

        return $this->render('upkeep/capacity/full.html.twig', [
            'now' => $now,
            'over' => \array_slice($now->over(), 0, self::SHOWN),
            'near' => \array_slice($now->near(), 0, self::SHOWN),
            'growing' => \array_slice($now->growing(), 0, self::SHOWN),
            'dangerous' => \array_slice($now->dangerous(), 0, self::SHOWN),
            'lit' => $room->litWith(array_map(
                static fn (FilledPlace $place): array => [$place->id, $place->worst().' %'],
                \array_slice($now->over(), 0, self::SHOWN),
            )),
        ]);
    }
}
