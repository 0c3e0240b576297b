<?php

declare(strict_types=1);

namespace App\Kits\Making;

use App\Kits\Design\PaperOnBoard;
use Lottel\Core\Design\Design;
use Lottel\Core\Design\InWork;

/** A kit's design at the bench: its steps, and how far each card is. */
final readonly class DesignAtBench
{
    /** @param array<int, PaperOnBoard> $papers by item */
    public function __construct(public Design $design, public array $papers, public InWork $work)
    {
    }
}
