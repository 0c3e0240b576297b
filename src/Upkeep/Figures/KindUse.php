<?php

declare(strict_types=1);

namespace App\Upkeep\Figures;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Upkeep\Figures\Proportion;

/** Of the things of a kind that one owns, those that were used in the last twelve months. */
final readonly class KindUse
{
    public function __construct(public Kind $kind, public Proportion $used)
    {
    }
}
