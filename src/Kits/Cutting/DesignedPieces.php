<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

/** What the cutting table tells the kit's design, where it has one. */
interface DesignedPieces
{
    /** A person wants so many of a piece of the design cut from now on. */
    public function cuts(PieceToCut $piece, int $quantity): void;
}
