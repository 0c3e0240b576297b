<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;

/** How large and heavy things of a kind usually are, for those that nobody has measured (common practice, no source). */
final class TypicalSize
{
    private const SMALL_PIECE = 0.02;

    /** Returns one thing of a kind as it is put away. */
    public static function box(Kind $kind): Box
    {
        return Box::ofMillimetres(...match ($kind) {
            Kind::StampSet => [150, 200, 4],
            Kind::Die => [130, 180, 2],
            Kind::Stencil => [160, 180, 1],
            Kind::Paper, Kind::Envelope => [216, 279, 1],
            Kind::Scrap => [120, 150, 1],
            Kind::Embellishment => [40, 40, 10],
            Kind::Ribbon => [60, 60, 25],
            Kind::Ink => [75, 25, 100],
            Kind::Pen => [12, 12, 145],
            Kind::Powder => [45, 45, 45],
            Kind::Adhesive => [50, 150, 50],
            Kind::Tool => [60, 40, 200],
            Kind::Machine => [330, 180, 250],
            Kind::PartFinished, Kind::FinishedPiece => [110, 140, 3],
            Kind::Other => [80, 80, 40],
        });
    }

    /** Returns the weight of one thing of a kind, in grams. */
    public static function grams(Kind $kind): float
    {
        return match ($kind) {
            Kind::StampSet => 90.0,
            Kind::Die => 60.0,
            Kind::Stencil => 25.0,
            Kind::Paper => 16.0,
            Kind::Scrap => 4.0,
            Kind::Envelope, Kind::PartFinished, Kind::FinishedPiece => 12.0,
            Kind::Embellishment => 3.0,
            Kind::Ribbon => 30.0,
            Kind::Ink => 90.0,
            Kind::Pen => 12.0,
            Kind::Powder => 40.0,
            Kind::Adhesive => 110.0,
            Kind::Tool => 150.0,
            Kind::Machine => 4500.0,
            Kind::Other => 100.0,
        };
    }

    /** What is counted by the piece though its kind is not usually so is small: pins, clips, squares of foam. */
    private static function isSmallByThePiece(Kind $kind): bool
    {
        return match ($kind) {
            Kind::Other, Kind::Adhesive, Kind::Tool, Kind::Powder, Kind::Ribbon, Kind::Ink => true,
            default => false,
        };
    }

    /**
     * Returns what a quantity of a thing takes up. Pieces are counted one by one; a length or a level is one container.
     *
     * @param Box|null $measured the thing itself where somebody has measured it
     * @param int|null $grams likewise
     */
    public static function contents(Kind $kind, Tracking $tracking, int $quantity, ?Box $measured = null, ?int $grams = null): Contents
    {
        $pieces = Tracking::Count === $tracking ? max(0, $quantity) : (0 === $quantity ? 0 : 1);
        $box = $measured ?? self::box($kind);
        $thickness = min($box->width->ticks, $box->height->ticks, $box->depth->ticks) / Length::TICKS_PER_MILLIMETRE;
        $sheet = null === $measured && (Kind::Paper === $kind || Kind::Envelope === $kind || Kind::Scrap === $kind) ? 0.35 : 1.0;

        $small = Tracking::Count === $tracking && self::isSmallByThePiece($kind) ? self::SMALL_PIECE : 1.0;
        $size = null === $measured ? $small : 1.0;

        return new Contents(
            $pieces * $box->litres() * $sheet * $size,
            $pieces * $thickness * $sheet * $size,
            $pieces * (null === $grams ? self::grams($kind) * $small : (float) $grams),
            null === $measured || null === $grams ? 1 : 0,
        );
    }
}
