<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Platform\Database\Row;
use Lottel\Core\Label\LabelFormat;

/** A label that waits to be printed, of a place or of an item. */
final readonly class WishRow
{
    private function __construct(
        public int $id,
        public LabelFormat $format,
        public string $reason,
        public ?LabelledPlace $place,
        public ?LabelledItem $item,
    ) {
    }

    public static function of(Row $row): self
    {
        $place = $row->intOrNull('place_id');
        $item = $row->intOrNull('item_id');

        return new self(
            $row->int('wish'),
            $row->one('format', LabelFormat::class),
            $row->text('reason'),
            null === $place ? null : new LabelledPlace(
                $place,
                $row->text('address'),
                $row->text('place_name'),
                $row->textOrNull('parent_address'),
                $row->text('scheme'),
            ),
            null === $item ? null : new LabelledItem(
                $item,
                $row->text('item_name'),
                $row->text('maker'),
                $row->text('colour_name'),
                $row->textOrNull('colour'),
                $row->textOrNull('home'),
            ),
        );
    }

    /** What the label is of: an address, or a name. */
    public function subject(): string
    {
        return $this->place->address ?? $this->item->name ?? '';
    }

    /** What is said beside that. */
    public function detail(): string
    {
        return $this->place->name ?? $this->item->maker ?? '';
    }
}
