<?php

declare(strict_types=1);

namespace Lottel\Core\Paper;

use Lottel\Core\Measure\Length;

/** What a paper feels like; its bulk in cm³/g is typical of the kind, from memory, and differs from maker to maker. */
enum Surface: string
{
    case Coated = 'coated';
    case Smooth = 'smooth';
    case Textured = 'textured';
    case Watercolour = 'watercolour';
    case Vellum = 'vellum';

    /** Returns the typical bulk in cm³/g. */
    public function typicalBulk(): float
    {
        return match ($this) {
            self::Coated => 0.85,
            self::Smooth => 1.15,
            self::Textured => 1.35,
            self::Watercolour => 1.6,
            self::Vellum => 0.9,
        };
    }

    /** Returns the typical thickness of a sheet of a grammage in g/m²: bulk × grammage, which is in µm. */
    public function thickness(float $grammage): Length
    {
        return Length::ofTicks((int) round($this->typicalBulk() * $grammage / 3.125));
    }

    /** Returns the typical height of a stack, loosely laid. */
    public function stackHeight(int $sheets, float $grammage): Length
    {
        return Length::ofTicks((int) round($sheets * $this->typicalBulk() * $grammage / 3.125));
    }
}
