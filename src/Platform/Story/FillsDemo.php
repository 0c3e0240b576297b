<?php

declare(strict_types=1);

namespace App\Platform\Story;

use Lottel\Core\Year\Day;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area that knows something of the demo room that did not happen on one of its days. */
#[AutoconfigureTag]
interface FillsDemo
{
    /** What is known before the story begins. */
    public function before(Said $year, Day $today): void;

    /** What is known once it is told. */
    public function after(Said $year, Day $today): void;
}
