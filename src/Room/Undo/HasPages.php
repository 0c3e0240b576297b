<?php

declare(strict_types=1);

namespace App\Room\Undo;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** An area with pages that are about one thing each, which an undo may take away. */
#[AutoconfigureTag]
interface HasPages
{
    /** What their addresses begin with, such as `kits` in /kits/7. */
    public function pagesBeginWith(): string;

    public function isThere(string $subject): bool;

    /** The route of the nearest page where it is gone. */
    public function otherwise(): string;
}
