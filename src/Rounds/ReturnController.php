<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Catalogue\KeepHomes;
use App\Kits\KitReading;
use App\Kits\PlanController;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\StepRefused;
use App\Steps\Unknown;
use App\Stores\StoreReading;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class ReturnController extends Page
{
    public function __construct(private readonly KitReading $kits, private readonly StoreReading $stores)
    {
    }

    #[Route('/return', name: 'return', methods: ['GET'])]
    public function index(): Response
    {
        return $this->render('rounds/returns.html.twig', ['kits' => $this->kits->all('open')]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/return', name: 'return_kit', methods: ['GET'])]
    public function round(int $id): Response
    {
        return $this->show($id, null);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/return', name: 'start_return', methods: ['POST'])]
    public function start(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            $this->kit($id)->goTo(Stage::Returning);

            return Outcome::undoable($this->url($id), '');
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/return/home', name: 'bring_home', methods: ['POST'])]
    public function home(Request $request, int $id, ReturnItem $return, KeepHomes $homes): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $return, $homes): Outcome {
            $kit = $this->kit($id);
            $cared = $input->list('cared');
            $there = $this->storage($input, 'address');
            $input->check();
            $names = [];
            foreach (\array_slice($input->list('items'), 0, 200) as $itemId) {
                $item = $this->item((int) $itemId);
                $to = $there ?? $homes->homeOrHeap($item);
                if (null !== $there && null === $item->home && $this->isGranted('ROLE_OWNER')) {
                    $homes->giveHome($step, $item, $there);
                }
                $return->home($step, $kit, $item, $to, $cared);
                $names[] = $item->name;
            }
            if ([] === $names) {
                throw StepRefused::nothingChosen();
            }

            return Outcome::undoable($this->url($id, $cared), Counted::sentence($names, 'home.'));
        }, fn (Problem $problem): Response => $this->show($id, $problem, $this->tickedIn($request)));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/return/lost', name: 'not_on_tray', methods: ['POST'])]
    public function lost(Request $request, int $id, ReturnItem $return): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $return): Outcome {
            $item = $this->item($input->id('item'));
            $return->notHere($step, $this->kit($id), $item);

            return Outcome::undoable($this->url($id), \sprintf('%s is marked lost. Find shows where it was last seen.', $item->name));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/close', name: 'close_kit', methods: ['POST'])]
    public function close(Request $request, int $id, ReturnItem $return): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $return): Outcome {
            $kit = $this->kit($id);

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
        $kit = $this->kits->one($id) ?? throw Unknown::kit($id);
        if (!$kit->isOut()) {
            return null === $problem ? $this->redirectToRoute('kit', ['id' => $id]) : $this->forward(PlanController::class.'::kitPage', ['id' => $id, 'problem' => $problem]);
        }
        $round = $this->kits->returnRound($id);
        $stop = $round->stops[0] ?? null;
        $things = $stop->things ?? $round->homeless;

        return $this->render('rounds/return.html.twig', [
            'kit' => $kit,
            'round' => $round,
            'stop' => $stop,
            'lit' => $round->lit,
            'at' => null === $stop ? null : $this->stores->atStop($stop),
            'cares' => $this->kits->cares($things, true),
            'cared' => $cared ?? [],
            'scan_on' => 'return:'.$id,
            'version' => $this->kits->version($id),
            'problem' => $problem,
        ]);
    }
}
