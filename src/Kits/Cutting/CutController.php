<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use App\Kits\Kits\Kit;
use App\Kits\Kits\KitReading;
use App\Kits\Kits\Kits;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use App\Room\Labels\ReadLabel;
use App\Room\Stores\RoomReading;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Cutting\RefusedCut;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The cutting table of a kit. */
final class CutController extends Page
{
    private const MOST_TICKS = 1_000_000;

    public function __construct(
        private readonly KitReading $reading,
        private readonly Kits $kits,
        private readonly CuttingOfKit $cutting,
        private readonly TableReading $table,
        private readonly NamedPapers $papers,
        private readonly Items $items,
        private readonly RoomReading $room,
    ) {
    }

    #[Route('/papers/names', name: 'paper_names', methods: ['GET'])]
    public function names(): Response
    {
        return $this->render('kits/cutting/paper_names.html.twig', ['names' => $this->papers->names()]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/cut', name: 'cut_kit', methods: ['GET'])]
    public function page(int $id, ?Problem $problem = null): Response
    {
        $table = $this->table->of($this->kits->one($id));

        return $this->render('kits/cutting/table.html.twig', [
            'kit' => $this->reading->one($id),
            'table' => $table,
            'papers' => $this->papers->choices(),
            'lit' => $this->lit($table),
            'scan_to' => null === $table->next() ? null : $this->generateUrl('cut_scanned', ['id' => $id]),
            'version' => $this->reading->version($id),
            'problem' => $problem,
        ]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/pieces', name: 'ask_for_pieces', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function ask(Request $request, int $id, AskForPieces $ask): Response
    {
        return $this->write($request, function (Input $input) use ($id, $ask): Outcome {
            $lines = AskedPiece::lines($input->text('pieces', 4000), $this->measures->measure());
            $paper = 0 === $input->id('paper') ? null : $this->items->one($input->id('paper'));
            $input->check();
            $kit = $this->kits->one($id);
            $ask($kit, $lines, $paper);

            return $this->done($kit, $this->planInWords($kit));
        }, fn (Problem $problem): Response => $this->page($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/pieces/{piece<[0-9]{1,12}>}', name: 'change_piece', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function change(Request $request, int $id, int $piece, AskForPieces $ask): Response
    {
        return $this->write($request, function (Input $input) use ($id, $piece, $ask): Outcome {
            $asked = $this->cutting->piece($id, $piece);
            $quantity = $input->isTicked('remove') ? 0 : $input->whole('quantity', 1, AskedPiece::MOST);
            $input->check();
            $ask->change($asked, $quantity);

            return $this->done($asked->kit, $this->planInWords($asked->kit));
        }, fn (Problem $problem): Response => $this->page($id, $problem));
    }

    /** What is not begun is planned anew, out of what is free now. */
    #[Route('/kits/{id<[0-9]{1,12}>}/cut/plan', name: 'plan_cuts', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function plan(Request $request, int $id, PlanCuts $plan): Response
    {
        return $this->write($request, function () use ($id, $plan): Outcome {
            $kit = $this->kits->one($id);
            $plan($kit);

            return $this->done($kit, $this->planInWords($kit));
        }, fn (Problem $problem): Response => $this->page($id, $problem));
    }

    /** A better plan is looked for a little longer; the page asks again until there is none or a person stops it. */
    #[Route('/kits/{id<[0-9]{1,12}>}/cut/better', name: 'better_cuts', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function better(Request $request, int $id, PlanCuts $plan): Response
    {
        $isBetter = false;
        $answer = $this->write($request, function (Input $input) use ($id, $plan, &$isBetter): Outcome {
            $kit = $this->kits->one($id);
            $isEnough = $input->isTicked('enough');
            $isBetter = !$isEnough && $plan->better($kit);
            if ($isEnough) {
                $this->cutting->plan($kit)->beEnough();
            }

            return $this->done($kit, $isBetter ? 'A better plan: '.$this->planInWords($kit) : '');
        }, fn (Problem $problem): Response => $this->page($id, $problem));
        if (!$request->headers->has('HX-Request') || !$answer->isRedirection()) {
            return $answer;
        }

        // Where the plan stays what it is, so does the page.
        return $isBetter
            ? new Response(status: 204, headers: ['HX-Location' => $answer->headers->get('Location') ?? ''])
            : $this->render('kits/cutting/_better.html.twig', ['kit' => $this->reading->one($id), 'table' => $this->table->of($this->kits->one($id))]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/cut/made', name: 'cut_made', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function made(Request $request, int $id, MakeCut $cut): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $cut): Outcome {
            $setting = $input->whole('setting', 1, self::MOST_TICKS);
            $input->check();
            $kit = $this->kits->one($id);
            $logged = $cut($step, $kit, $input->list('parts'), $setting);

            return $this->done($kit, $logged->isNothing() ? 'Cut.' : $logged->sentence($this->measures->lengths()));
        }, fn (Problem $problem): Response => $this->page($id, $problem));
    }

    /** The label of a paper under the blade, or of the trimmer itself, says that the cut is made. */
    #[Route('/kits/{id<[0-9]{1,12}>}/cut/scanned', name: 'cut_scanned', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function scanned(Request $request, int $id, MakeCut $cut, ReadLabel $read): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $cut, $read): Outcome {
            $code = $input->text('code', 400, true);
            $input->check();
            $kit = $this->kits->one($id);
            $table = $this->table->of($kit);
            $next = $table->next() ?? throw RefusedCut::isNotInHand();
            $item = $read($code)?->item;
            if (null === $item || !$table->isAtBlade($item, $next)) {
                throw CuttingRefused::isNotUnderTheBlade($item->name ?? 'That label');
            }
            $logged = $cut($step, $kit, $table->namesOf($next), $next->setting);

            return $this->done($kit, $logged->isNothing() ? 'Cut.' : $logged->sentence($this->measures->lengths()));
        }, fn (Problem $problem): Response => $this->page($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/cut/wrong', name: 'cut_wrong', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function wrong(Request $request, int $id, MakeCut $cut): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $cut): Outcome {
            $parts = $input->list('parts');
            $at = $input->length('at');
            $many = \count($parts) > 1 ? $input->whole('many', 1, \count($parts)) : 1;
            if ($input->isEmpty('at')) {
                $input->refuse('at', 'Where was it cut? Measure from the edge that lay against the stop.');
            }
            $input->check();
            \assert(null !== $at);
            $kit = $this->kits->one($id);
            $table = $this->table->of($kit);
            $next = $table->next();
            if (null === $next || $parts !== $table->namesOf($next)) {
                throw RefusedCut::isNotInHand();
            }
            $said = $cut->wrong($step, $kit, \array_slice($parts, 0, $many), $next->atWhenSetTo($at->ticks), $this->measures->lengths());

            return $this->done($kit, $said);
        }, fn (Problem $problem): Response => $this->page($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/cut/stop', name: 'stop_cutting', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function stop(Request $request, int $id, MakeCut $cut): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $cut): Outcome {
            $kit = $this->kits->one($id);

            return $this->done($kit, $cut->stop($step, $kit)->sentence($this->measures->lengths()));
        }, fn (Problem $problem): Response => $this->page($id, $problem));
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/cut/scored', name: 'scored', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function scored(Request $request, int $id, MakeCut $cut): Response
    {
        return $this->write($request, function (Input $input) use ($id, $cut): Outcome {
            $many = $input->whole('many', 1, AskedPiece::MOST);
            $input->check();
            $piece = $this->cutting->piece($id, $input->id('piece'));
            $cut->score($piece->kit, $piece, $many);

            return $this->done($piece->kit, \sprintf('%s scored.', Counted::of($many, $piece->name)));
        }, fn (Problem $problem): Response => $this->page($id, $problem));
    }

    private function done(Kit $kit, string $said): Outcome
    {
        return Outcome::undoable($this->generateUrl('cut_kit', ['id' => $kit->id]), $said);
    }

    private function planInWords(Kit $kit): string
    {
        return ucfirst($this->table->of($kit)->planInWords()).'.';
    }

    /** @return array<int, string> where the papers are that are still to be pulled; at the end, where the offcuts go */
    private function lit(CuttingTable $table): array
    {
        $places = [];
        foreach ($table->toPull() as $row) {
            $places[] = $row->item->home?->id;
        }
        if ([] === $places) {
            foreach ($table->here as $number => $row) {
                $places[] = $table->homeOf($number)?->id;
            }
        }

        return $this->room->lit($places);
    }
}
