<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use Lottel\Core\Measure\Length;

/** What a field of a room's file holds. */
enum FieldKind: string
{
    case Id = 'id';
    case Reference = '->';
    case Text = 'text';
    case Word = 'one';
    case Ticks = 'ticks';
    case Grams = 'grams';
    case Milligrams = 'milligrams';
    case Cents = 'cents';
    case Whole = 'whole';
    case Number = 'number';
    case Yes = 'yes';
    case Moment = 'moment';
    case Day = 'day';
    case Json = 'json';
    case Colour = 'colour';
    case Photo = 'photo';
    case Zone = 'zone';

    public function isWhole(): bool
    {
        return match ($this) {
            self::Id, self::Reference, self::Ticks, self::Grams, self::Milligrams, self::Cents, self::Whole => true,
            default => false,
        };
    }

    /** No number of this kind is larger; null where there is no such limit. */
    public function most(): ?int
    {
        return match ($this) {
            self::Ticks => Length::MOST_TICKS,
            self::Grams => 1_000_000,
            self::Milligrams, self::Cents, self::Whole => 1_000_000_000,
            self::Id, self::Reference => 10 ** 12,
            default => null,
        };
    }

    /** The shape of texts that have one, as a regular expression of PCRE and of JSON Schema alike. */
    public function pattern(): ?string
    {
        return match ($this) {
            self::Moment => '^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}Z$',
            self::Day => '^\d{4}-\d{2}-\d{2}$',
            self::Colour => '^#[0-9a-f]{6}$',
            self::Photo => '^[0-9a-f]{32}$',
            default => null,
        };
    }

    /** What is said where a value is not of this kind. */
    public function wanted(): string
    {
        return match ($this) {
            self::Moment => 'This must be a moment in UTC, such as 2026-11-05T09:30:00Z.',
            self::Day => 'This must be a day, such as 2026-11-05.',
            self::Colour => 'This must be a colour, such as #1f7a6d.',
            self::Photo => 'This must be the name of a photo: 32 digits from 0 to f.',
            self::Zone => 'This must be a time zone, such as Europe/Lisbon.',
            default => 'This must be text.',
        };
    }
}
