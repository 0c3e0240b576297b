<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** What a block on a page holds. */
enum BlockKind: string
{
    case Photo = 'photo';
    case Title = 'title';
    case Text = 'text';
    case Cluster = 'cluster';
    case Paper = 'paper';

    /** Whether the block itself is cut from paper; a photo is printed, a cluster is laid from what there is. */
    public function isCut(): bool
    {
        return match ($this) {
            self::Title, self::Text, self::Paper => true,
            default => false,
        };
    }

    /** Whether it may lie over others: a cluster bridges them, and all lies on patterned paper. */
    public function mayLieOver(): bool
    {
        return self::Cluster === $this || self::Paper === $this;
    }
}
