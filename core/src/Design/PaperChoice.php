<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

use Lottel\Core\Cutting\PaperWish;

/** Of which paper something is cut: the number of the paper's item, and what else will do. */
final readonly class PaperChoice
{
    public function __construct(public int $item, public PaperWish $wish = PaperWish::This)
    {
    }

    public function equals(?self $other): bool
    {
        return $this->item === $other?->item && $this->wish === $other->wish;
    }
}
