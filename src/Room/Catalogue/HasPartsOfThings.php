<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\HangingRows;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area with rows that hang on things. */
#[AutoconfigureTag]
interface HasPartsOfThings
{
    /** @return list<HangingRows> in the order in which they go */
    public function partsOfThings(): array;
}
