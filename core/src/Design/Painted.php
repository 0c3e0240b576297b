<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** A rectangle of one paper as it lies, with the hole that is cut out of it. */
final readonly class Painted
{
    /** @param string $of whose it is; what is equal here is counted together */
    public function __construct(public string $of, public Rect $at, public ?Rect $hole = null)
    {
    }

    public function covers(int $x, int $y): bool
    {
        return self::isIn($this->at, $x, $y) && (null === $this->hole || !self::isIn($this->hole, $x, $y));
    }

    private static function isIn(Rect $rect, int $x, int $y): bool
    {
        return $x >= $rect->x && $x < $rect->right() && $y >= $rect->y && $y < $rect->bottom();
    }
}
