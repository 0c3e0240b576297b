<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\DrawingFile;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Room\Catalogue\Items;
use App\Room\Stores\Places;
use App\Room\Stores\RoomReading;
use Lottel\Core\Words\Counted;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** All paper, and the question whether there is a piece. */
final class PaperController extends Page
{
    private const MOST_SCRAPS = 500;

    public function __construct(
        private readonly PaperWall $wall,
        private readonly LookForPiece $look,
        private readonly RoomReading $room,
        private readonly ScrapReading $scraps,
        private readonly Items $items,
        private readonly Places $places,
    ) {
    }

    #[Route('/paper', name: 'paper', methods: ['GET'])]
    public function page(Request $request, ?Problem $problem = null): Response
    {
        $question = PieceQuestion::read($request->query->all(), $this->measures->measure(), $this->ownColours->words());
        $found = ($this->look)($question);
        $laid = $this->wall->laidOut($question->order);

        return $this->render('kits/paper/index.html.twig', [
            'question' => $question,
            'found' => $found,
            'groups' => $laid->groups,
            'more' => $laid->more,
            'orders' => PaperOrder::cases(),
            'parents' => $this->scraps->parents($question),
            'usual_sizes' => $this->scraps->usualSizes(),
            'lit' => $this->lit($found),
            'problem' => $problem,
        ]);
    }

    #[Route('/paper/wall.{type<svg|pdf>}', name: 'paper_file', methods: ['GET'])]
    public function wall(Request $request, string $type, PaperWallDrawing $drawing, DrawingFile $file): Response
    {
        $question = PieceQuestion::read($request->query->all(), $this->measures->measure(), $this->ownColours->words());
        $drawn = $drawing->drawn($this->wall->laidOut($question->order)->groups, $question);

        return $file->answer($drawn, $type, $this->frame->room()->name.', all paper', 'paper');
    }

    #[Route('/paper/scraps', name: 'take_scrap', methods: ['POST'])]
    #[IsGranted('ROLE_OWNER')]
    public function scrap(Request $request, TakeInScrap $takeIn): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($takeIn): Outcome {
            $shape = $input->sheetShape($input->isEmpty('scrap_size') ? 'usual_size' : 'scrap_size');
            $many = $input->isEmpty('many') ? 1 : $input->whole('many', 1, self::MOST_SCRAPS);
            $home = $this->places->chosen($input, 'home');
            if (0 === $input->id('of')) {
                $input->refuse('of', 'Choose the paper that it was cut from.');
            }
            if (null === $shape) {
                $input->refuse('scrap_size', 'How large is it? Write it like 3 × 6.');
            }
            $input->check();
            \assert(null !== $shape);
            $scrap = $takeIn($step, $this->items->one($input->id('of')), $shape, $many, $home, $this->measures->lengths());
            $said = \sprintf('%s in %s now.', Counted::sentence([$scrap->name], ''), $scrap->home->address ?? 'what is not filed');
            $back = $this->cameFrom($input);

            return Outcome::undoable($back.(str_contains($back, '?') ? '&' : '?').'scrap=1', $said);
        }, fn (Problem $problem): Response => $this->showAgain($request, $problem));
    }

    /** @return array<int, string> the numbers of the answers, by the place whose front is seen */
    private function lit(?PieceAnswers $found): array
    {
        $lit = [];
        foreach ($found->answers ?? [] as $answer) {
            $front = $this->room->frontOf($answer->paper->placeId ?? 0);
            if (null !== $front) {
                $lit[$front] = trim(($lit[$front] ?? '').' '.$answer->number);
            }
        }

        return $lit;
    }
}
