<?php

declare(strict_types=1);

namespace App\Room\Log;

use Lottel\Core\Log\LifeEvent;

/** Something that happened to a thing, with the kit that it was out with. */
final readonly class LifeRow
{
    public function __construct(public LifeEvent $event, public ?MadeOf $made)
    {
    }
}
