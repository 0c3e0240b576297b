<?php

declare(strict_types=1);

namespace App\Kits;

use App\Catalogue\ItemController;
use App\Find\FindReading;
use App\Rounds\PullItem;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\Unknown;
use App\Stores\RoomReading;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Kit\Stage;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

final class PlanController extends Page
{
    public function __construct(private readonly KitReading $kits, private readonly RoomReading $room, private readonly FindReading $finder)
    {
    }

    #[Route('/', name: 'home', methods: ['GET'])]
    #[Route('/plan', name: 'plan', methods: ['GET'])]
    public function index(): Response
    {
        return $this->showAll(null);
    }

    #[Route('/kits', name: 'plan_kit', methods: ['POST'])]
    public function plan(Request $request, PlanKit $plan): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($plan): Outcome {
            $kit = $plan($step, $this->described($input));

            return Outcome::undoable($this->urlOf($kit), \sprintf('“%s” is planned. Now say what it needs.', $kit->name));
        }, $this->showAll(...));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}', name: 'kit', methods: ['GET'])]
    public function kitPage(Request $request, int $id, ?Problem $problem = null): Response
    {
        return $this->show($id, $problem, $request->query->getString('q'));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}', name: 'describe_kit', methods: ['POST'])]
    public function describe(Request $request, int $id, PlanKit $plan): Response
    {
        return $this->write($request, function (Input $input) use ($id, $plan): Outcome {
            $kit = $this->kit($id);
            $plan->describe($kit, $this->described($input));

            return Outcome::undoable($this->urlOf($kit), 'Written down.');
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/delete', name: 'delete_kit', methods: ['POST'])]
    public function delete(Request $request, int $id, DeleteKit $delete): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $delete): Outcome {
            $kit = $this->kit($id);
            $name = $kit->name;
            $delete($step, $kit);

            return Outcome::undoable($this->generateUrl('plan'), \sprintf('“%s” is not planned any more.', $name));
        }, fn (Problem $problem): Response => $this->show($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/needs', name: 'add_need', methods: ['POST'])]
    public function add(Request $request, int $id, KitList $list): Response
    {
        return $this->write($request, function (Input $input) use ($id, $list): Outcome {
            $item = $this->item($input->id('item'));
            $quantity = $item->tracking->movesWhole() ? 1 : $input->quantity('quantity', $item->tracking);
            $input->check();
            $list->add($this->kit($id), $item, $quantity);

            return Outcome::undoable($this->generateUrl('kit', ['id' => $id]), \sprintf('%s is on the list.', $item->name));
        }, fn (Problem $problem): Response => $this->show($id, $problem, $request->request->getString('q')));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/needs/{need<[0-9]{1,12}>}', name: 'change_need', methods: ['POST'])]
    public function change(Request $request, int $id, int $need, KitList $list): Response
    {
        return $this->write($request, function (Input $input) use ($id, $need, $list): Outcome {
            $line = $this->need($id, $need);
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

    /** From an item or a drawer straight into a kit: one that is planned or out, or a new one. */
    #[Route('/items/{id<[0-9]{1,12}>}/into-kit', name: 'into_kit', methods: ['POST'])]
    public function intoKit(Request $request, int $id, KitList $list, PlanKit $plan, StartPull $start, PullItem $pull): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $list, $plan, $start, $pull): Outcome {
            $item = $this->item($id);
            $quantity = $item->tracking->movesWhole() ? 1 : $input->quantity('quantity', $item->tracking);
            $kitId = $input->id('kit');
            $input->check();
            $kit = 0 === $kitId ? $plan($step, new KitDescription('On the bench, '.$this->frame->today()->format('j M'))) : $this->kit($kitId);
            if (!$input->isTicked('now')) {
                $list->add($kit, $item, $quantity);

                return Outcome::undoable($this->urlOf($kit), \sprintf('%s is on the list of “%s”.', $item->name, $kit->name));
            }
            $start->open($step, $kit);
            $pull->oneMore($step, $kit, $item, $quantity);
            $kit->goTo(Stage::Making);

            return Outcome::undoable($this->generateUrl('make_kit', ['id' => $kit->id]), \sprintf('%s is on %s.', $item->name, $kit->trayInUse()->address));
        }, fn (Problem $problem): Response => $this->forward(ItemController::class.'::itemPage', ['id' => $id, 'problem' => $problem]));
    }

    private function described(Input $input): KitDescription
    {
        $said = new KitDescription(
            $input->text('name', 120, true),
            $input->text('makes', 200),
            $input->date('due_on'),
            $input->text('for_whom', 120),
            $input->text('occasion', 120),
            $input->text('note', 2000),
        );
        $input->check();

        return $said;
    }

    private function showAll(?Problem $problem): Response
    {
        return $this->render('kits/index.html.twig', [
            'open' => $this->kits->all('open'),
            'planned' => $this->kits->all('planned'),
            'closed' => $this->kits->all('closed'),
            'problem' => $problem,
        ]);
    }

    private function show(int $id, ?Problem $problem, string $search = ''): Response
    {
        $kit = $this->kits->one($id) ?? throw Unknown::kit($id);
        $needs = $this->kits->needs($id);

        return $this->render('kits/kit.html.twig', [
            'kit' => $kit,
            'needs' => $needs,
            'lit' => $this->room->lit(array_map(static fn (NeedRow $need): ?int => $need->homeId, $needs)),
            'search' => $search,
            'found' => '' === $search ? null : $this->finder->search($search, 12),
            'problem' => $problem,
        ]);
    }

    private function urlOf(Kit $kit): string
    {
        return $this->generateUrl('kit', ['id' => $kit->id]);
    }
}
