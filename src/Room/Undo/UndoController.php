<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Web\Input;
use App\Platform\Web\Page;
use App\Platform\Web\Problem;
use App\Platform\Web\Progress;
use App\Room\Log\LogController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Steps that are taken back. */
final class UndoController extends Page
{
    public function __construct(
        private readonly UndoStep $undo,
        private readonly UndoInParts $inParts,
        private readonly Progress $progress,
    ) {
    }

    #[Route('/log/undo', name: 'undo', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function undo(Request $request, PageAfterUndo $wayBack): Response
    {
        set_time_limit(0);
        if ($this->inParts->isFor($request->request->getString('step'))) {
            return $this->undoInParts($request, $wayBack);
        }

        return $this->write($request, function (Input $input, Step $step) use ($wayBack): Outcome {
            $which = $input->text('step', 36, true);
            $back = $input->text('back', 300);
            $input->check();

            // What is put back decides where one can go back to.
            $put = $this->undo->wholeStep($step, $which);

            return Outcome::final($wayBack->to($back), 'Undone: '.$put->sentence());
        }, $this->showLog(...));
    }

    private function undoInParts(Request $request, PageAfterUndo $wayBack): Response
    {
        return $this->attempt($request, function (Input $input) use ($wayBack): string {
            $run = $input->requestId();
            $which = $input->text('step', 36, true);
            $back = $wayBack->to($input->text('back', 300));
            $input->check();
            $tell = fn (float $share) => $this->progress->tell($run, $share, 'It is taken out again');
            try {
                return $this->withDone($back, ($this->inParts)($run, $this->me(), $which, $back, $tell));
            } finally {
                $this->progress->end($run);
            }
        }, $this->showLog(...));
    }

    #[Route('/log/{id<[0-9]{1,12}>}/reverse', name: 'reverse', methods: ['POST'])]
    #[IsGranted('ROLE_HELPER')]
    public function reverse(Request $request, int $id): Response
    {
        return $this->write($request, function (Input $input, Step $step) use ($id): Outcome {
            return Outcome::final($this->generateUrl('log'), 'Put right: '.$this->undo->movement($step, $id)->sentence());
        }, $this->showLog(...));
    }

    private function showLog(Problem $problem): Response
    {
        return $this->forward(LogController::class.'::index', ['problem' => $problem]);
    }
}
