<?php

declare(strict_types=1);

namespace App\Platform\Story;

use Lottel\Core\Year\Day;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area that knows something of the demo room once its story is told. */
#[AutoconfigureTag]
interface EndsDemo
{
    public function after(Said $year, Day $today): void;
}
