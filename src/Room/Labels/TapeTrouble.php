<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Steps\Refusal;

/** Why a tape printer did not print; the message tells a person what to do. */
final class TapeTrouble extends \DomainException implements Refusal
{
    public function field(): ?string
    {
        return null;
    }

    public static function jammed(): self
    {
        return new self('The tape is jammed. Open the printer, pull the tape straight, and clear the jam.');
    }

    public static function out(): self
    {
        return new self('The tape is out: what is left is shorter than the label. Put a new tape in.');
    }

    public static function otherWidth(int $inside, int $wanted): self
    {
        return new self(\sprintf('There is a %d mm tape in the printer, and the label is for %d mm.', $inside, $wanted));
    }
}
