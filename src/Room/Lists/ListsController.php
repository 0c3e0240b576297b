<?php

declare(strict_types=1);

namespace App\Room\Lists;

use App\Platform\Web\Page;
use App\Platform\Web\TableFile;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** The lists of the room for a spreadsheet, or for another program. */
final class ListsController extends Page
{
    public function __construct(private readonly DrawingsToTake $reading)
    {
    }

    #[Route('/lists', name: 'room_lists', methods: ['GET'])]
    public function index(): Response
    {
        return $this->render('room/lists/index.html.twig', [
            'lists' => RoomLists::names(),
            'walls' => $this->reading->walls(),
            'rooms' => $this->reading->rooms(),
        ]);
    }

    #[Route('/lists/{name<[a-z-]{1,20}>}.{type<csv|xlsx>}', name: 'room_list', methods: ['GET'])]
    public function take(string $name, string $type, RoomLists $lists, TableFile $file): Response
    {
        return $file->answer($lists->named($name) ?? throw $this->createNotFoundException('There is no such list.'), $type);
    }
}
