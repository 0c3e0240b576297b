<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** A line of a log that breaks one of its laws. */
final class BrokenLaw extends \DomainException
{
    private function __construct(public readonly int $law, public readonly int $inLine, string $why, ?\Throwable $previous = null)
    {
        parent::__construct(\sprintf('Line %d of the log breaks law %d: %s', $inLine, $law, $why), 0, $previous);
    }

    public static function of(int $law, RecordedLine $line, string $why, ?\Throwable $previous = null): self
    {
        return new self($law, $line->line, $why, $previous);
    }
}
