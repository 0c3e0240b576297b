<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Room\Catalogue\ItemRow;

/** What can stand on the label of an item. */
final readonly class LabelledItem
{
    public function __construct(
        public int $id,
        public string $name,
        public string $maker,
        public string $colourName,
        public ?string $colour,
        public ?string $home,
    ) {
    }

    public static function ofItem(ItemRow $item): self
    {
        return new self($item->id, $item->record->name, $item->record->maker, $item->record->colourName, $item->record->colour, $item->home);
    }
}
