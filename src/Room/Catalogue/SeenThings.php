<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Room\Stores\InnerRow;
use Lottel\Core\Colour\Palette;
use Lottel\Core\Picture\Raster;
use Lottel\Core\Picture\Spot;

/** What was touched and named in the photo of an open place: by line the spot, what it tells of the colour, and in which part it lies. */
final readonly class SeenThings
{
    /**
     * @param list<Spot|null> $spots by line; null where it was left out or cannot be read
     * @param list<InnerRow> $parts of the place
     */
    public function __construct(public PlacePhoto $photo, public array $spots, private Raster $picture, private array $parts)
    {
    }

    public function spot(int $line): ?Spot
    {
        return $this->spots[$line] ?? null;
    }

    /** Returns the colour that covers most of a thing, as hex. */
    public function colour(int $line): ?string
    {
        $spot = $this->spot($line);
        $colours = null === $spot ? [] : Palette::of($this->picture->middleOf($spot), 3)->colours;

        return [] === $colours ? null : $colours[0]['colour']->hex();
    }

    /** Returns the address of the part that a thing lies in, where it is known where the parts lie; else of the place itself. */
    public function home(int $line): string
    {
        $spot = $this->spot($line);
        foreach ($this->parts as $part) {
            if (null !== $part->cell && true === $spot?->liesIn($part->cell)) {
                return $part->address;
            }
        }

        return $this->photo->address;
    }

    /** Whether an address is the photographed place, or in it. */
    public function isHere(?string $address): bool
    {
        return $address === $this->photo->address || str_starts_with((string) $address, $this->photo->address.'.');
    }
}
