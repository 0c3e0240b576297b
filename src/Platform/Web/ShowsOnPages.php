<?php

declare(strict_types=1);

namespace App\Platform\Web;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area that shows something of its own on pages of areas below it. */
#[AutoconfigureTag]
interface ShowsOnPages
{
    /** @return list<PagePart> */
    public function onPages(): array;
}
