<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep;

/** What calls for care when a thing is pulled or put away (common practice, no source). */
enum Hazard: string
{
    case Inky = 'inky';
    case Hot = 'hot';
    case Blade = 'blade';
    case Solvent = 'solvent';
    case SmallParts = 'small parts';
    case Heavy = 'heavy';
    case Powder = 'powder';
    case LiesFlat = 'lies flat';

    /** Whether it is carried as short a way as can be: pulled last, brought home first. */
    public function isCarriedShort(): bool
    {
        return self::Heavy === $this || self::Hot === $this;
    }
}
