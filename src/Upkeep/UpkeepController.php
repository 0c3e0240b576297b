<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Catalogue\ItemReading;
use App\Web\Page;
use App\Web\Problem;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** What needs looking after. */
final class UpkeepController extends Page
{
    #[Route('/upkeep', name: 'upkeep', methods: ['GET'])]
    public function index(ItemReading $items, ?Problem $problem = null): Response
    {
        return $this->render('upkeep/index.html.twig', [
            'lost' => $items->lost(),
            'not_filed' => $items->notFiled(),
            'problem' => $problem,
        ]);
    }
}
