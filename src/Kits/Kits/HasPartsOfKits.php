<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Database\HangingRows;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area with rows that hang on kits. */
#[AutoconfigureTag]
interface HasPartsOfKits
{
    /** @return list<HangingRows> in the order in which they go */
    public function partsOfKits(): array;
}
