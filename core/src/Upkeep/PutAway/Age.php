<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\PutAway;

use Lottel\Core\Words\Counted;

/** How long something has been lying about, and whether that is too long (common practice, no source). */
final readonly class Age
{
    /** A tray is old after so many days, a folder that waits after so many. */
    private const OLD_TRAY = 7;
    private const OLD_FOLDER = 60;

    public function __construct(public int $days)
    {
    }

    public function isOldTray(bool $isFolder = false): bool
    {
        return $this->days > ($isFolder ? self::OLD_FOLDER : self::OLD_TRAY);
    }

    /** Returns it in words, such as `since today` or `9 days`. */
    public function inWords(): string
    {
        return $this->days < 1 ? 'since today' : Counted::of($this->days, 'day');
    }
}
