<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Steps\Outcome;
use App\Steps\Step;
use App\Steps\StepRefused;
use App\Web\Input;
use App\Web\InvalidInput;
use App\Web\Page;
use App\Web\Problem;
use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The one front door for what comes in, wherever one is: lines are read, guessed at, shown as cells, corrected, and written. */
#[IsGranted('ROLE_OWNER')]
final class TakeInController extends Page
{
    public function __construct(private readonly NewThingsForm $form, private readonly NewCells $cells)
    {
    }

    #[Route('/take-in', name: 'front_door', methods: ['GET'])]
    public function door(?Problem $problem = null): Response
    {
        return $this->show([], '', $problem);
    }

    /** Shows what lines would become, with what is guessed, before anything is written. */
    #[Route('/take-in/look', name: 'look_at_lines', methods: ['POST'])]
    public function look(Request $request): Response
    {
        $input = $this->input($request);
        $text = $input->text('things', 40_000, true);
        try {
            $input->check();
            $many = PastedThing::count($text);
            if ($many > NewThingsForm::MOST) {
                throw new InvalidInput(['things' => \sprintf('%d lines at once are too many; %d at the most.', $many, NewThingsForm::MOST)]);
            }
            $cells = $this->cells->read($text);
        } catch (InvalidInput|InvalidPaste $wrong) {
            $response = $this->show([], $text, Problem::from($wrong, $request, $this->frame->quantities()));
            $response->setStatusCode(422);

            return $response;
        }

        return $this->show($cells, $text, null);
    }

    #[Route('/take-in', name: 'take_all_in', methods: ['POST'])]
    public function takeIn(Request $request, TakeIn $takeIn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($takeIn): Outcome {
            $things = $this->form->read($input);
            if ([] === $things) {
                throw StepRefused::everythingLeftOut();
            }
            $takeIn->all($step, $things);
            $withoutHome = \count(array_filter($things, static fn (NewThing $new): bool => null === $new->home && null === $new->moreOf?->home));
            $said = Counted::of(\count($things), 'thing is', 'things are').' in the room now'
                .(0 === $withoutHome ? '.' : '; '.Counted::of($withoutHome, 'has', 'have').' no home yet.');

            return Outcome::undoable($this->generateUrl('front_door'), $said);
        }, fn (Problem $problem): Response => $this->show(null, $request->request->getString('text'), $problem));
    }

    /** @return list<NewCell> */
    private function cellsOf(string $text): array
    {
        try {
            return $this->cells->read($text);
        } catch (InvalidPaste) {
            return [];
        }
    }

    /** @param list<NewCell>|null $cells null where the ones that were sent are shown again */
    private function show(?array $cells, string $text, ?Problem $problem): Response
    {
        $cells ??= $this->cellsOf($text);

        return $this->render('catalogue/take_in.html.twig', [
            'cells' => $cells,
            'text' => $text,
            'kinds' => Kind::cases(),
            'trackings' => Tracking::cases(),
            'seen' => null,
            'problem' => $problem,
        ]);
    }
}
