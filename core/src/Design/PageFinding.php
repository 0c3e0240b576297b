<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Something about a block that a person will want to mend. */
final readonly class PageFinding
{
    /** @param int|null $other the block that it has to do with */
    public function __construct(public int $block, public string $what, public ?int $other)
    {
    }
}
