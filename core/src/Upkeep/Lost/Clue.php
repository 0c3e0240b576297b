<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Lost;

/** Why a lost thing may be in a place (common practice, no source). */
enum Clue: string
{
    case Home = 'home';
    case Neighbour = 'neighbour';
    case Round = 'round';
    case Table = 'table';
    case Confused = 'confused';
    case Alike = 'alike';
    case Mirrored = 'mirrored';

    /** Returns how much it weighs before the room's own log says anything, as if it had come true so often. A judgement of ours. */
    public function weight(): float
    {
        return match ($this) {
            self::Round => 3.0,
            self::Home, self::Neighbour => 2.5,
            self::Table, self::Confused => 2.0,
            self::Alike => 1.2,
            self::Mirrored => 0.8,
        };
    }

    /** Returns the reason in words. */
    public function words(): string
    {
        return match ($this) {
            self::Home => 'its home: look behind and under',
            self::Neighbour => 'beside its home',
            self::Round => 'its last round went on there',
            self::Table => 'it was there last',
            self::Confused => 'such things were found there before',
            self::Alike => 'things like it live there',
            self::Mirrored => 'the same spot in a unit like its own',
        };
    }
}
