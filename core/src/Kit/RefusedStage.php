<?php

declare(strict_types=1);

namespace Lottel\Core\Kit;

/** A step that a kit cannot take; the message tells a person why and what to do. */
final class RefusedStage extends \DomainException
{
    public static function stageCannotFollow(Stage $now, Stage $next): self
    {
        return new self(
            Stage::Closed === $now
                ? 'This kit is closed. Plan a new one.'
                : \sprintf('This kit is %s; it cannot be %s next.', $now->value, $next->value),
        );
    }

    public static function hasNoTray(Stage $now): self
    {
        return new self(Stage::Closed === $now ? 'This kit is closed; nothing of it is on a tray.' : 'Start the pull first; then the kit has a tray.');
    }

    public static function trayIsNotEmpty(int $things): self
    {
        return new self(
            \sprintf(
                '%s still on the tray. Return it, use it up, or say that it is lost; then the kit closes.',
                1 === $things ? 'One thing is' : $things.' things are',
            ),
        );
    }

    public static function nothingIsPlanned(): self
    {
        return new self('This kit has nothing on its list yet. Add things first.');
    }

    public static function allTraysAreTaken(int $trays): self
    {
        return new self(\sprintf('All %d trays are in use. Return a kit first.', $trays));
    }
}
