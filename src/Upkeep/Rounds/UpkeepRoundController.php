<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Kits\Kits\KitReading;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\CareRow;
use App\Room\Catalogue\ContentsReading;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\ThingLine;
use App\Room\Stores\Places;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Walking a round of upkeep, stop by stop. */
final class UpkeepRoundController extends Page
{
    private const MOST_AT_ONCE = 100;
    private const MOST_OVER = 12;
    private const MOST_FOUND = 8;

    public function __construct(
        private readonly UpkeepRounds $errands,
        private readonly UpkeepRoundReading $reading,
        private readonly WalkUpkeepRound $walk,
        private readonly ContentsReading $contents,
        private readonly ItemReading $things,
        private readonly Items $items,
        private readonly Places $places,
        private readonly KitReading $kits,
    ) {
    }

    #[Route('/upkeep/rounds', name: 'errands', methods: ['GET'])]
    public function index(): Response
    {
        return $this->render('upkeep/rounds/index.html.twig', [
            'open' => array_map(fn (UpkeepRound $errand): array => [$errand, $this->reading->round($errand)], $this->errands->open()),
            'over' => $this->errands->over(self::MOST_OVER),
        ]);
    }

    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}', name: 'errand', methods: ['GET'])]
    public function round(Request $request, int $id): Response
    {
        return $this->show($id, null, $request->query->getString('q'));
    }

    /** What is to be taken and put at a stop is taken and put. */
    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/done', name: 'errand_done', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function done(Request $request, int $id): Response
    {
        return $this->step($request, $id, function (Input $input, Step $step, UpkeepRound $errand): string {
            $taken = $put = [];
            foreach ($this->chosen($input, $errand) as $task) {
                if (TaskKind::Home === $task->what) {
                    $this->walk->bringHome($step, $task, $input->list('cared'));
                    $put[] = $task->thing()->name;
                } elseif (TaskState::Carried === $task->state) {
                    $this->walk->put($step, $task);
                    $put[] = $task->thing()->name;
                } else {
                    $this->walk->take($step, $task);
                    $taken[] = $task->thing()->name;
                }
            }

            return trim(([] === $taken ? '' : Counted::sentence($taken, 'in '.$errand->basket->address.'. '))
                .([] === $put ? '' : Counted::sentence($put, 'home.')));
        });
    }

    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/back', name: 'errand_back', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function back(Request $request, int $id): Response
    {
        return $this->one($request, $id, function (Step $step, RoundTask $task): string {
            $this->walk->putBack($step, $task);

            return \sprintf('%s is back in %s; nothing changed.', $task->thing()->name, $task->place->forLog()->label);
        });
    }

    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/settle', name: 'errand_settle', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function settle(Request $request, int $id): Response
    {
        return $this->one($request, $id, function (Step $step, RoundTask $task): string {
            $this->walk->settle($step, $task);

            return \sprintf('%s lives in %s from now on, and comes home there.', $task->thing()->name, $task->target()->address);
        });
    }

    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/leave', name: 'errand_leave', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function leave(Request $request, int $id): Response
    {
        return $this->one($request, $id, function (Step $step, RoundTask $task): string {
            $this->walk->leave($step, $task);

            return \sprintf('%s is left out of this round.', $task->item->name ?? $task->place->address);
        });
    }

    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/found', name: 'errand_found', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function found(Request $request, int $id): Response
    {
        return $this->one($request, $id, function (Step $step, RoundTask $task): string {
            $this->walk->found($step, $task);

            return \sprintf('%s is found, in %s.', $task->thing()->name, $task->place->address);
        });
    }

    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/not-there', name: 'errand_not_there', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function notThere(Request $request, int $id): Response
    {
        return $this->one($request, $id, function (Step $step, RoundTask $task): string {
            $this->walk->notThere($step, $task);

            return \sprintf('%s is not in %s.', $task->thing()->name, $task->place->address);
        });
    }

    /** Something lies at a stop that belongs elsewhere. */
    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/also', name: 'errand_also', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function also(Request $request, int $id): Response
    {
        return $this->step($request, $id, function (Input $input, Step $step, UpkeepRound $errand): string {
            $place = $this->places->required($input, 'place');
            $item = $this->items->one($input->id('item'));
            $quantity = $item->tracking->movesWhole() ? 1 : $input->quantity('quantity', $item->tracking);
            $input->check();
            $this->walk->alsoFound($step, $errand, $item, $place, $quantity);

            return null === $item->home
                ? \sprintf('%s is in %s, and has no home yet.', $item->name, $place->address)
                : \sprintf('%s was in %s; it goes home to %s on this round.', $item->name, $place->address, $item->home->address);
        });
    }

    /** A thing that is not used stays, or goes for good. */
    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/weed', name: 'errand_weed', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function weed(Request $request, int $id): Response
    {
        return $this->step($request, $id, function (Input $input, Step $step, UpkeepRound $errand): string {
            $fate = $input->choice('fate', Fate::class);
            $input->check();
            $task = $errand->task($input->id('task'));
            $this->walk->weed($step, $task, $fate);

            return \sprintf('%s %s.', $task->thing()->name, $fate->said());
        });
    }

    /** A thing that is weeded lives elsewhere from now on. */
    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/weed-into', name: 'errand_weed_into', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function weedInto(Request $request, int $id): Response
    {
        return $this->step($request, $id, function (Input $input, Step $step, UpkeepRound $errand): string {
            $home = $this->places->required($input, 'to');
            $task = $errand->task($input->id('task'));
            $this->walk->weedInto($step, $task, $home);

            return \sprintf('%s lives in %s from now on.', $task->thing()->name, $home->address);
        });
    }

    #[Route('/upkeep/rounds/{id<[0-9]{1,12}>}/end', name: 'errand_end', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function end(Request $request, int $id): Response
    {
        return $this->step($request, $id, function (Input $input, Step $step, UpkeepRound $errand): string {
            $this->walk->end($step, $errand);

            return \sprintf('%s is over.', $errand->name);
        });
    }

    /** @return list<CareRow> */
    private function cares(UpkeepStop $stop): array
    {
        $of = array_map(static fn (TaskRow $row): int => (int) $row->task->kit?->id, $stop->rows);
        $kits = array_unique(array_filter($of, static fn (int $id): bool => $id > 0));

        return [] === $kits
            ? CareRow::onPull($stop->lines(), $this->me()->isChild)
            : CareRow::onReturn($stop->lines(), array_merge(...array_map($this->kits->inksOf(...), array_values($kits))), $this->me()->isChild);
    }

    /** @return list<RoundTask> */
    private function chosen(Input $input, UpkeepRound $errand): array
    {
        $ids = \array_slice($input->list($input->isTicked('all') ? 'every' : 'tasks'), 0, self::MOST_AT_ONCE);

        return [] === $ids ? throw StepRefused::nothingChosen() : array_map(static fn (string $id): RoundTask => $errand->task((int) $id), $ids);
    }

    /** @param callable(Step, RoundTask): string $work */
    private function one(Request $request, int $id, callable $work): Response
    {
        return $this->step(
            $request,
            $id,
            static fn (Input $input, Step $step, UpkeepRound $errand): string => $work($step, $errand->task($input->id('task'))),
        );
    }

    /** @param callable(Input, Step, UpkeepRound): string $work */
    private function step(Request $request, int $id, callable $work): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $work): Outcome {
            $said = $work($input, $step, $this->errands->one($id));

            return Outcome::undoable($this->generateUrl('errand', ['id' => $id]), $said);
        }, fn (Problem $problem): Response => $this->show($id, $problem, $request->query->getString('q')));
    }

    private function show(int $id, ?Problem $problem, string $search = ''): Response
    {
        $errand = $this->errands->one($id);
        $round = $this->reading->round($errand);
        $stop = $round->stops[0] ?? null;
        $items = null === $stop ? [] : array_map(static fn (ThingLine $thing): int => $thing->id, $stop->lines());

        return $this->render('upkeep/rounds/errand.html.twig', [
            'errand' => $errand,
            'round' => $round,
            'stop' => $stop,
            'lit' => $round->lit,
            'at' => null === $stop ? null : $this->contents->atStop($stop->address(), (int) $stop->place->id, $items),
            'cares' => null === $stop ? [] : $this->cares($stop),
            'cared' => null === $problem ? [] : $problem->list('all', 'cared'),
            'fates' => Fate::cases(),
            'search' => $search,
            'found' => '' === $search ? null : $this->things->like($search, 0, self::MOST_FOUND),
            'problem' => $problem,
        ]);
    }
}
