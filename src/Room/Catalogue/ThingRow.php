<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Database\Row;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Picture\StandIn;

/** An item in a place, with what filing and fitting need to know of it. */
final readonly class ThingRow
{
    /** @param list<Hazard> $hazards */
    private function __construct(
        public int $id,
        public Thing $thing,
        public Tracking $tracking,
        public int $quantity,
        public string $colourName,
        public ?Box $box,
        public ?int $grams,
        public array $hazards,
        public ?string $photo,
    ) {
    }

    /** @param Row $row all columns of an item, and perhaps the quantity of it */
    public static function of(Row $row, ?int $quantity = null): self
    {
        return new self(
            $row->int('id'),
            self::thing($row),
            $row->one('tracking', Tracking::class),
            $quantity ?? $row->int('quantity'),
            $row->text('colour_name'),
            $row->box('width', 'height', 'depth'),
            $row->intOrNull('grams'),
            $row->several('hazards', Hazard::class),
            $row->textOrNull('photo'),
        );
    }

    /** A thing that is not in the catalogue yet. */
    public static function ofNew(PastedThing $new): self
    {
        $thing = new Thing(0, $new->name, $new->maker, $new->kind, $new->themes, $new->colour);

        return new self(0, $thing, $new->tracking, $new->quantity, $new->colourName, null, null, $new->hazards, null);
    }

    public static function thing(Row $row): Thing
    {
        return new Thing(
            $row->int('id'),
            $row->text('name'),
            $row->text('maker'),
            $row->one('kind', Kind::class),
            $row->texts('themes'),
            $row->textOrNull('colour'),
            $row->flag('is_multicolour'),
            $row->text('collection'),
            Thing::areaOf($row->lengthOrNull('width'), $row->lengthOrNull('height')),
            $row->text('season'),
        );
    }

    public function standIn(): StandIn
    {
        return StandIn::of($this->thing, $this->box);
    }

    /** How much room it takes up, and what it weighs; guessed where nobody has measured it. */
    public function contents(): Contents
    {
        return TypicalSize::contents($this->thing->kind, $this->tracking, $this->quantity, $this->box, $this->grams);
    }
}
