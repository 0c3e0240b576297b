<?php

declare(strict_types=1);

namespace App\Kits\Design;

use App\Platform\Database\Row;
use App\Room\Catalogue\SheetColumns;
use Lottel\Core\Catalogue\Kind;

/** A paper of which something in a design is cut. */
final readonly class PaperOnBoard
{
    private function __construct(
        public int $id,
        public string $name,
        public string $colourName,
        public ?string $colour,
        public ?string $address,
        public bool $isGone,
    ) {
    }

    /** @param Row $row all columns of an item, and the address of its home */
    public static function of(Row $row): self
    {
        $isCut = $row->one('kind', Kind::class)->isCut() && null !== SheetColumns::read($row)->size;

        return new self(
            $row->int('id'),
            $row->text('name'),
            $row->text('colour_name'),
            $row->textOrNull('colour'),
            $row->textOrNull('address'),
            !$isCut || null !== $row->textOrNull('removed_at'),
        );
    }

    /** Returns what it is called beside a drawing: its colour's name, where it has one. */
    public function short(): string
    {
        return '' === $this->colourName ? $this->name : $this->colourName;
    }
}
