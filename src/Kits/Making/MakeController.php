<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Kits\Kits\KitReading;
use App\Kits\Kits\Kits;
use App\Kits\Kits\PlanController;
use App\Kits\Kits\TrayRow;
use App\Kits\Rounds\PullItem;
use App\Kits\Rounds\RoundReading;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\CareRow;
use App\Room\Catalogue\Items;
use App\Room\Catalogue\ThingLine;
use App\Room\Find\FindReading;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final class MakeController extends Page
{
    private const MOST_AT_ONCE = 200;

    public function __construct(
        private readonly KitReading $reading,
        private readonly Kits $kits,
        private readonly Items $items,
        private readonly Places $places,
        private readonly RoomReading $room,
        private readonly FindReading $finder,
        private readonly BenchReading $bench,
        private readonly RoundReading $rounds,
    ) {
    }

    #[Route('/make', name: 'make', methods: ['GET'])]
    public function index(): Response
    {
        return $this->render('kits/making/index.html.twig', ['kits' => $this->reading->out()]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/make', name: 'make_kit', methods: ['GET'])]
    public function bench(Request $request, int $id): Response
    {
        return $this->show($id, null, $request->query->getString('q'));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/make/use', name: 'use_up', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function useUp(Request $request, int $id, WorkAtBench $work): Response
    {
        return $this->write(
            $request,
            function (Input $input, Step $step) use ($id, $work): Outcome {
                $item = $this->items->one($input->id('item'));
                $quantity = $input->quantity('quantity', $item->tracking);
                $input->check();
                $work->useUp($step, $this->kits->one($id), $item, $quantity);

                return Outcome::undoable(
                    $this->generateUrl('make_kit', ['id' => $id]),
                    \sprintf('Used up: %s of %s.', $this->quantityInWords($quantity, $item->tracking), $item->name),
                );
            },
            fn (Problem $problem): Response => $this->show($id, $problem),
        );
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/make/more', name: 'one_more', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function oneMore(Request $request, int $id, PullItem $pull): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $pull): Outcome {
            $item = $this->items->one($input->id('item'));
            $quantity = $item->tracking->movesWhole() ? 1 : $input->quantity('quantity', $item->tracking);
            $input->check();
            $pull->oneMore($step, $this->kits->one($id), $item, $quantity);

            return Outcome::undoable($this->generateUrl('make_kit', ['id' => $id]), \sprintf('%s is on the tray too.', $item->name));
        }, fn (Problem $problem): Response => $this->show($id, $problem, $request->request->getString('q')));
    }

    /** The next piece is done, and took what the page said. */
    #[Route('/kits/{id<[0-9]{1,12}>}/make/piece', name: 'piece_done', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function piece(Request $request, int $id, WorkAtBench $work): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $work): Outcome {
            $number = $input->whole('piece', 1, 10_000);
            $takes = $this->taken($input);
            $input->check();
            $bench = $this->bench->of($this->reading->one($id));
            $piece = $work->nextPiece($step, $this->kits->one($id), $bench, $number, $takes);

            return Outcome::undoable(
                $this->generateUrl('make_kit', ['id' => $id]),
                \sprintf('%s %d of “%s” is done.', ucfirst($bench->makes->piece), $number, $piece->name),
            );
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    /** A step of the design is done for so many of them altogether. */
    #[Route('/kits/{id<[0-9]{1,12}>}/make/step', name: 'step_done', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function step(Request $request, int $id, DoStep $do): Response
    {
        return $this->write($request, function (Input $input) use ($id, $do): Outcome {
            $key = $input->text('step', 40, true);
            $done = $input->whole('done', 0, 10_000);
            $input->check();
            $step = $do($this->kits->one($id), $key, $done);

            return Outcome::undoable($this->generateUrl('make_kit', ['id' => $id]), \sprintf('%s: %d done.', $step->words, $done));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    /** What the bench took otherwise becomes what the design says. */
    #[Route('/kits/{id<[0-9]{1,12}>}/make/into-design', name: 'into_design', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function intoDesign(Request $request, int $id, TakeIntoDesign $take): Response
    {
        return $this->write($request, function () use ($id, $take): Outcome {
            $taken = $take($this->kits->one($id), $this->bench->usedOtherwise($this->reading->one($id)));

            return Outcome::undoable($this->generateUrl('design', ['id' => $id]), \sprintf('Taken into the design: %s.', Counted::of($taken, 'thing')));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/make/finish', name: 'finish', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function finish(Request $request, int $id, WorkAtBench $work): Response
    {
        return $this->write(
            $request,
            function (Input $input, Step $step) use ($id, $work): Outcome {
                $name = $input->text('name', 200, true);
                $quantity = $input->whole('quantity', 1, 10000);
                $home = $this->places->chosen($input, 'address');
                $goneInto = $this->taken($input);
                $input->check();
                $piece = $work->finish($step, $this->kits->one($id), $name, $quantity, $home, $goneInto);

                return Outcome::undoable(
                    $this->generateUrl('make_kit', ['id' => $id]),
                    \sprintf('%s × %d: finished, on the tray. Well done.', $piece->name, $quantity),
                );
            },
            fn (Problem $problem): Response => $this->show($id, $problem),
        );
    }

    /** @return list<Taken> what goes into it, of each thing as much as stands in its own field; nothing of one whose field is empty */
    private function taken(Input $input): array
    {
        $taken = [];
        foreach ($this->items->several($input->list('of'), self::MOST_AT_ONCE) as $item) {
            $field = 'used_'.$item->id;
            if (!$input->isEmpty($field)) {
                $taken[] = new Taken($item, $input->quantity($field, $item->tracking));
            }
        }

        return $taken;
    }

    private function show(int $id, ?Problem $problem, string $search = ''): Response
    {
        $kit = $this->reading->one($id);
        if (!$kit->isOut()) {
            return null === $problem
                ? $this->toKit($id)
                : $this->forward(PlanController::class.'::kitPage', ['id' => $id, 'problem' => $problem]);
        }
        $tray = $this->reading->tray($id);
        $things = array_map(static fn (TrayRow $row): ThingLine => $row->thing, $tray);

        return $this->render('kits/making/kit.html.twig', [
            'kit' => $kit,
            'tray' => $tray,
            'at' => $this->bench->of($kit),
            'otherwise' => $this->bench->usedOtherwise($kit),
            'piece_name' => Makes::nameOfPieces($kit->name),
            'stops' => \count($this->rounds->ofReturn($id)->stops),
            'lit' => $this->room->lit(array_map(static fn (ThingLine $thing): ?int => $thing->homeId, $things)),
            'cares' => CareRow::onPull($things, $this->me()->isChild),
            'to_care_for' => \count(array_filter($things, static fn (ThingLine $thing): bool => [] !== $thing->tags())),
            'version' => $this->reading->version($id),
            'search' => $search,
            'found' => '' === $search ? null : $this->finder->search($search, 8),
            'problem' => $problem,
        ]);
    }
}
