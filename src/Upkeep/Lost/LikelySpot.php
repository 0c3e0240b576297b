<?php

declare(strict_types=1);

namespace App\Upkeep\Lost;

use Lottel\Core\Upkeep\Lost\Clue;
use Lottel\Core\Upkeep\Lost\LikelyPlace;

/** A place where a lost thing may be, as a page shows it. */
final readonly class LikelySpot
{
    /** @param string $address empty for elsewhere */
    public function __construct(public LikelyPlace $likely, public string $address, public string $title)
    {
    }

    /** In whole percent. */
    public function percent(): int
    {
        return (int) round(100 * $this->likely->chance);
    }

    public function why(): string
    {
        return implode(', ', array_map(static fn (Clue $clue): string => $clue->words(), $this->likely->clues));
    }
}
