<?php

declare(strict_types=1);

namespace App\Undo;

use App\Log\LogController;
use App\Steps\Outcome;
use App\Steps\Step;
use App\Web\Input;
use App\Web\Page;
use App\Web\Problem;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Steps that are taken back. */
final class UndoController extends Page
{
    public function __construct(private readonly PutRight $undo)
    {
    }

    #[Route('/log/undo', name: 'undo', methods: ['POST'])]
    public function undo(Request $request, WayBack $wayBack): Response
    {
        set_time_limit(0);

        return $this->write($request, function (Input $input, Step $step) use ($wayBack): Outcome {
            $which = $input->text('step', 36, true);
            $back = $input->text('back', 300);
            $input->check();

            // What is put back decides where one can go back to.
            $put = $this->undo->wholeStep($step, $which);

            return Outcome::final($wayBack->to($back), 'Undone: '.$put->sentence());
        }, $this->showLog(...));
    }

    #[Route('/log/{id<[0-9]{1,12}>}/reverse', name: 'reverse', methods: ['POST'])]
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
