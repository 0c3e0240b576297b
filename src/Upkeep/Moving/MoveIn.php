<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Steps\Step;

/** The boxes have arrived: what was not packed stays out of this, and everything else is unpacked. */
final readonly class MoveIn
{
    public function __construct(private HouseMoves $moves)
    {
    }

    public function __invoke(Step $step): HouseMove
    {
        $move = $this->moves->underWay();
        if (null !== $move->movedAt) {
            throw MovingRefused::hasChanged();
        }
        $move->arrive($step->at);
        self::open($step, $move);

        return $move;
    }

    /** Everything is unpacked, or nothing was packed: the move is over. */
    public function end(Step $step): void
    {
        $move = $this->moves->underWay();
        foreach ($move->boxes as $box) {
            if ($box->things() > 0) {
                throw MovingRefused::boxIsNotEmpty($box->name());
            }
        }
        self::open($step, $move);
        $move->end($step->at);
    }

    private static function open(Step $step, HouseMove $move): void
    {
        foreach ($move->boxes as $box) {
            foreach ($box->errand->tasks as $task) {
                $task->leave();
            }
            $box->errand->goOn();
            $box->errand->endWhenDone($step->at);
        }
    }
}
