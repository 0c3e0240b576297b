<?php

declare(strict_types=1);

namespace App\Room\Labels;

use Lottel\Core\Label\LabelDrawing;

/** A printer for label tape. A driver for a real one fills in these four. */
interface TapePrinter
{
    public function status(): TapeStatus;

    /**
     * Prints and cuts one label off the tape.
     *
     * @throws TapeTrouble if the tape is out, too narrow or wide, or jammed; nothing is printed then
     */
    public function print(LabelDrawing $label, string $text): void;
}
