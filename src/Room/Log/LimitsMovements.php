<?php

declare(strict_types=1);

namespace App\Room\Log;

use App\Platform\Steps\Step;
use App\Platform\Steps\StepRefused;
use Lottel\Core\Log\Movement;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area that knows of movements that the laws of the log allow, and this person, or this thing, does not. */
#[AutoconfigureTag]
interface LimitsMovements
{
    /** @throws StepRefused if it is not to be moved like this; the whole step is then taken back */
    public function check(Step $step, Movement $movement): void;
}
