<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Stores\Places;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Several things that were chosen on a page, in a place or among what was found. */
#[IsGranted('ROLE_OWNER')]
final class SeveralController extends Page
{
    private const MOST = 400;

    public function __construct(private readonly Items $items, private readonly Places $places, private readonly WarnOfReach $warn)
    {
    }

    #[Route('/things/move', name: 'move_several', methods: ['POST'])]
    public function move(Request $request, KeepHomes $homes): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($homes): Outcome {
            $items = $this->chosen($input);
            $to = $this->places->required($input, 'to');
            $from = $this->places->chosen($input, 'lies_in');
            $input->check();
            foreach ($items as $item) {
                $homes->moveTo($step, $item, $to, $from);
            }
            $said = Counted::sentence(self::names($items), \sprintf('in %s now.', $to->address));

            return Outcome::undoable($this->cameFrom($input), trim($said.' '.$this->warn->ofHomes($items)));
        }, fn (Problem $problem): Response => $this->showAgain($request, $problem));
    }

    #[Route('/things/change', name: 'change_several', methods: ['POST'])]
    public function change(Request $request, DescribeItem $describe): Response
    {
        return $this->write($request, function (Input $input) use ($describe): Outcome {
            $items = $this->chosen($input);
            $change = BulkChange::read($input);
            $input->check();
            if ($change->isNothing()) {
                throw CatalogueRefused::nothingToChange();
            }
            $describe->several($items, $change);

            return Outcome::undoable($this->cameFrom($input), Counted::sentence(self::names($items), 'changed.'));
        }, fn (Problem $problem): Response => $this->showAgain($request, $problem));
    }

    /** @return non-empty-list<Item> */
    private function chosen(Input $input): array
    {
        $items = $this->items->several($input->list('items'), self::MOST);

        return [] === $items ? throw StepRefused::nothingChosen() : $items;
    }

    /**
     * @param list<Item> $items
     *
     * @return list<string>
     */
    private static function names(array $items): array
    {
        return array_map(static fn (Item $item): string => $item->name, $items);
    }
}
