<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Step;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Care\Hazard;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;

/** Takes new things into a place; they inherit what the place says about what belongs there. */
final readonly class TakeIn
{
    public function __construct(
        private EntityManagerInterface $entities,
        private LogBook $log,
        private Places $places,
        private ItemIndex $index,
        private ItemLabels $labels,
    ) {
    }

    /**
     * @param list<PastedThing> $things
     *
     * @return list<Item>
     */
    public function __invoke(Step $step, Place $place, array $things): array
    {
        return array_map(fn (PastedThing $thing): Item => $this->one($step, $place, $thing), $things);
    }

    public function one(Step $step, Place $place, PastedThing $thing, string $note = '', Outside $from = Outside::Bought): Item
    {
        $item = $this->write($place, $thing);
        $this->index->item($item);
        $this->labels->wishForThing($item, 'new');
        $this->stock($step, $item, $place, $thing->quantity, $from, $note);

        return $item;
    }

    /** Writes a thing into the catalogue of which there need not be any; whoever calls sees to the index. */
    public function write(Place $place, PastedThing $thing): Item
    {
        $item = new Item($thing->name, $thing->kind, $thing->tracking, PlaceNature::Storage === $place->nature ? $place : null);
        $item->describe($item->record()->with(
            maker: $thing->maker,
            themes: $thing->themes,
            colour: $thing->colour,
            colourName: $thing->colourName,
            hazards: array_map(static fn (Hazard $hazard): string => $hazard->value, $thing->hazards),
            season: $thing->season,
            sheet: $thing->sheet,
            cutSizes: $thing->cutSizes,
        ));
        $this->entities->persist($item);

        return $item;
    }

    /**
     * Takes new things in, each to its home or to what is not filed; more of what the catalogue knows goes where that is at home.
     *
     * @param list<NewThing> $things
     */
    public function all(Step $step, array $things): void
    {
        foreach ($things as $new) {
            if (null === $new->moreOf) {
                $this->one($step, $new->home ?? $this->places->heap(), $new->thing);
            } else {
                $this->stock($step, $new->moreOf, $new->home ?? $new->moreOf->home ?? $this->places->heap(), $new->thing->quantity, Outside::Bought);
            }
        }
    }

    /** More of what the catalogue knows already. */
    public function stock(Step $step, Item $item, Place $place, int $quantity, Outside $from, string $note = ''): void
    {
        $this->log->move($step, $item->moves($quantity, $this->places->outside($from), $place, Reason::TakeIn), null, $note);
    }
}
