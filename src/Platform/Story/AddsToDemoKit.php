<?php

declare(strict_types=1);

namespace App\Platform\Story;

use App\Platform\Steps\Step;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area that adds something to a kit of the demo room as soon as it is planned. */
#[AutoconfigureTag]
interface AddsToDemoKit
{
    /** What a kit's chapter says where there is something to add. */
    public function word(): string;

    /** @param int $kit its number */
    public function add(Step $step, int $kit, Said $chapter): void;
}
