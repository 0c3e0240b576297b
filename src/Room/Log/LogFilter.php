<?php

declare(strict_types=1);

namespace App\Room\Log;

/** Which lines of the log to show. */
final readonly class LogFilter
{
    public function __construct(
        public ?int $item = null,
        public string $what = '',
        public ?int $place = null,
        public ?int $kit = null,
        public ?int $person = null,
        public ?string $reason = null,
        public ?\DateTimeImmutable $from = null,
        public ?\DateTimeImmutable $until = null,
        public ?int $olderThan = null,
    ) {
    }
}
