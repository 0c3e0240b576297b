<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Care\FreshInk;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A pad that was inked anew. */
final class InkedController extends Page
{
    #[Route('/items/{id<[0-9]{1,12}>}/inked', name: 'inked', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function inked(Request $request, int $id, Items $items, LayFlat $flat): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $items, $flat): Outcome {
            $item = $items->one($id);
            $days = $input->isEmpty('days') ? FreshInk::USUAL_DAYS : $input->whole('days', 1, FreshInk::MOST_DAYS);
            $kit = $input->id('kit');
            $input->check();
            $until = $flat->inked($step, $item, $days)->setTimezone($this->roomClock->timeZone());

            return Outcome::undoable(
                0 === $kit ? $this->generateUrl('item', ['id' => $id]) : $this->generateUrl('return_kit', ['id' => $kit]),
                \sprintf('%s lies flat, its lid up, until %s.', $item->name, $until->format('l j F, G:i')),
            );
        }, fn (Problem $problem): Response => $this->forward(ItemController::class.'::itemPage', ['id' => $id, 'problem' => $problem]));
    }
}
