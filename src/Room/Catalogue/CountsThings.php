<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\StepRefused;
use Lottel\Core\Log\Retracking;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area that has written down how much of a thing is wanted, dealt out or owed. */
#[AutoconfigureTag]
interface CountsThings
{
    /** @throws StepRefused if a thing cannot be counted otherwise now; the whole step is then taken back */
    public function recount(Item $item, Retracking $retracking): void;
}
