<?php

declare(strict_types=1);

namespace App\Service;

/** Where to go on after a step, and what to tell the person. */
final readonly class Outcome
{
    public function __construct(public string $goTo, public string $said)
    {
    }
}
