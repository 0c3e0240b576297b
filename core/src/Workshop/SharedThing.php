<?php

declare(strict_types=1);

namespace Lottel\Core\Workshop;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Paper\Stack;

/** A thing or cut piece of a class with how it is dealt out. */
final readonly class SharedThing
{
    /** Of card stock, in mg/m² (common practice, no source). */
    private const USUAL_GRAMMAGE = 265_000;

    /**
     * @param int $milligrams how heavy one of it is
     * @param bool $isUsual whether that is only what such things usually weigh
     * @param int $there how much of it there is for the class: on its tray, or to be had
     */
    public function __construct(public string $name, public Share $share, public int $milligrams, public bool $isUsual, public int $there)
    {
    }

    /**
     * Returns a thing of the list.
     *
     * @param int|null $grams what one of it weighs; null where nobody has weighed it
     * @param int $there how much of it there is for the class, as its tracking counts
     */
    public static function ofList(string $name, Share $share, Kind $kind, Tracking $tracking, ?int $grams, int $there): self
    {
        $one = 1000 * ($grams ?? TypicalSize::contents($kind, $tracking, 1)->grams);

        return new self(
            $name,
            $share,
            Tracking::Length === $tracking ? 0 : (int) round($one),
            null === $grams,
            $tracking->isLevel() ? min(1, $there) : $there,
        );
    }

    /**
     * Returns a piece that is cut for the class; there will be as many as are wanted.
     *
     * @param int $width in ticks
     * @param int $height in ticks
     * @param int|null $grammage of its paper in mg/m²; null where nobody has said it
     */
    public static function ofPiece(string $name, Share $share, int $width, int $height, ?int $grammage, Headcount $class): self
    {
        $metres = static fn (int $ticks): float => $ticks / (1000 * Length::TICKS_PER_MILLIMETRE);
        $grams = Stack::sheetGrams($metres($width), $metres($height), ($grammage ?? self::USUAL_GRAMMAGE) / 1000);

        return new self($name, $share, (int) round(1000 * $grams), null === $grammage, $share->wanted($class));
    }

    /** How much more of it is wanted than there is. */
    public function short(Headcount $class): int
    {
        return max(0, $this->share->wanted($class) - $this->there);
    }
}
