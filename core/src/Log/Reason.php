<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** Why a thing moved. */
enum Reason: string
{
    case TakeIn = 'take in';
    case Pull = 'pull';
    case Use = 'use';
    case PutBack = 'return';
    case Move = 'move';
    case Park = 'park';
    case Lend = 'lend';
    case GiveBack = 'give back';
    case Cut = 'cut';
    case Make = 'make';
    case Lose = 'lose';
    case FindAgain = 'found';
    case Discard = 'discard';
    case Count = 'count';
    case Reverse = 'reverse';

    /** Whether somebody has the thing in hand then that lay in its place. */
    public function isTaking(): bool
    {
        return match ($this) {
            self::Pull, self::Move, self::Lend, self::FindAgain => true,
            default => false,
        };
    }

    /**
     * Whether a thing may move for this reason from one place to the other: a pull comes from storage and goes onto a tray, a
     * return the other way, what is taken in comes from a source outside, what is lent goes to a person and comes back
     * as from a tray, what moves to another home may lie in a basket on the way. A reversal mirrors another movement and is free.
     */
    public function links(LoggedPlace $from, LoggedPlace $to): bool
    {
        return match ($this) {
            self::TakeIn => $from->isAnyOf(Outside::Borrowed, ...Outside::sources()) && $to->isStore(),
            self::Pull => $from->isStore() && $to->isTray(),
            self::Lend => $from->isStore() && $to->isPerson,
            self::GiveBack => $from->isStore() && $to->isAnyOf(Outside::Borrowed),
            self::Use => $from->isTray() && $to->isAnyOf(Outside::UsedUp),
            self::PutBack => ($from->isTray() || $from->isPerson) && $to->isStore(),
            self::Move => ($from->isStore() && ($to->isStore() || $to->isBasket)) || ($from->isBasket && $to->isStore()),
            self::Park => $from->isTray() && $to->isTray(),
            self::Cut => ($from->isTray() && $to->isAnyOf(Outside::UsedUp)) || ($from->isAnyOf(Outside::MadeHere) && $to->nature->isInside()),
            self::Make => $from->isAnyOf(Outside::MadeHere) && $to->isTray(),
            self::Lose => $from->nature->isInside() && $to->isAnyOf(Outside::Lost),
            self::FindAgain => $from->isAnyOf(Outside::Lost) && $to->isStore(),
            self::Discard => $from->nature->isInside() && $to->isAnyOf(Outside::UsedUp, Outside::Recycled, Outside::GivenAway, Outside::Sold),
            self::Count => ($from->isStore() && $to->isAnyOf(Outside::Counted)) || ($from->isAnyOf(Outside::Counted) && $to->isStore()),
            self::Reverse => true,
        };
    }

    /** Returns what a person did, as in “Ada took …”. */
    public function past(): string
    {
        return match ($this) {
            self::TakeIn => 'took in',
            self::Pull => 'took',
            self::Use => 'used up',
            self::PutBack => 'brought home',
            self::Move => 'moved',
            self::Park => 'carried',
            self::Lend => 'lent',
            self::GiveBack => 'gave back',
            self::Cut => 'cut',
            self::Make => 'finished',
            self::Lose => 'missed',
            self::FindAgain => 'found',
            self::Discard => 'parted with',
            self::Count => 'counted',
            self::Reverse => 'put right',
        };
    }

    /** Whether it belongs to pulling, making and returning, which whoever works here may put right, also for another. */
    public function isOfTheLoop(): bool
    {
        return match ($this) {
            self::Pull, self::Use, self::PutBack, self::Cut, self::Make, self::Lose, self::FindAgain, self::Park => true,
            default => false,
        };
    }
}
