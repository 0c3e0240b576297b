<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Lottel\Core\Label\LabelFormat;

/** The labels of places that are to be printed. */
interface PlaceLabels
{
    public function wishForPlace(Place $place, string $reason, ?LabelFormat $format = null): void;

    public function forgetPlace(Place $place): void;
}
