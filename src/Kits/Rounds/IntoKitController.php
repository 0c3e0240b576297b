<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitList;
use App\Kits\Kits\Kits;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemController;
use App\Room\Catalogue\Items;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** From an item or a drawer straight into a kit: one that is planned or out, or a new one. */
final class IntoKitController extends Page
{
    private const MOST = 400;

    public function __construct(private readonly Items $items, private readonly Kits $kits, private readonly KitList $list, private readonly TakeOut $out)
    {
    }

    #[Route('/items/{id<[0-9]{1,12}>}/into-kit', name: 'into_kit', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function __invoke(Request $request, int $id): Response
    {
        return $this->write(
            $request,
            fn (Input $input, Step $step): Outcome => $this->into($input, $step, $id),
            fn (Problem $problem): Response => $this->forward(ItemController::class.'::itemPage', ['id' => $id, 'problem' => $problem]),
        );
    }

    /** Puts what was chosen on the list of a kit: whole things whole, of what is counted one each. */
    #[Route('/things/into-kit', name: 'several_into_kit', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function several(Request $request): Response
    {
        return $this->write($request, function (Input $input, Step $step): Outcome {
            $items = $this->items->several($input->list('items'), self::MOST);
            if ([] === $items) {
                throw StepRefused::nothingChosen();
            }
            $kit = $this->kit($input, $step);
            foreach ($items as $item) {
                $input->isTicked('now') ? $this->out->now($step, $kit, $item, 1) : $this->list->add($kit, $item, 1);
            }
            $isCounted = [] !== array_filter($items, static fn (Item $item): bool => !$item->tracking->movesWhole());
            $names = array_map(static fn (Item $item): string => $item->name, $items);
            $where = $input->isTicked('now') ? 'on '.$kit->trayInUse()->address.'.' : \sprintf('on the list of “%s”.', $kit->name);

            return Outcome::undoable(
                $this->generateUrl($input->isTicked('now') ? 'make_kit' : 'kit', ['id' => $kit->id]),
                Counted::sentence($names, $where).($isCounted ? ' Of what is counted it is one each: say how many.' : ''),
            );
        }, fn (Problem $problem): Response => $this->showAgain($request, $problem));
    }

    private function kit(Input $input, Step $step): Kit
    {
        $id = $input->id('kit');

        if (0 === $id) {
            return $this->out->newKit($step, $this->roomClock->today());
        }
        $kit = $this->kits->one($id);
        if (!$kit->takesMore()) {
            throw RoundsRefused::takesNoMore($kit->name, $kit->isParked());
        }

        return $kit;
    }

    private function into(Input $input, Step $step, int $id): Outcome
    {
        $item = $this->items->one($id);
        $quantity = $item->tracking->movesWhole() ? 1 : $input->quantity('quantity', $item->tracking);
        $input->check();
        $kit = $this->kit($input, $step);
        if (!$input->isTicked('now')) {
            $this->list->add($kit, $item, $quantity);

            return Outcome::undoable($this->generateUrl('kit', ['id' => $kit->id]), \sprintf('%s is on the list of “%s”.', $item->name, $kit->name));
        }
        $this->out->now($step, $kit, $item, $quantity);

        return Outcome::undoable($this->generateUrl('make_kit', ['id' => $kit->id]), \sprintf('%s is on %s.', $item->name, $kit->trayInUse()->address));
    }
}
