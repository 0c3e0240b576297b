<?php

declare(strict_types=1);

namespace App\Kits\Design;

/** A colour that a design aims at, what in it comes near, and a paper of the room that would. */
final readonly class TargetColour
{
    public function __construct(public string $hex, public ?string $metBy, public ?PaperOnBoard $nearest)
    {
    }
}
