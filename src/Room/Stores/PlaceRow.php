<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Database\Row;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Furniture\Front;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Homes\Belonging;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Measure\Length;

/** A place with all that is written down about it, and about the unit it is in. */
final readonly class PlaceRow
{
    /** @param list<Kind> $alsoKinds */
    private function __construct(
        public int $id,
        public string $address,
        public string $name,
        public string $kind,
        public ?string $parentAddress,
        public int $layer,
        public ?Front $front,
        private string $filedBy,
        public ?Kind $saysKind,
        public string $saysMaker,
        public string $saysTheme,
        public string $saysColour,
        public array $alsoKinds,
        public ?Box $inside,
        public ?int $mostGrams,
        public int $roomToGrow,
        public string $season,
        public bool $isForSeason,
        public bool $isChildSafe,
        public ?int $fileAfterUses,
        public bool $isRetired,
        public ?int $unitId,
        public string $letters,
        public string $unitName,
        public string $caution,
        public Length $unitHeight,
        public Length $aboveFloor,
        public UnitTemplate $template,
        public ?string $photo,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('id'),
            $row->text('address'),
            $row->text('name'),
            $row->text('kind'),
            $row->textOrNull('parent_address'),
            $row->int('layer'),
            FrontRow::front($row),
            $row->text('scheme'),
            $row->oneOrNull('says_kind', Kind::class),
            $row->text('says_maker'),
            $row->text('says_theme'),
            $row->text('says_colour'),
            $row->several('also_kinds', Kind::class),
            $row->box('inner_width', 'inner_height', 'inner_depth'),
            $row->intOrNull('most_grams'),
            $row->int('room_to_grow'),
            $row->text('season'),
            $row->flag('is_for_season'),
            $row->flag('is_child_safe'),
            $row->intOrNull('file_after_uses'),
            null !== $row->textOrNull('retired_at'),
            $row->intOrNull('unit_id'),
            $row->textOrNull('letters') ?? '',
            $row->textOrNull('unit_name') ?? '',
            $row->textOrNull('caution') ?? '',
            $row->lengthOrNull('unit_height') ?? Length::ofTicks(0),
            $row->lengthOrNull('above_floor') ?? Length::ofTicks(0),
            UnitTemplate::tryFrom($row->textOrNull('template') ?? '') ?? UnitTemplate::Shelf,
            $row->textOrNull('photo'),
        );
    }

    public function scheme(): FilingScheme
    {
        return FilingScheme::parse($this->filedBy);
    }

    /** Whether it is a place of the furniture that is in use. */
    public function isStorageInUse(): bool
    {
        return null !== $this->unitId && !$this->isRetired;
    }

    public function title(): string
    {
        return '' === $this->name ? $this->kind : $this->name;
    }

    /** How much it takes, null where its inside is not known. */
    public function capacity(int $aboveFloorMm = Capacity::USUAL_HEIGHT_MM): ?Capacity
    {
        return null === $this->inside ? null : new Capacity($this->inside, false, $this->mostGrams, $this->roomToGrow / 100, $aboveFloorMm, $this->isDrawer());
    }

    /** Whether it is pulled out on runners. */
    public function isDrawer(): bool
    {
        return 'drawer' === $this->kind;
    }

    public function belonging(): Belonging
    {
        return new Belonging($this->saysKind, $this->saysMaker, $this->saysTheme, $this->saysColour, $this->alsoKinds);
    }
}
