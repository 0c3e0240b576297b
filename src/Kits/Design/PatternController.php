<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Kits\Kits\Kits;
use App\Kits\Kits\PlanController;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Design\CardSize;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\PageGrid;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Designs that are kept to be made again. */
final class PatternController extends Page
{
    public function __construct(
        private readonly Designs $designs,
        private readonly Kits $kits,
        private readonly BoardReading $board,
        private readonly DesignInput $parts,
    ) {
    }

    #[Route('/patterns', name: 'patterns', methods: ['GET'])]
    public function index(?Problem $problem = null): Response
    {
        $patterns = $this->designs->patterns();
        $papers = array_merge([], ...array_map(static fn (Pattern $pattern): array => $pattern->design()->papers(), $patterns));

        return $this->render('kits/design/patterns.html.twig', [
            'patterns' => $patterns,
            'papers' => $this->board->papers(array_values(array_unique($papers))),
            'sizes' => CardSize::usualIn($this->measures->measure()),
            'problem' => $problem,
        ]);
    }

    #[Route('/kits/{id<[0-9]{1,12}>}/design/pattern', name: 'keep_pattern', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function keep(Request $request, int $id, KeepPattern $keep): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $keep): Outcome {
            $name = $input->text('name', 120, true);
            $keep($step, $this->kits->one($id), $this->parts->seen($input), $name);

            return Outcome::undoable($this->generateUrl('design', ['id' => $id]), \sprintf('Kept as the pattern “%s”.', $name));
        }, fn (Problem $problem): Response => $this->again($id, $problem));
    }

    /** What was changed since it was made from its pattern becomes part of that. */
    #[Route('/kits/{id<[0-9]{1,12}>}/design/take-back', name: 'take_back', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function takeBack(Request $request, int $id, KeepPattern $keep): Response
    {
        return $this->write($request, function (Input $input) use ($id, $keep): Outcome {
            $pattern = $keep->takeBack($this->kits->one($id), $this->parts->seen($input));

            return Outcome::undoable($this->generateUrl('design', ['id' => $id]), \sprintf('The pattern “%s” is as this design now.', $pattern->name));
        }, fn (Problem $problem): Response => $this->again($id, $problem));
    }

    /** A kit like one that there was, in another number. */
    #[Route('/kits/{id<[0-9]{1,12}>}/again', name: 'make_again', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function kitAgain(Request $request, int $id, Kits $kits, MakeKitAgain $again): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id, $kits, $again): Outcome {
            $pieces = $input->isEmpty('pieces') ? null : $input->whole('pieces', 1, Design::MOST);
            $input->check();
            [$kit, $told] = $again($step, $kits->one($id), $pieces);

            return Outcome::undoable($this->generateUrl('kit', ['id' => $kit->id]), trim(\sprintf('“%s” is planned once more. %s', $kit->name, $told)));
        }, fn (Problem $problem): Response => $this->forward(PlanController::class.'::kitPage', ['id' => $id, 'problem' => $problem]));
    }

    #[Route('/patterns/{pattern<[0-9]{1,12}>}', name: 'make_pattern', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function make(Request $request, int $pattern, MakeAgain $make): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($pattern, $make): Outcome {
            $kept = $this->designs->pattern($pattern);
            if ($input->isTicked('remove')) {
                $kept->remove($step->at);

                return Outcome::undoable($this->generateUrl('patterns'), \sprintf('“%s” is kept no more.', $kept->name));
            }
            $name = $input->text('name', 120, true);
            $quantity = $input->whole('quantity', 1, Design::MOST);
            $finished = $input->isEmpty('size') ? null : $this->parts->sides($input, 'size');
            $papers = $this->papers($input, $kept->design());
            $input->check();
            $kit = $make($step, $kept, $name, $quantity, $finished, $papers, PageGrid::step($this->measures->measure()));

            return Outcome::undoable(
                $this->generateUrl('design', ['id' => $kit->id]),
                \sprintf('“%s” is planned from the pattern “%s”.', $kit->name, $kept->name),
            );
        }, $this->index(...));
    }

    /** @return array<int, int> the new paper by the old one */
    private function papers(Input $input, Design $design): array
    {
        $papers = [];
        foreach ($design->papers() as $item) {
            $choice = $this->parts->paper($input, 'instead_'.$item);
            if (null !== $choice) {
                $papers[$item] = $choice->item;
            }
        }

        return $papers;
    }

    private function again(int $id, Problem $problem): Response
    {
        return $this->forward(DesignController::class.'::page', ['id' => $id, 'problem' => $problem]);
    }
}
