<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** The hours do not hold the work. */
final class InvalidSchedule extends \DomainException
{
    public static function hoursDoNotHold(int $years): self
    {
        return new self(\sprintf('The hours of the next %d years do not hold the work.', $years));
    }
}
