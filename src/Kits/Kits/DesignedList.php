<?php

declare(strict_types=1);

namespace App\Kits\Kits;

/** What a kit's list tells the kit's design, where it has one. */
interface DesignedList
{
    /** A person wants so much of a line's thing for the design from now on; nothing of it is 0. */
    public function wants(Need $need, int $quantity): void;

    /**
     * A kit was planned in words; where they speak of a design, it gets that.
     *
     * @return string|null what is told of it, null where they speak of none
     */
    public function reads(Kit $kit, string $words): ?string;

    /** Another thing was taken instead of one that the design wants: it is the design's from now on. */
    public function replaced(Need $need, Need $substitute): void;

    /** A person has said how many pieces the kit makes; null where nobody knows. */
    public function makes(Kit $kit, ?int $pieces): void;
}
