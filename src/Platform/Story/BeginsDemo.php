<?php

declare(strict_types=1);

namespace App\Platform\Story;

use Lottel\Core\Year\Day;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area that knows something of the demo room before its story begins. */
#[AutoconfigureTag]
interface BeginsDemo
{
    public function before(Said $year, Day $today): void;
}
