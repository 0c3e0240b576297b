<?php

declare(strict_types=1);

namespace App\Room\Undo;

use App\Platform\Steps\Refusal;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** What must be true of an area after a step was taken back, though later steps went on from it. */
#[AutoconfigureTag]
interface StaysTrue
{
    /** @return list<string> the tables whose changes may make it untrue */
    public function restsOn(): array;

    /** Returns what finds the names of that of which it is not true, in SQL. */
    public function broken(): string;

    public function refusal(string $name): Refusal;
}
