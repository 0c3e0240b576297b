<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;

/** An item with all that is written down about it. */
final readonly class ItemRow
{
    private function __construct(
        public int $id,
        public ItemRecord $record,
        public Tracking $tracking,
        public ?string $photo,
        public ?int $homeId,
        public ?string $home,
        public string $homeName,
        public ?FilingScheme $homeScheme,
        public ?string $seasonHome,
        public ?\DateTimeImmutable $removedAt,
    ) {
    }

    public static function of(Row $row): self
    {
        $scheme = $row->textOrNull('home_scheme');

        return new self(
            $row->int('id'),
            self::record($row),
            $row->one('tracking', Tracking::class),
            $row->textOrNull('photo'),
            $row->intOrNull('home_id'),
            $row->textOrNull('home'),
            $row->textOrNull('home_name') ?? '',
            null === $scheme ? null : FilingScheme::parse($scheme),
            $row->textOrNull('season_home'),
            $row->timeOrNull('removed_at'),
        );
    }

    private static function record(Row $row): ItemRecord
    {
        return new ItemRecord(
            $row->text('name'),
            $row->one('kind', Kind::class),
            $row->text('maker'),
            $row->texts('themes'),
            $row->textOrNull('colour'),
            $row->text('colour_name'),
            $row->flag('is_multicolour'),
            $row->text('sentiments'),
            $row->text('note'),
            $row->texts('hazards'),
            $row->text('collection'),
            $row->text('season'),
            $row->intOrNull('width'),
            $row->intOrNull('height'),
            $row->intOrNull('depth'),
            $row->intOrNull('grams'),
            $row->named('details'),
            SheetColumns::read($row),
            OwnedRow::cuts($row),
        );
    }

    /** Its three sides, null where one of them is not known. */
    public function box(): ?Box
    {
        [$width, $height, $depth] = [$this->record->width, $this->record->height, $this->record->depth];

        return null === $width || null === $height || null === $depth
            ? null
            : new Box(Length::ofTicks($width), Length::ofTicks($height), Length::ofTicks($depth));
    }

    /** As it is drawn: a sheet as it lies flat, anything else as it is put away; null where neither is known. */
    public function drawnBox(): ?Box
    {
        $size = $this->record->sheet->size;

        return null === $size ? $this->box() : new Box($size->width, $size->height, Length::ofTicks(Length::TICKS_PER_MILLIMETRE));
    }

    /** @return list<Length> the sides that are known: width, height, depth; of a sheet width and height as it lies flat */
    public function sides(): array
    {
        $size = $this->record->sheet->size;
        if (null !== $size) {
            return [$size->width, $size->height];
        }
        $known = array_filter([$this->record->width, $this->record->height, $this->record->depth], static fn (?int $side): bool => null !== $side);

        return array_map(Length::ofTicks(...), array_values($known));
    }

    /** Whether there is more to tell about it than its kind, maker, colour and themes. */
    public function hasFacts(): bool
    {
        $record = $this->record;

        return $record->sheet->hasFacts()
            || [] !== $record->details
            || null !== $record->cutSizes
            || '' !== $record->collection
            || '' !== $record->season
            || null !== $record->grams
            || null !== $record->width;
    }
}
