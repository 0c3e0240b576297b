<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Catalogue\ItemController;
use App\Catalogue\Items;
use App\Kits\KitList;
use App\Kits\Kits;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** From an item or a drawer straight into a kit: one that is planned or out, or a new one. */
final class IntoKitController extends Page
{
    public function __construct(private readonly Items $items, private readonly Kits $kits, private readonly KitList $list, private readonly TakeOut $out)
    {
    }

    #[Route('/items/{id<[0-9]{1,12}>}/into-kit', name: 'into_kit', methods: ['POST'])]
    public function __invoke(Request $request, int $id): Response
    {
        return $this->write(
            $request,
            fn (Input $input, Step $step): Outcome => $this->into($input, $step, $id),
            fn (Problem $problem): Response => $this->forward(ItemController::class.'::itemPage', ['id' => $id, 'problem' => $problem]),
        );
    }

    private function into(Input $input, Step $step, int $id): Outcome
    {
        $item = $this->items->one($id);
        $quantity = $item->tracking->movesWhole() ? 1 : $input->quantity('quantity', $item->tracking);
        $kitId = $input->id('kit');
        $input->check();
        $kit = 0 === $kitId ? $this->out->newKit($step, $this->frame->today()) : $this->kits->one($kitId);
        if (!$input->isTicked('now')) {
            $this->list->add($kit, $item, $quantity);

            return Outcome::undoable($this->generateUrl('kit', ['id' => $kit->id]), \sprintf('%s is on the list of “%s”.', $item->name, $kit->name));
        }
        $this->out->now($step, $kit, $item, $quantity);

        return Outcome::undoable($this->generateUrl('make_kit', ['id' => $kit->id]), \sprintf('%s is on %s.', $item->name, $kit->trayInUse()->address));
    }
}
