<?php

declare(strict_types=1);

namespace Lottel\Core\Furniture;

use Lottel\Core\Measure\Length;

/** The usual furniture, with its usual sizes in millimetres (common practice, no source). */
enum UnitTemplate: string
{
    case Chest = 'chest';
    case Cubes = 'cubes';
    case Cart = 'cart';
    case Cabinet = 'cabinet';
    case Shelf = 'shelf';
    case Binders = 'binders';
    case Rail = 'rail';
    case Pegboard = 'pegboard';
    case Carousel = 'carousel';
    case Top = 'top';

    public const MOST_ROWS = 40;
    public const MOST_COLUMNS = 20;

    /** Returns what people call it. */
    public function label(): string
    {
        return match ($this) {
            self::Chest => 'Drawer chest',
            self::Cubes => 'Cube shelf',
            self::Cart => 'Cart with tiers',
            self::Cabinet => 'Cabinet with doors',
            self::Shelf => 'Shelf rack',
            self::Binders => 'Binder shelf',
            self::Rail => 'Wall rail with hooks',
            self::Pegboard => 'Pegboard',
            self::Carousel => 'Carousel',
            self::Top => 'Top of a wardrobe',
        };
    }

    /** Returns the kind of place it holds. */
    public function placeKind(): string
    {
        return match ($this) {
            self::Chest => 'drawer',
            self::Cubes => 'cubby',
            self::Cart => 'tier',
            self::Cabinet, self::Shelf => 'shelf',
            self::Binders => 'binder',
            self::Rail, self::Pegboard => 'hook',
            self::Carousel => 'pocket',
            self::Top => 'spot',
        };
    }

    public function hasColumns(): bool
    {
        return !\in_array($this, [self::Chest, self::Cart, self::Cabinet, self::Shelf], true);
    }

    /** How one gets into its places. */
    public function access(): Access
    {
        return match ($this) {
            self::Chest => Access::Drawer,
            self::Cabinet => Access::Door,
            default => Access::Open,
        };
    }

    /** Whether its places carry little, as plastic drawers and hooks do: grams, or null where weight is no matter. */
    public function mostGrams(): ?int
    {
        return match ($this) {
            self::Chest => 6000,
            self::Cart => 8000,
            self::Rail, self::Pegboard => 1500,
            self::Carousel => 2000,
            default => null,
        };
    }

    /** Returns the unit as it usually comes, or in a size and with rows of one's own. */
    public function plan(string $letters, int $rows, int $columns = 1, ?UnitSize $size = null): UnitPlan
    {
        return UnitPlan::of($this, $letters, $rows, $columns, $size ?? new UnitSize());
    }

    /** @return array{int, int, int, int} the usual outer width, height and depth and the height above the floor, in millimetres */
    public function usualSize(int $rows, int $columns): array
    {
        return match ($this) {
            self::Chest => [400, 120 * $rows + 36, 450, 0],
            self::Cubes => [330 * $columns + 36, 330 * $rows + 36, 390, 0],
            self::Cart => [420, 260 * $rows + 36, 350, 0],
            self::Cabinet => [800, 300 * $rows + 36, 400, 0],
            self::Shelf => [800, 280 * $rows + 36, 300, 0],
            self::Binders => [75 * $columns + 36, 340 * $rows + 36, 300, 0],
            self::Rail => [90 * $columns + 36, 180 * $rows + 36, 80, 1200],
            self::Pegboard => [75 * $columns + 36, 150 * $rows + 36, 60, 1000],
            self::Carousel => [110 * $columns + 36, 140 * $rows + 36, 320, 750],
            self::Top => [300 * $columns + 36, 300 * $rows + 36, 550, 1950],
        };
    }

    /**
     * Returns what is lost between a place's front and its inside: over the width, the height and the depth, in millimetres,
     * for runners, bottoms, lips and backs.
     *
     * @return array{int, int, int}
     */
    public function walls(): array
    {
        return match ($this) {
            self::Chest => [34, 26, 45],
            self::Cubes => [4, 4, 20],
            self::Cart => [20, 8, 20],
            self::Cabinet => [24, 24, 40],
            self::Shelf => [6, 24, 10],
            self::Binders => [5, 20, 20],
            self::Carousel => [8, 10, 200],
            default => [4, 4, 10],
        };
    }

    /** Returns the margin around the places, as a length. */
    public static function margin(): Length
    {
        return Length::ofTenthMillimetres(180);
    }
}
