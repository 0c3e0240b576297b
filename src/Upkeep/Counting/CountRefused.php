<?php

declare(strict_types=1);

namespace App\Upkeep\Counting;

use App\Platform\Steps\Refusal;

/** A count that cannot be written down. */
final class CountRefused extends \DomainException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function hasMoved(string $item, string $place): self
    {
        return new self(\sprintf(
            '%s was taken from %s, or put there, while you counted. The sheet shows what the log says now; look again at that line.',
            $item,
            $place,
        ));
    }

    public static function notAllCounted(int $lines): self
    {
        return new self(1 === $lines
            ? 'One thing is not counted yet. Say how much there is, or that it is as the log says.'
            : \sprintf('%d things are not counted yet. Say how much there is, or that it is as the log says.', $lines));
    }

    public static function whyIsMissing(int $lines): self
    {
        return new self(1 === $lines
            ? 'One thing differs from the log. Say why; then write it down.'
            : \sprintf('%d things differ from the log. Say why; then write them down.', $lines));
    }
}
