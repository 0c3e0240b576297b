<?php

declare(strict_types=1);

namespace App\Kits\Swatches;

use App\Platform\Database\Row;
use Lottel\Core\Colour\NamedColour;
use Lottel\Core\Colour\Srgb;

/** A colour that the room has: the first thing of it, its home, and how many things are of it. */
final readonly class Swatch
{
    private function __construct(public NamedColour $named, public int $item, public string $address, public int $things)
    {
    }

    /** @param Row $row colour, label, id, things */
    public static function of(Row $row, string $address): self
    {
        return new self(
            new NamedColour($row->text('label'), Srgb::ofHex($row->text('colour'))),
            $row->int('id'),
            $address,
            $row->int('things'),
        );
    }

    public function name(): string
    {
        return $this->named->called();
    }

    public function hex(): string
    {
        return $this->named->colour->hex();
    }
}
