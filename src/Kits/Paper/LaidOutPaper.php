<?php

declare(strict_types=1);

namespace App\Kits\Paper;

/** All paper in groups of columns, and how many columns are not shown since there are too many. */
final readonly class LaidOutPaper
{
    /** @param array<string, list<PaperColumn>> $groups */
    public function __construct(public array $groups, public int $more)
    {
    }
}
