<?php

declare(strict_types=1);

namespace Lottel\Core\Care;

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

    /** Returns what it will want after work, in a word or two for a tag on it; null where it wants nothing. */
    public function tag(): ?string
    {
        return match ($this) {
            self::Inky => 'to clean',
            self::Hot => 'to cool',
            self::Blade => 'to cap',
            self::Solvent => 'lid tight',
            self::SmallParts => 'box closed',
            self::Powder => 'lid tight, wipe',
            self::LiesFlat => 'lay flat',
            self::Heavy => null,
        };
    }

    /** Whether a child leaves it to a grown-up to take it: it burns, cuts, catches fire or falls on toes (common practice, no source). */
    public function isForGrownUps(): bool
    {
        return match ($this) {
            self::Hot, self::Blade, self::Solvent, self::Heavy => true,
            default => false,
        };
    }

    /**
     * Whether a child leaves a thing with these hazards to a grown-up.
     *
     * @param list<self> $hazards
     */
    public static function leavesToGrownUps(array $hazards): bool
    {
        return [] !== array_filter($hazards, static fn (self $hazard): bool => $hazard->isForGrownUps());
    }

    /** Whether it is carried as short a way as can be: pulled last, brought home first. */
    public function isCarriedShort(): bool
    {
        return self::Heavy === $this || self::Hot === $this;
    }
}
