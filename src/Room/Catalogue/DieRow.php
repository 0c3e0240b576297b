<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Paper\CutSizes;

/** A die with the sizes that it cuts; null where nobody has said. */
final readonly class DieRow
{
    public function __construct(public ThingLine $thing, public ?CutSizes $cuts)
    {
    }
}
