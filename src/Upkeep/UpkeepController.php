<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Catalogue\ItemReading;
use App\People\People;
use App\Web\Page;
use App\Web\Problem;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What needs looking after: the lost and the not filed; how the room measures; and who may work here. */
final class UpkeepController extends Page
{
    #[Route('/upkeep', name: 'upkeep', methods: ['GET'])]
    public function index(ItemReading $items, People $people, ?Problem $problem = null): Response
    {
        return $this->render('upkeep/index.html.twig', [
            'lost' => $items->lost(),
            'not_filed' => $items->notFiled(),
            'people' => $people->all(),
            'zones' => \DateTimeZone::listIdentifiers(),
            'problem' => $problem,
        ]);
    }
}
