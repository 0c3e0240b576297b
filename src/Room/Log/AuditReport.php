<?php

declare(strict_types=1);

namespace App\Room\Log;

/** What the audit found. */
final readonly class AuditReport
{
    /** @param list<array{item: int, place: int|null, what: string, believed: int, recomputed: int}> $differences */
    public function __construct(public int $movements, public int $items, public int $places, public array $differences)
    {
    }
}
