<?php

declare(strict_types=1);

namespace Lottel\Core\Design;

/** What a design makes one or more of. */
enum Form: string
{
    case Card = 'card';
    case Tag = 'tag';
    case Strip = 'strip';
    case Liner = 'envelope liner';
    case Page = 'page';
    case Spread = 'two-page layout';
    case BookPage = 'book page';
    case Pockets = 'pocket page';
    case Pieces = 'list of pieces';

    /** Whether layers lie on it. */
    public function hasLayers(): bool
    {
        return match ($this) {
            self::Card, self::Tag, self::Strip, self::Liner => true,
            default => false,
        };
    }

    /** Whether blocks are placed on it. */
    public function hasBlocks(): bool
    {
        return match ($this) {
            self::Page, self::Spread, self::BookPage => true,
            default => false,
        };
    }

    /** Whether it is a list of pieces, each with its own size. */
    public function isListed(): bool
    {
        return !$this->hasLayers() && !$this->hasBlocks();
    }

    public function isFolded(): bool
    {
        return self::Card === $this;
    }

    /** Whether it is posted in an envelope. */
    public function isPosted(): bool
    {
        return self::Card === $this;
    }

    /** Returns how many sheets lie side by side. */
    public function pages(): int
    {
        return self::Spread === $this ? 2 : 1;
    }

    /** Returns what its lowest piece is called. */
    public function base(): string
    {
        return match ($this) {
            self::Card => 'base',
            self::Page, self::Spread, self::BookPage => 'page',
            self::Liner => 'liner',
            default => $this->value,
        };
    }

    /** Returns what one of them is called. */
    public function one(): string
    {
        return match ($this) {
            self::Spread => 'two-page layout',
            self::Pockets => 'pocket page',
            self::Pieces => 'set',
            default => $this->value,
        };
    }
}
