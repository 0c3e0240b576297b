<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Lottel\Core\Homes\ChildReach;

/** Says it where something that is dangerous to children has got a home within their reach. */
final readonly class WarnOfReach
{
    /** @param list<Item> $items */
    public function ofHomes(array $items): string
    {
        $warnings = array_filter(array_map($this->ofHome(...), $items), static fn (?string $warning): bool => null !== $warning);

        return implode(' ', \array_slice($warnings, 0, 3));
    }

    public function ofHome(Item $item): ?string
    {
        if (null === $item->home) {
            return null;
        }

        return ChildReach::warning($item->name, $item->home->address, $item->careFor(), $item->home->isChildSafe, $item->home->heightMm());
    }
}
