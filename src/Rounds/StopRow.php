<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Kits\TrayRow;

/**
 * A stop of a round as its page shows it.
 *
 * @template T of TakeRow|TrayRow
 */
final readonly class StopRow
{
    /** @param list<T> $things */
    public function __construct(public int $placeId, public string $address, public array $things)
    {
    }

    /** @return list<int> */
    public function items(): array
    {
        return array_map(static fn (TakeRow|TrayRow $thing): int => $thing instanceof TakeRow ? $thing->line->itemId : $thing->itemId, $this->things);
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(static fn (TakeRow|TrayRow $thing): string => $thing instanceof TakeRow ? $thing->line->name : $thing->name, $this->things);
    }
}
