<?php

declare(strict_types=1);

namespace Lottel\Core\Workshop;

/** What of a thing came back from a class, against what left: the rest was handed out, or is missing. */
final readonly class CameBack
{
    private function __construct(public int $back, public int $handedOut, public int $missing)
    {
    }

    /** How much comes back unless somebody counts otherwise: of what went into the bags nothing, of all else all. */
    public static function usual(int $left, bool $isBagged, bool $lasts, bool $isLevel): int
    {
        return $isBagged && !$lasts && !$isLevel ? 0 : $left;
    }

    /**
     * @param int $left how much of it left
     * @param bool $isHandedOut whether it is of those that the class uses up or takes along
     *
     * @throws InvalidWorkshop if more came back than left
     */
    public static function of(int $left, int $back, bool $isHandedOut): self
    {
        if ($back < 0 || $back > $left) {
            throw InvalidWorkshop::moreCameBack();
        }

        return new self($back, $isHandedOut ? $left - $back : 0, $isHandedOut ? 0 : $left - $back);
    }
}
