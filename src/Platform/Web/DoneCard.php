<?php

declare(strict_types=1);

namespace App\Platform\Web;

/** What the page before this one did, whether it can be undone, and whether that takes long. */
final readonly class DoneCard
{
    public function __construct(public string $id, public string $said, public bool $isUndoable, public bool $isLong)
    {
    }
}
