<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Picture\StandIn;

/** An item as a list shows it, with its home. */
final readonly class ThingLine
{
    /** What a question asks for, of an item `i` and its home `h`. */
    public const COLUMNS = 'i.id AS item_id, i.name, i.maker, i.kind, i.tracking, i.colour, i.hazards, i.home_id, h.address AS home,
        i.themes, i.photo, i.width, i.height, i.depth';

    /**
     * @param list<Hazard> $hazards
     * @param list<string> $themes
     */
    private function __construct(
        public int $id,
        public string $name,
        public string $maker,
        public Kind $kind,
        public Tracking $tracking,
        public ?string $colour,
        public array $hazards,
        public ?int $homeId,
        public ?string $home,
        public array $themes,
        public ?string $photo,
        public ?Box $box,
    ) {
    }

    public static function of(Row $row): self
    {
        return new self(
            $row->int('item_id'),
            $row->text('name'),
            $row->text('maker'),
            $row->one('kind', Kind::class),
            $row->one('tracking', Tracking::class),
            $row->textOrNull('colour'),
            $row->several('hazards', Hazard::class),
            $row->intOrNull('home_id'),
            $row->textOrNull('home'),
            $row->texts('themes'),
            $row->textOrNull('photo'),
            $row->box('width', 'height', 'depth'),
        );
    }

    public function standIn(): StandIn
    {
        return StandIn::of(new Thing($this->id, $this->name, $this->maker, $this->kind, $this->themes, $this->colour), $this->box);
    }

    /** Whether it stays what it is while it is worked with: one stamp set or tool, not a stock of them. */
    public function lasts(): bool
    {
        return $this->kind->lasts() && $this->tracking->isSingle();
    }

    /** @return list<string> what it will want after work, for tags on it */
    public function tags(): array
    {
        return array_values(array_filter(array_map(static fn (Hazard $hazard): ?string => $hazard->tag(), $this->hazards), is_string(...)));
    }

    /** Whether something in it is carried as briefly as can be: last on the way out, first on the way back. */
    public function isCarriedShort(): bool
    {
        return [] !== array_filter($this->hazards, static fn (Hazard $hazard): bool => $hazard->isCarriedShort());
    }
}
