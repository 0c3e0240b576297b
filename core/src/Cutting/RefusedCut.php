<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

/** A cut that cannot be made, or is not what the log may keep. */
final class RefusedCut extends \DomainException
{
    /** @param string|null $field the field beside which it is said; null where it concerns the whole cut */
    private function __construct(string $message, public readonly ?string $field = null)
    {
        parent::__construct($message);
    }

    public static function partIsNothing(): self
    {
        return new self('A part of a sheet has two sides that are more than nothing.');
    }

    public static function isOutside(): self
    {
        return new self('That is not inside the part in hand. Measure from the edge that is named.', 'at');
    }

    public static function isNotInHand(): self
    {
        return new self('That cut was made in the meantime, or the plan is another one by now; this is how it stands.');
    }

    public static function areaIsNotKept(int $sheet, int $parts): self
    {
        return new self(\sprintf('Law 5: the sheet has %d square ticks, what it became has %d.', $sheet, $parts));
    }
}
