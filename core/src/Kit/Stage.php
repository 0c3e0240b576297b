<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

/** The life of a kit. */
enum Stage: string
{
    case Planned = 'planned';
    case Pulling = 'pulling';
    case Making = 'making';
    case Returning = 'returning';
    case Closed = 'closed';

    /**
     * Returns the next stage if a kit may go there.
     *
     * @throws RefusedStage if it may not
     */
    public function to(self $next): self
    {
        $allowed = match ($this) {
            self::Planned => [self::Pulling],
            self::Pulling => [self::Making, self::Returning],
            self::Making => [self::Pulling, self::Returning],
            self::Returning => [self::Pulling, self::Making],
            self::Closed => [],
        };
        if ($this !== $next && !\in_array($next, $allowed, true)) {
            throw RefusedStage::stageCannotFollow($this, $next);
        }

        return $next;
    }

    /**
     * Returns the closed stage if the kit may be closed.
     *
     * @param int $onTray how many different things are on its tray
     *
     * @throws RefusedStage if anything is still on the tray (law 6)
     */
    public function close(int $onTray): self
    {
        if ($onTray > 0) {
            throw RefusedStage::trayIsNotEmpty($onTray);
        }

        return self::Closed;
    }

    public function isOpen(): bool
    {
        return self::Planned !== $this && self::Closed !== $this;
    }
}
