<?php

declare(strict_types=1);

namespace App\Kits\Paper;

/** A scale. A driver for a real one fills in this. */
interface Scale
{
    /**
     * Returns what it shows once it has come to rest.
     *
     * @throws ScaleTrouble if it does not come to rest, shows nothing, or is overloaded
     */
    public function weigh(): ScaleReading;
}
