<?php

declare(strict_types=1);

namespace App\Kits\Paper;

use App\Platform\Database\Row;
use App\Room\Catalogue\SheetColumns;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\Scrap;
use Lottel\Core\Kit\Availability;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Sheet;

/** A paper or scrap that can be cut: its measures, how many of it lie in drawers, and how many of those other kits want. */
final readonly class PaperRow
{
    private function __construct(
        public int $id,
        public string $name,
        public string $maker,
        public string $collection,
        public Kind $kind,
        public ?string $colour,
        public string $colourName,
        public Sheet $sheet,
        public int $quantity,
        public int $wished,
        public ?int $placeId,
        public ?string $address,
        private bool $isCut,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('name'),
            $row->text('maker'),
            $row->text('collection'),
            $row->one('kind', Kind::class),
            $row->textOrNull('colour'),
            $row->text('colour_name'),
            SheetColumns::read($row),
            $row->int('stored'),
            $row->int('wished'),
            $row->intOrNull('place_id'),
            $row->textOrNull('address'),
            null !== $row->intOrNull('parent_id'),
        );
    }

    /** How many are left when every kit has taken what its list wants. */
    public function free(): int
    {
        return (new Availability($this->quantity, 0, $this->wished))->free();
    }

    /** Whether it was cut ahead of time, and is no sheet as it was bought. */
    public function isReadyCut(): bool
    {
        return $this->isCut && !$this->isScrap();
    }

    public function isScrap(): bool
    {
        return Kind::Scrap === $this->kind;
    }

    /** Its name in the drawing of all paper: that of its colour, where it has one. */
    public function label(): string
    {
        return '' === $this->colourName ? $this->name : $this->colourName;
    }

    /** As it is looked through; null where nobody has said how large it is. */
    public function scrap(): ?Scrap
    {
        $size = $this->sheet->size;
        if (null === $size) {
            return null;
        }
        $colour = null === $this->colour ? null : Lab::of(Srgb::ofHex($this->colour));
        [$gsm, $direction] = [$this->sheet->weight?->gsm(), $this->sheet->direction ?? Direction::None];

        return null === $this->sheet->outline
            ? Scrap::rectangle((string) $this->id, $size->width->ticks, $size->height->ticks, $colour, $gsm, $direction)
            : Scrap::outlined((string) $this->id, $this->sheet->outline, $colour, $gsm, $direction);
    }
}
