<?php

declare(strict_types=1);

namespace App\Platform\Steps;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area whose tables the journal watches. */
#[AutoconfigureTag]
interface WatchesTables
{
    /** @return list<WatchedTable> */
    public function watched(): array;
}
