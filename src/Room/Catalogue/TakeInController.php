<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use App\Platform\Web\LinesLeft;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\ListImport\PastedLines;
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
    public function __construct(private readonly NewThingsForm $form, private readonly NewCells $cells, private readonly LinesLeft $left)
    {
    }

    #[Route('/take-in', name: 'front_door', methods: ['GET'])]
    public function door(?Problem $problem = null): Response
    {
        return $this->show(null, $this->left->asked(), $problem);
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
            $lines = $this->cells->lines($text);
        } catch (InvalidInput $wrong) {
            $response = $this->show(null, $text, Problem::from($wrong, $request, $this->measures->quantities()));
            $response->setStatusCode(422);

            return $response;
        }

        return $this->show($lines, $text, null);
    }

    #[Route('/take-in', name: 'take_all_in', methods: ['POST'])]
    public function takeIn(Request $request, TakeIn $takeIn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($takeIn): Outcome {
            $left = [];
            $things = $input->isTicked('right') ? $this->form->right($input, $left) : $this->form->read($input);
            if ([] === $things) {
                throw CatalogueRefused::everythingLeftOut();
            }
            $takeIn->all($step, $things);
            $withoutHome = \count(array_filter($things, static fn (NewThing $new): bool => null === $new->home && null === $new->moreOf?->home));
            $said = Counted::of(\count($things), 'thing is', 'things are').' in the room now'
                .(0 === $withoutHome ? '.' : '; '.Counted::of($withoutHome, 'has', 'have').' no home yet.')
                .([] === $left ? '' : ' '.Counted::of(\count($left), 'line is', 'lines are').' left to be put right.');

            return Outcome::undoable($this->left->kept(implode("\n", $left), $this->generateUrl('front_door')), $said);
        }, function (Problem $problem) use ($request): Response {
            $text = $request->request->getString('text');

            return $this->show($this->cells->lines($text), $text, $problem);
        });
    }

    /** @param PastedLines|null $lines null where lines are still to be typed */
    private function show(?PastedLines $lines, string $text, ?Problem $problem): Response
    {
        return $this->render('room/catalogue/take_in.html.twig', [
            'cells' => null === $lines ? [] : $this->cells->typed($lines),
            'lines' => $lines,
            'text' => $text,
            'kinds' => Kind::cases(),
            'trackings' => Tracking::cases(),
            'seen' => null,
            'problem' => $problem,
        ]);
    }
}
