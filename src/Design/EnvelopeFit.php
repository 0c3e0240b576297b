<?php

declare(strict_types=1);

namespace App\Design;

/** Whether an envelope takes a card. */
enum EnvelopeFit: string
{
    case Takes = 'takes it';
    case Tight = 'takes it tightly';
    case TooSmall = 'too small';

    public function isPossible(): bool
    {
        return self::TooSmall !== $this;
    }
}
