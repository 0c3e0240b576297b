<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Room\Stores\PlaceRow;
use Lottel\Core\Filing\FilingScheme;

/** What can stand on the label of a place. */
final readonly class LabelledPlace
{
    public function __construct(public int $id, public string $address, public string $name, public ?string $parentAddress, private string $filedBy)
    {
    }

    public function scheme(): FilingScheme
    {
        return FilingScheme::parse($this->filedBy);
    }

    public static function ofPlace(PlaceRow $place): self
    {
        return new self($place->id, $place->address, $place->name, $place->parentAddress, (string) $place->scheme());
    }
}
