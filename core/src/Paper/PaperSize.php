<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Size;

/** Sheets, pads and pocket cards by their names in the trade (common practice, no source; A sizes ISO 216). */
enum PaperSize: string
{
    case Letter = 'letter';
    case A4 = 'A4';
    case A5 = 'A5';
    case A6 = 'A6';
    case Layout = '12 × 12';
    case Pad6 = '6 × 6';
    case Pad6By8 = '6 × 8';
    case Pad8 = '8 × 8';
    case Watercolour = '9 × 12';
    case Pocket3By4 = '3 × 4';
    case Pocket4By6 = '4 × 6';

    public function size(): Size
    {
        return match ($this) {
            self::Letter => Size::ofSixteenths(136, 176),
            self::A4 => IsoSize::a(4),
            self::A5 => IsoSize::a(5),
            self::A6 => IsoSize::a(6),
            self::Layout => Size::ofSixteenths(192, 192),
            self::Pad6 => Size::ofSixteenths(96, 96),
            self::Pad6By8 => Size::ofSixteenths(96, 128),
            self::Pad8 => Size::ofSixteenths(128, 128),
            self::Watercolour => Size::ofSixteenths(144, 192),
            self::Pocket3By4 => Size::ofSixteenths(48, 64),
            self::Pocket4By6 => Size::ofSixteenths(64, 96),
        };
    }
}
