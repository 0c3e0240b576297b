<?php

declare(strict_types=1);

namespace Lottel\Core\Label;

use Lottel\Core\Catalogue\Kind;

/** What a label is for, with its usual size (common practice, no source). */
enum LabelFormat: string
{
    case Front = 'front';
    case BoxEnd = 'box end';
    case Tab = 'tab';
    case Divider = 'divider';
    case DieBack = 'die back';
    case Lid = 'lid';
    case Swatch = 'swatch';
    case Layer = 'layer';
    case Contents = 'contents';

    /** Returns what people call it. */
    public function label(): string
    {
        return match ($this) {
            self::Front => 'Drawer front',
            self::BoxEnd => 'Box end',
            self::Tab => 'Folder tab, folded over the edge',
            self::Divider => 'Divider, taller than its paper',
            self::DieBack => 'Back of a die sheet',
            self::Lid => 'Jar lid',
            self::Swatch => 'Swatch with its colour',
            self::Layer => 'Lower layer',
            self::Contents => 'Contents of a box',
        };
    }

    /** Returns the usual width and height in tenths of a millimetre. */
    public function size(): LabelSize
    {
        return match ($this) {
            self::Front => new LabelSize(700, 250),
            self::BoxEnd => new LabelSize(1000, 500),
            self::Tab => new LabelSize(762, 160),
            self::Divider => new LabelSize(1000, 191),
            self::DieBack => new LabelSize(700, 200),
            self::Lid => new LabelSize(380, 380),
            self::Swatch => new LabelSize(450, 300),
            self::Layer => new LabelSize(700, 150),
            self::Contents => new LabelSize(1050, 1480),
        };
    }

    public function isRound(): bool
    {
        return self::Lid === $this;
    }

    /** Returns the format that a kind of thing usually has. */
    public static function forThing(Kind $kind): self
    {
        return match ($kind) {
            Kind::Ink, Kind::Paper, Kind::Scrap, Kind::Pen => self::Swatch,
            Kind::Powder, Kind::Embellishment => self::Lid,
            default => self::DieBack,
        };
    }

    /**
     * Whether things of a kind carry a label themselves, beside that of their place: the sheets of dies, inks, and scraps, which then
     * show their size (common practice, no source).
     */
    public static function isOnThing(Kind $kind): bool
    {
        return Kind::Die === $kind || Kind::Ink === $kind || Kind::Scrap === $kind;
    }

    /** Returns the format that a kind of place usually has. */
    public static function forPlace(string $kind): self
    {
        return match ($kind) {
            'box', 'cubby', 'tier', 'basket' => self::BoxEnd,
            'folder', 'page' => self::Tab,
            'jar' => self::Lid,
            'layer' => self::Layer,
            default => self::Front,
        };
    }
}
