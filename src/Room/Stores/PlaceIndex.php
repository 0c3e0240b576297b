<?php

declare(strict_types=1);

namespace App\Room\Stores;

/** Where places are found by their words. */
interface PlaceIndex
{
    public function place(Place $place): void;

    /** Also what has its home in it is found under its new address. */
    public function readdressed(Place $place): void;

    public function forgetPlace(Place $place): void;
}
