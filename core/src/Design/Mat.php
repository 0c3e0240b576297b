<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** Paper behind a block: how much of it is seen on each side. */
final readonly class Mat
{
    public function __construct(public int $reveal, public ?PaperChoice $paper = null, public int $spare = 0)
    {
    }
}
