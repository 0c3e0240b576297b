<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\CompanionRow;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\Items;
use App\Room\Find\FindReading;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final class PlanController extends Page
{
    private const LONGEST_SENTENCE = 1000;

    public function __construct(
        private readonly KitReading $reading,
        private readonly Kits $kits,
        private readonly Items $items,
        private readonly RoomReading $room,
        private readonly FindReading $finder,
        private readonly ItemReading $companions,
        private readonly PapersToChoose $papers,
    ) {
    }

    #[Route('/', name: 'home', methods: ['GET'])]
    #[Route('/plan', name: 'plan', methods: ['GET'])]
    public function index(): Response
    {
        return $this->showAll(null);
    }

    #[Route('/kits', name: 'plan_kit', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function plan(Request $request, PlanFromSentence $plan): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($plan): Outcome {
            $sentence = (string) preg_replace('/\s+/u', ' ', $input->text('name', self::LONGEST_SENTENCE, true));
            $input->check();
            $planned = $plan($step, $sentence);
            $goOn = $planned->isDesigned ? $this->generateUrl('design', ['id' => $planned->kit->id]) : $this->urlOf($planned->kit);

            return Outcome::undoable($goOn, $planned->sentence());
        }, $this->showAll(...));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}', name: 'kit', methods: ['GET'])]
    public function kitPage(Request $request, int $id, ?Problem $problem = null): Response
    {
        return $this->show($id, $problem, $request->query->getString('q'), $request->query->has('describe'));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}', name: 'describe_kit', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function describe(Request $request, int $id, DesignedList $design): Response
    {
        return $this->write($request, function (Input $input) use ($id, $design): Outcome {
            $kit = $this->kits->one($id);
            $kit->describe($this->described($input));
            $design->makes($kit, Makes::read($kit->makes)->pieces);

            $isPast = null !== $kit->dueOn && $kit->dueOn->format('Ymd') < $this->roomClock->today()->format('Ymd');

            return Outcome::undoable($this->urlOf($kit), $isPast ? 'Written down. That day is past, so the kit is overdue.' : 'Written down.');
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    /** A collection that is pulled and put back as one. */
    #[Route('/kits/{id<[0-9]{1,12}>}/collection', name: 'want_collection', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function collection(Request $request, int $id, WantCollection $want): Response
    {
        return $this->write($request, function (Input $input) use ($id, $want): Outcome {
            $collection = $input->text('collection', 120, true);
            $input->check();
            $many = $want($this->kits->one($id), $collection);

            return Outcome::undoable(
                $this->generateUrl('kit', ['id' => $id]),
                \sprintf('%s of “%s” %s on the list.', Counted::of($many, 'thing'), $collection, Counted::verb($many)),
            );
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    /** Its tray becomes free; all of it waits in a folder. */
    #[Route('/kits/{id<[0-9]{1,12}>}/park', name: 'park_kit', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function park(Request $request, int $id, ParkKit $park, Places $places): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $park, $places): Outcome {
            $home = $places->chosen($input, 'home');
            $input->check();
            $kit = $this->kits->one($id);
            $folder = $park($step, $kit, $home);

            $where = $folder->address.(null === $home ? '' : ' in '.$home->address);

            return Outcome::final($this->urlOf($kit), \sprintf('“%s” waits in %s.', $kit->name, $where));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/take-up', name: 'take_up_kit', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function takeUp(Request $request, int $id, ParkKit $park): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $park): Outcome {
            $kit = $this->kits->one($id);
            $tray = $park->takeUp($step, $kit);

            return Outcome::final($this->urlOf($kit), \sprintf('“%s” is on %s.', $kit->name, $tray->address));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/delete', name: 'delete_kit', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function delete(Request $request, int $id, DeleteKit $delete): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $delete): Outcome {
            $kit = $this->kits->one($id);
            $name = $kit->name;
            $delete($step, $kit);

            return Outcome::undoable($this->generateUrl('plan'), \sprintf('“%s” is not planned any more.', $name));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/needs', name: 'add_need', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function add(Request $request, int $id, KitList $list): Response
    {
        return $this->write($request, function (Input $input) use ($id, $list): Outcome {
            $item = $this->items->one($input->id('item'));
            $quantity = $item->tracking->movesWhole() ? 1 : $input->quantity('quantity', $item->tracking);
            $input->check();
            $list->add($this->kits->one($id), $item, $quantity);

            return Outcome::undoable($this->generateUrl('kit', ['id' => $id]), \sprintf('%s is on the list.', $item->name));
        }, fn (Problem $problem): Response => $this->show($id, $problem, $request->request->getString('q')));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/needs/{need<[0-9]{1,12}>}', name: 'change_need', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function change(Request $request, int $id, int $need, KitList $list): Response
    {
        return $this->write($request, function (Input $input) use ($id, $need, $list): Outcome {
            $line = $this->kits->need($id, $need);
            if ($input->isTicked('remove')) {
                $list->remove($line);

                return Outcome::undoable($this->generateUrl('kit', ['id' => $id]), \sprintf('%s is off the list.', $line->item->name));
            }
            $quantity = $input->quantity('quantity', $line->item->tracking);
            $input->check();
            $list->change($line, $quantity);

            return Outcome::undoable($this->generateUrl('kit', ['id' => $id]), 'Quantity changed.');
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    private function described(Input $input): KitDescription
    {
        $said = new KitDescription(
            $input->text('name', 120, true),
            $input->text('makes', 200),
            $input->nearDate('due_on', $this->roomClock->today()),
            $input->text('for_whom', 120),
            $input->text('occasion', 120),
            $input->text('note', 2000),
        );
        $input->check();

        return $said;
    }

    /** Plan with what went wrong with a form that stands on every page. */
    public function again(Problem $problem): Response
    {
        return $this->showAll($problem);
    }

    private function showAll(?Problem $problem): Response
    {
        $out = $this->reading->out();
        $planned = $this->reading->planned();
        $id = static fn (KitRow $kit): int => $kit->id;
        $needs = $this->reading->needsOf(array_map($id, $planned));
        $without = $this->papers->without(array_map($id, $planned));

        return $this->render('kits/kits/index.html.twig', [
            'out' => $out,
            'on_trays' => $this->reading->traysOf(array_map($id, $out)),
            'planned' => array_map(static fn (KitRow $kit): KitSlip => new KitSlip($kit, $needs[$kit->id] ?? [], $without[$kit->id] ?? []), $planned),
            'closed' => $this->reading->closed(),
            'problem' => $problem,
        ]);
    }

    private function show(int $id, ?Problem $problem, string $search = '', bool $describe = false): Response
    {
        $kit = $this->reading->one($id);
        $needs = $this->reading->needs($id);

        return $this->render('kits/kits/kit.html.twig', [
            'kit' => $kit,
            'needs' => $needs,
            'offered' => $kit->isClosed() ? [] : $this->companionsNotOn($needs),
            'describe' => $describe,
            'lit' => $this->room->lit(array_map(static fn (NeedRow $need): ?int => $need->thing->homeId, $needs)),
            'search' => $search,
            'found' => '' === $search ? null : $this->finder->search($search, 12),
            'problem' => $problem,
        ]);
    }

    /**
     * @param list<NeedRow> $needs
     *
     * @return array<int, list<CompanionRow>> what goes with the things of a list and is not on it, each once, by thing
     */
    private function companionsNotOn(array $needs): array
    {
        $onList = array_map(static fn (NeedRow $need): int => $need->thing->id, $needs);
        $offered = [];
        foreach ($this->companions->companionsOf($onList) as $companion) {
            if (!\in_array($companion->thing->id, $onList, true)) {
                $offered[$companion->of][] = $companion;
                $onList[] = $companion->thing->id;
            }
        }

        return $offered;
    }

    private function urlOf(Kit $kit): string
    {
        return $this->generateUrl('kit', ['id' => $kit->id]);
    }
}
