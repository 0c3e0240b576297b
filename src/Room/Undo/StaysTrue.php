<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Steps\StepRefused;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** What must be true of an area after a step was taken back, though later steps went on from it. */
#[AutoconfigureTag]
interface StaysTrue
{
    /** @return list<string> the tables whose changes may make it untrue */
    public function restsOn(): array;

    /** @throws StepRefused naming the thing that forbids it */
    public function check(): void;
}
