<?php

declare(strict_types=1);

namespace Lottel\Core\Catalogue;

use Lottel\Core\Care\Hazard;
use Lottel\Core\Log\Tracking;

/** What sort of thing an item is. */
enum Kind: string
{
    case StampSet = 'stamp set';
    case Die = 'die';
    case Stencil = 'stencil';
    case Paper = 'paper';
    case Scrap = 'scrap';
    case Envelope = 'envelope';
    case Embellishment = 'embellishment';
    case Ribbon = 'ribbon';
    case Ink = 'ink';
    case Pen = 'pen';
    case Powder = 'powder';
    case Adhesive = 'adhesive';
    case Tool = 'tool';
    case Machine = 'machine';
    case PartFinished = 'part-finished';
    case FinishedPiece = 'finished piece';
    case Other = 'other';

    /** Returns how things of this kind are usually counted (common practice, no source). */
    public function usualTracking(): Tracking
    {
        return match ($this) {
            self::Paper, self::Scrap, self::Envelope, self::Embellishment, self::PartFinished, self::FinishedPiece => Tracking::Count,
            self::Ribbon => Tracking::Length,
            self::Ink, self::Powder, self::Adhesive => Tracking::Level,
            default => Tracking::One,
        };
    }

    /** Whether a word of colour in its name is usually the colour of the thing. */
    public function hasOneColour(): bool
    {
        return match ($this) {
            self::Paper, self::Scrap, self::Envelope, self::Embellishment, self::Ribbon, self::Ink, self::Pen, self::Powder => true,
            default => false,
        };
    }

    /** Whether it is flat and has the measures of a sheet: a size, a weight, a direction. */
    public function isSheet(): bool
    {
        return match ($this) {
            self::Paper, self::Scrap, self::Envelope, self::PartFinished => true,
            default => false,
        };
    }

    /** Whether a thing of this kind is a sheet as it was bought; what was cut from another sheet is a piece that is ready. */
    public function isBoughtSheet(bool $wasCut): bool
    {
        return self::Paper === $this && !$wasCut;
    }

    /** Whether panels are cut out of it. */
    public function isCut(): bool
    {
        return self::Paper === $this || self::Scrap === $this;
    }

    /**
     * Returns the hazards that a thing of this kind has unless its own record says otherwise (common practice, no source).
     *
     * @return list<Hazard>
     */
    public function usualHazards(): array
    {
        return match ($this) {
            self::StampSet => [Hazard::Inky],
            self::Machine => [Hazard::Heavy],
            self::Powder => [Hazard::Powder],
            default => [],
        };
    }

    /** Whether it stays what it is while it is worked with, so that it is never used up. */
    public function lasts(): bool
    {
        return match ($this) {
            self::StampSet, self::Die, self::Stencil, self::Tool, self::Machine => true,
            default => false,
        };
    }

    /** Returns what the words on such a thing are called. */
    public function wordsOnIt(): string
    {
        return self::StampSet === $this ? 'Sentiments' : 'Words on it';
    }
}
