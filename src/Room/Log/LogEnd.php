<?php

declare(strict_types=1);

namespace App\Room\Log;

use Lottel\Core\Furniture\RetiredAddress;
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
        return PlaceNature::Storage === $this->nature && !RetiredAddress::isOne($this->address);
    }
}
