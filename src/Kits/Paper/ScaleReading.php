<?php

declare(strict_types=1);

namespace App\Kits\Paper;

/** What a scale shows, and how far it may be out either way; in grams. */
final readonly class ScaleReading
{
    public function __construct(public float $grams, public float $error)
    {
    }

    public function inWords(): string
    {
        return rtrim(rtrim(number_format($this->grams, 1), '0'), '.').' g';
    }
}
