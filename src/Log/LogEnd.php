<?php

declare(strict_types=1);

namespace App\Log;

use App\Stores\Place;
use Lottel\Core\Log\PlaceNature;

/** Where a line of the log begins or ends. */
final readonly class LogEnd
{
    public function __construct(public string $address, public PlaceNature $nature)
    {
    }

    /** Whether it is a drawer that one can go to. */
    public function isInUse(): bool
    {
        return PlaceNature::Storage === $this->nature && !Place::isGone($this->address);
    }
}
