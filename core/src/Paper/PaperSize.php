<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;

/** Sheets, pads and pocket cards by their names in the trade (common practice, no source; A sizes ISO 216). */
enum PaperSize: string
{
    case Letter = 'letter';
    case A3 = 'A3';
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
    case LayoutMetric = '305 × 305 mm';
    case Pad15 = '15 × 15 cm';
    case Pad15By20 = '15 × 20 cm';
    case Pad20 = '20 × 20 cm';
    case WatercolourMetric = '24 × 32 cm';
    case Photo10By15 = '10 × 15 cm';

    /**
     * Returns those that are sold where a room measures so; what a pocket page takes is the same everywhere.
     *
     * @return non-empty-list<self> the usual one first
     */
    public static function usualIn(LengthUnit $unit): array
    {
        if (LengthUnit::Millimetre === $unit) {
            return [
                self::A4, self::A3, self::A5, self::A6, self::LayoutMetric,
                self::Pad15, self::Pad15By20, self::Pad20, self::WatercolourMetric, self::Photo10By15,
            ];
        }

        return [
            self::Letter, self::A4, self::A5, self::A6, self::Layout,
            self::Pad6, self::Pad6By8, self::Pad8, self::Watercolour, self::Pocket3By4, self::Pocket4By6,
        ];
    }

    public function size(): Size
    {
        return match ($this) {
            self::Letter => Size::ofSixteenths(136, 176),
            self::A3 => IsoSize::a(3),
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
            self::LayoutMetric => Size::ofMillimetres(305, 305),
            self::Pad15 => Size::ofMillimetres(150, 150),
            self::Pad15By20 => Size::ofMillimetres(150, 200),
            self::Pad20 => Size::ofMillimetres(200, 200),
            self::WatercolourMetric => Size::ofMillimetres(240, 320),
            self::Photo10By15 => Size::ofMillimetres(100, 150),
        };
    }
}
