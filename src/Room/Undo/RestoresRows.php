<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepChange;
use App\Platform\Steps\StepRefused;
use App\Room\Log\LogLine;
use Lottel\Core\Log\Undone;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area that puts rows of its own back in a way of its own. All others are put back as they were. */
#[AutoconfigureTag]
interface RestoresRows
{
    /** @return list<string> the tables */
    public function restores(): array;

    /**
     * @param list<StepChange> $all that are put back
     *
     * @throws StepRefused if it cannot be put back
     */
    public function restore(Step $step, StepChange $change, array $all, Undone $back): void;

    /**
     * Is told of each line of the log that was reversed.
     *
     * @throws StepRefused if what it moved cannot lie there again
     */
    public function afterReversal(LogLine $line, StepChange $change, Undone $back): void;
}
