<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\KitReading;
use App\Kits\Kits\KitRow;
use App\Kits\Kits\Kits;
use App\Kits\Kits\Need;
use App\Kits\Kits\PlanController;
use App\Kits\Kits\StartPull;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\CareRow;
use App\Room\Catalogue\ContentsReading;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\ThingLine;
use App\Room\Find\FindReading;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final class PullController extends Page
{
    public function __construct(
        private readonly KitReading $reading,
        private readonly RoundReading $rounds,
        private readonly Kits $kits,
        private readonly Items $items,
        private readonly Places $places,
        private readonly ContentsReading $contents,
        private readonly FindReading $finder,
    ) {
    }

    #[Route('/pull', name: 'pull', methods: ['GET'])]
    public function index(): Response
    {
        $candidates = array_values(array_filter($this->reading->choosable(), static fn (KitRow $kit): bool => $kit->openLines > 0));

        return $this->render('kits/rounds/pulls.html.twig', ['kits' => $candidates]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/pull', name: 'pull_kit', methods: ['GET'])]
    public function round(Request $request, int $id): Response
    {
        return $this->show($id, null, $request->query->getInt('instead'), $request->query->getString('q'));
    }

    /** What is still to be pulled, on paper: in walking order, with boxes to tick. */
    #[Route('/kits/{id<[0-9]{1,12}>}/pull/print', name: 'print_pull', methods: ['GET'])]
    public function print(int $id): Response
    {
        $kit = $this->reading->one($id);

        return $this->render('kits/rounds/print.html.twig', ['kit' => $kit, 'round' => $this->rounds->pull($id, $kit->tray ?? '')]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/pull', name: 'start_pull', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function start(Request $request, int $id, StartPull $start): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $start): Outcome {
            $kit = $this->kits->one($id);
            $start($step, $kit);

            return Outcome::undoable($this->roundUrl($id), '');
        }, fn (Problem $problem): Response => $this->forward(PlanController::class.'::kitPage', ['id' => $id, 'problem' => $problem]));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/pull/take', name: 'take', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function take(Request $request, int $id, PullItem $pull): Response
    {
        return $this->step($request, $id, function (Input $input, Step $step, Place $place) use ($id, $pull): string {
            $names = [];
            foreach ($this->takes($id, $place, $input->list('needs')) as $take) {
                $pull->take($step, $take['need'], $place, $take['quantity']);
                $names[] = $take['need']->item->name;
            }
            if ([] === $names) {
                throw StepRefused::nothingChosen();
            }

            return Counted::sentence($names, 'on '.$this->kits->one($id)->trayInUse()->address.'.');
        });
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/pull/not-here', name: 'not_here', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function notHere(Request $request, int $id, PullItem $pull): Response
    {
        return $this->step($request, $id, function (Input $input, Step $step, Place $place) use ($id, $pull): string {
            $need = $this->kits->need($id, $input->id('need'));
            $isLost = $pull->notHere($step, $need, $place);

            return $isLost
                ? \sprintf('%s is noted as not in %s, and counts as lost until it is found.', $need->item->name, $place->address)
                : \sprintf('The kit does without %s.', $need->item->name);
        });
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/pull/fewer', name: 'fewer', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function fewer(Request $request, int $id, PullItem $pull): Response
    {
        return $this->step($request, $id, function (Input $input, Step $step, Place $place) use ($id, $pull): string {
            $need = $this->kits->need($id, $input->id('need'));
            $quantity = $input->quantity('quantity', $need->item->tracking);
            $input->check();
            $pull->fewer($step, $need, $place, $quantity, $input->isTicked('no_more'));

            return \sprintf('%s of %s taken.', $this->quantityInWords($quantity, $need->item->tracking), $need->item->name);
        });
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/pull/instead', name: 'instead', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function instead(Request $request, int $id, PullItem $pull): Response
    {
        return $this->step($request, $id, function (Input $input, Step $step) use ($id, $pull): string {
            $need = $this->kits->need($id, $input->id('need'));
            $other = $this->items->one($input->id('item'));
            $quantity = match (true) {
                $other->tracking->movesWhole() => 1,
                $other->tracking === $need->item->tracking => max(1, $need->left()),
                default => $input->quantity('quantity', $other->tracking),
            };
            $input->check();
            $pull->instead($step, $need, $other, $quantity);

            return \sprintf('%s instead of %s.', $other->name, $need->item->name);
        });
    }

    /** Something that the catalogue does not know yet. */
    #[Route('/kits/{id<[0-9]{1,12}>}/pull/unknown', name: 'pull_unknown', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function unknown(Request $request, int $id, PullUncatalogued $pull): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $pull): Outcome {
            $name = $input->text('name', 200, true);
            $place = $this->places->chosen($input, 'address');
            if (null === $place) {
                $input->refuse('address', 'Which drawer is it from? Type its address.');
            }
            $thing = $this->newThing($input, $name, $place);
            $input->check();
            \assert(null !== $place && null !== $thing);
            $item = $pull($step, $this->kits->one($id), $thing, $place);
            $back = 'make' === $input->text('back', 10) ? $this->generateUrl('make_kit', ['id' => $id]) : $this->roundUrl($id);

            return Outcome::undoable($back, \sprintf('%s is in the catalogue now, and on the tray. Its home is %s.', $item->name, $place->address));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/pull/end', name: 'end_pull', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function end(Request $request, int $id, EndPull $end): Response
    {
        return $this->write($request, function () use ($id, $end): Outcome {
            $onTray = $end($this->kits->one($id));

            return Outcome::undoable($this->generateUrl('make_kit', ['id' => $id]), $onTray.' Have a good time at the bench.');
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    /** Tells a device that asks now and then whether the other one has done something: 204 where all is as it saw it. */
    #[Route('/kits/{id<[0-9]{1,12}>}/version', name: 'kit_version', methods: ['GET'])]
    public function version(Request $request, int $id): Response
    {
        $version = $this->reading->version($id);

        return $request->query->getString('seen') === $version
            ? new Response('', 204)
            : new Response($version, 200, ['Content-Type' => 'text/plain; charset=utf-8']);
    }

    public function again(int $id, Problem $problem): Response
    {
        return $this->show($id, $problem);
    }

    private function newThing(Input $input, string $name, ?Place $place): ?PastedThing
    {
        if ('' === $name) {
            $input->quantity('quantity', Tracking::Count);

            return null;
        }
        try {
            return PastedThing::named($name, $input->text('quantity', 40), $place?->rule() ?? new PlaceRule(), $this->measures->quantities());
        } catch (InvalidPaste $wrong) {
            $input->refuse(null === $wrong->why ? 'name' : 'quantity', $wrong->why ?? $wrong->getMessage());

            return null;
        }
    }

    /** @param callable(Input, Step, Place): string $work */
    private function step(Request $request, int $id, callable $work): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $work): Outcome {
            $place = $this->places->store($input->text('place', 24));

            return Outcome::undoable($this->roundUrl($id), $work($input, $step, $place));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    /**
     * Returns what the round would take at a place of the given lines; nothing more of a line than it still wants.
     *
     * @param list<string> $needIds
     *
     * @return list<array{need: Need, quantity: int}>
     */
    private function takes(int $id, Place $place, array $needIds): array
    {
        $needs = array_map(fn (string $needId): Need => $this->kits->need($id, (int) $needId), array_values(array_unique(\array_slice($needIds, 0, 100))));
        $planned = $this->rounds->toTake($id, array_map(static fn (Need $need): int => (int) $need->id, $needs), (int) $place->id);

        return array_map(static fn (Need $need): array => ['need' => $need, 'quantity' => $planned[(int) $need->id] ?? max(1, $need->left())], $needs);
    }

    private function roundUrl(int $id): string
    {
        return $this->generateUrl('pull_kit', ['id' => $id]);
    }

    private function show(int $id, ?Problem $problem, int $insteadOf = 0, string $search = ''): Response
    {
        $kit = $this->reading->one($id);
        if (null === $kit->tray) {
            return null === $problem
                ? $this->toKit($id)
                : $this->forward(PlanController::class.'::kitPage', ['id' => $id, 'problem' => $problem]);
        }
        $round = $this->rounds->pull($id, $kit->tray);
        $round = $this->me()->isChild ? $round->forChild() : $round;
        $stop = $round->stops[0] ?? null;

        return $this->render('kits/rounds/pull.html.twig', [
            'kit' => $kit,
            'round' => $round,
            'stop' => $stop,
            'lit' => $round->lit,
            'at' => null === $stop ? null : $this->contents->atStop($stop->address, $stop->placeId, $stop->items()),
            'cares' => null === $stop ? [] : CareRow::onPull($stop->lines(), $this->me()->isChild),
            'cares_left' => CareRow::onPull(array_map(static fn (GrownUpsThing $left): ThingLine => $left->thing, $round->forGrownUps), true),
            'instead_of' => $insteadOf,
            'other' => $this->rounds->byAnother($id, (int) $this->me()->id, $this->roomClock->today()),
            'search' => $search,
            'found' => '' === $search ? null : $this->finder->search($search, 8),
            'scan_on' => 'pull:'.$id,
            'version' => $this->reading->version($id),
            'problem' => $problem,
        ]);
    }
}
