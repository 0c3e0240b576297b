<?php

declare(strict_types=1);

namespace App\Kits\Rounds;

use App\Kits\Kits\TrayRow;
use App\Room\Catalogue\ThingLine;

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

    /** @return list<ThingLine> */
    public function lines(): array
    {
        return array_map(static fn (TakeRow|TrayRow $row): ThingLine => $row instanceof TakeRow ? $row->line->thing : $row->thing, $this->things);
    }

    /** @return list<int> */
    public function items(): array
    {
        return array_map(static fn (ThingLine $thing): int => $thing->id, $this->lines());
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(static fn (ThingLine $thing): string => $thing->name, $this->lines());
    }
}
