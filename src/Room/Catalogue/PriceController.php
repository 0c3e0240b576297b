<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What was paid for a thing. */
final class PriceController extends Page
{
    #[Route('/items/{id<[0-9]{1,12}>}/price', name: 'say_price', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function say(Request $request, int $id, Items $items, Prices $prices): Response
    {
        return $this->write($request, function (Input $input) use ($id, $items, $prices): Outcome {
            $item = $items->one($id);
            $cents = $input->cents('price');
            $quantity = $item->tracking->movesWhole() ? 1 : $input->quantity('quantity', $item->tracking);
            $day = $input->date('day') ?? $this->roomClock->today();
            if ($day->format('Ymd') > $this->roomClock->today()->format('Ymd')) {
                $input->refuse('day', 'That day is still to come.');
            }
            $shop = $input->text('shop', 120);
            $input->check();
            $prices->paid($item, $cents, $quantity, new \DateTimeImmutable($day->format('Y-m-d')), $shop);

            return Outcome::undoable($this->generateUrl('item', ['id' => $id]), 'The price is written down.');
        }, fn (Problem $problem): Response => $this->forward(ItemController::class.'::itemPage', ['id' => $id, 'problem' => $problem]));
    }
}
