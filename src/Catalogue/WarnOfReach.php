<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Stores\Place;
use Lottel\Core\Homes\ChildReach;
use Lottel\Core\Measure\Length;
use Lottel\Core\Upkeep\Hazard;

/** Says it where something that is dangerous to children has got a home within their reach. */
final readonly class WarnOfReach
{
    /** @param list<Item> $items */
    public function ofHomes(array $items): string
    {
        $warnings = array_filter(array_map(fn (Item $item): ?string => $this->ofHome($item), $items));

        return implode(' ', \array_slice($warnings, 0, 3));
    }

    public function ofHome(Item $item): ?string
    {
        if (null === $item->home) {
            return null;
        }
        $hazards = array_values(array_filter(array_map(Hazard::tryFrom(...), $item->hazards)));

        return ChildReach::warning($item->name, $item->home->address, $hazards, $item->home->isChildSafe, $this->heightOf($item->home));
    }

    /** How high the middle of the front is that is seen around a place, in millimetres above the floor. */
    private function heightOf(Place $place): int
    {
        for ($seen = $place; null === $seen->front() && null !== $seen->parent; $seen = $seen->parent) {
        }
        $front = $seen->front();
        $unit = $seen->unit;
        if (null === $front || null === $unit) {
            return 0;
        }

        return intdiv(max(0, $unit->aboveFloor + $unit->height - $front->y->ticks - intdiv($front->height->ticks, 2)), Length::TICKS_PER_MILLIMETRE);
    }
}
