<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\KitReading;
use App\Kits\Kits\Kits;
use App\Kits\Kits\PlanController;
use App\Kits\Kits\TrayRow;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\CareRow;
use App\Room\Catalogue\ContentsReading;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\ThingLine;
use App\Room\Stores\Places;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final class ReturnController extends Page
{
    private const MOST_AT_ONCE = 200;

    public function __construct(
        private readonly KitReading $reading,
        private readonly RoundReading $rounds,
        private readonly Kits $kits,
        private readonly Items $items,
        private readonly Places $places,
        private readonly ContentsReading $contents,
        private readonly BringHome $bring,
    ) {
    }

    #[Route('/return', name: 'return', methods: ['GET'])]
    public function index(): Response
    {
        return $this->render('kits/rounds/returns.html.twig', ['kits' => $this->reading->out()]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/return', name: 'return_kit', methods: ['GET'])]
    public function round(int $id): Response
    {
        return $this->show($id, null);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/return', name: 'start_return', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function start(Request $request, int $id): Response
    {
        return $this->write($request, function () use ($id): Outcome {
            $this->bring->begin($this->kits->one($id));

            return Outcome::undoable($this->url($id), '');
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/return/home', name: 'bring_home', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function home(Request $request, int $id): Response
    {
        return $this->write(
            $request,
            function (Input $input, Step $step) use ($id): Outcome {
                $cared = $input->list('cared');
                $there = $this->places->chosen($input, 'address');
                $input->check();
                $items = $this->items->several($input->list($input->isTicked('all') ? 'every' : 'items'), self::MOST_AT_ONCE);
                if ([] === $items) {
                    throw StepRefused::nothingChosen();
                }
                ($this->bring)($step, $this->kits->one($id), $items, $there, $cared, $this->isGranted('ROLE_OWNER'));

                return Outcome::undoable(
                    $this->afterHome($input, $id, $cared, $items),
                    Counted::sentence(array_map(static fn (Item $item): string => $item->name, $items), 'home.'),
                );
            },
            fn (Problem $problem): Response => $this->show($id, $problem, $this->tickedIn($request)),
        );
    }

    /** Some of what is counted goes home; the rest stays on the tray. */
    #[Route('/kits/{id<[0-9]{1,12}>}/return/part', name: 'bring_part', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function part(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            $cared = $input->list('cared');
            $item = $this->items->one($input->id('item'));
            $quantity = $input->quantity('quantity', $item->tracking);
            $input->check();
            $this->bring->part($step, $this->kits->one($id), $item, $quantity, $cared);
            $said = \sprintf('%s of %s home; the rest stays on the tray.', $this->quantityInWords($quantity, $item->tracking), $item->name);

            return Outcome::undoable($this->url($id, $cared), $said);
        }, fn (Problem $problem): Response => $this->show($id, $problem, $this->tickedIn($request)));
    }

    /** A thing lives elsewhere from now on. */
    #[Route('/kits/{id<[0-9]{1,12}>}/return/elsewhere', name: 'lives_elsewhere', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function elsewhere(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            $cared = $input->list('cared');
            $item = $this->items->one($input->id('item'));
            $home = $this->places->required($input, 'address');
            $input->check();
            $this->bring->elsewhere($step, $this->kits->one($id), $item, $home, $cared);

            return Outcome::undoable(
                $this->url($id, $cared),
                \sprintf('%s lives in %s from now on, and is there.', $item->name, $home->address),
            );
        }, fn (Problem $problem): Response => $this->show($id, $problem, $this->tickedIn($request)));
    }

    /** A thing that cannot go home yet comes last. */
    #[Route('/kits/{id<[0-9]{1,12}>}/return/later', name: 'put_off', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function later(Request $request, int $id, PutOff $putOff): Response
    {
        return $this->write($request, function (Input $input) use ($id, $putOff): Outcome {
            $cared = $input->list('cared');
            $item = $this->items->one($input->id('item'));
            $putOff($this->kits->one($id), $item);

            return Outcome::undoable($this->url($id, $cared), \sprintf('%s comes last.', $item->name));
        }, fn (Problem $problem): Response => $this->show($id, $problem, $this->tickedIn($request)));
    }

    /**
     * The round, or the page of the one thing that was sent home from there.
     *
     * @param list<string> $cared
     * @param non-empty-list<Item> $items
     */
    private function afterHome(Input $input, int $id, array $cared, array $items): string
    {
        return $input->isTicked('from_its_page')
            ? $this->generateUrl('item', ['id' => $items[0]->id])
            : $this->url($id, $cared);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/return/lost', name: 'not_on_tray', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function lost(Request $request, int $id, ReturnItem $return): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $return): Outcome {
            $item = $this->items->one($input->id('item'));
            $return->notHere($step, $this->kits->one($id), $item);

            return Outcome::undoable($this->url($id), \sprintf('%s is marked lost. Find shows where it was last seen.', $item->name));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/close', name: 'close_kit', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function close(Request $request, int $id, ReturnItem $return): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $return): Outcome {
            $kit = $this->kits->one($id);

            return Outcome::undoable($this->generateUrl('kit', ['id' => $id]), $return->close($step, $kit));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    public function again(int $id, Problem $problem): Response
    {
        return $this->show($id, $problem);
    }

    /** @return list<string> */
    private function tickedIn(Request $request): array
    {
        return $this->input($request)->list('cared');
    }

    /** @param list<string> $cared */
    private function url(int $id, array $cared = []): string
    {
        return $this->generateUrl('return_kit', ['id' => $id] + ([] === $cared ? [] : ['cared' => implode(',', $cared)]));
    }

    /** @param list<string>|null $cared */
    private function show(int $id, ?Problem $problem, ?array $cared = null): Response
    {
        $kit = $this->reading->one($id);
        if (!$kit->isOut()) {
            return null === $problem
                ? $this->toKit($id)
                : $this->forward(PlanController::class.'::kitPage', ['id' => $id, 'problem' => $problem]);
        }
        $round = $this->rounds->return($id);
        $stop = $round->stops[0] ?? null;
        $things = $stop?->lines() ?? array_map(static fn (TrayRow $row): ThingLine => $row->thing, $round->homeless);

        return $this->render('kits/rounds/return.html.twig', [
            'kit' => $kit,
            'round' => $round,
            'stop' => $stop,
            'lit' => $round->lit,
            'at' => null === $stop ? null : $this->contents->atStop($stop->address, $stop->placeId, $stop->items()),
            'cares' => CareRow::onReturn($things, $this->reading->inksOf($id), $this->me()->isChild),
            'cared' => $cared ?? [],
            'later' => $round->later,
            'other' => $this->rounds->byAnother($id, (int) $this->me()->id, $this->roomClock->today()),
            'scan_on' => 'return:'.$id,
            'version' => $this->reading->version($id),
            'problem' => $problem,
        ]);
    }
}
