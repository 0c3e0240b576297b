<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Measure\Length;
use Lottel\Core\Measure\LengthUnit;

/** What a moving box takes. */
final readonly class BoxLimits
{
    public function __construct(public Box $inside, public int $mostGrams)
    {
    }

    /** Returns a usual box, as heavy as one person carries up a stair again and again (common practice, no source). */
    public static function usual(LengthUnit $unit): self
    {
        $inches = static fn (int $sixteenths): Length => Length::ofInches($sixteenths, 16);

        return LengthUnit::Inch === $unit
            ? new self(new Box($inches(16 * 16), $inches(12 * 16), $inches(12 * 16)), 11_793)
            : new self(Box::ofMillimetres(400, 300, 300), 12_000);
    }

    /** Returns the litres of loose things that it takes. */
    public function litres(): float
    {
        return (new Capacity($this->inside, roomToGrow: 0.0))->litres();
    }

    public function hold(Contents $contents): bool
    {
        return $contents->litres <= $this->litres() + 1e-9 && $contents->grams <= $this->mostGrams + 1e-9;
    }

    /** Whether a thing goes into an empty box at all, whichever way it lies. */
    public function take(PackedThing $thing): bool
    {
        $sides = static fn (Box $box): array => [$box->width->ticks, $box->height->ticks, $box->depth->ticks];
        [$own, $inside] = [$sides($thing->size), $sides($this->inside)];
        sort($own);
        sort($inside);

        return $own[0] <= $inside[0] && $own[1] <= $inside[1] && $own[2] <= $inside[2] && $this->hold($thing->contents);
    }
}
