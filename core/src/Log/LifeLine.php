<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** A movement as the life of a thing tells it; what was put right since is not told. */
final readonly class LifeLine
{
    public function __construct(
        public \DateTimeImmutable $at,
        public Reason $reason,
        public int $quantity,
        public LoggedPlace $from,
        public LoggedPlace $to,
        public ?int $kit = null,
    ) {
    }
}
