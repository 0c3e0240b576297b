<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\StepRefused;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\Division;
use Lottel\Core\Furniture\InvalidUnit;
use Lottel\Core\Furniture\UnitSize;
use Lottel\Core\Furniture\UnitTemplate;

final readonly class BuildUnit
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Places $places,
        private PlaceIndex $index,
        private PlaceLabels $labels,
        private ArrangeRoom $arrange,
        private WallNames $walls,
    ) {
    }

    /**
     * Sets up a unit with its places from a template, where there is room for it on the floor plan.
     *
     * @return list<Place> from top to bottom
     *
     * @throws InvalidUnit if it cannot be built so
     */
    public function __invoke(
        Room $room,
        UnitTemplate $template,
        string $letters,
        string $name,
        string $wall,
        int $rows,
        int $columns = 1,
        UnitSize $size = new UnitSize(),
    ): array {
        $plan = $template->plan($letters, $rows, $columns, $size);
        $letters = $plan->places[0]->address->unit();
        $units = $this->entities->getRepository(Unit::class);
        if (null !== $units->findOneBy(['letters' => $letters])) {
            throw StoresRefused::addressIsTaken($letters);
        }
        $unit = new Unit(
            $room,
            $letters,
            $name,
            $template->value,
            $this->walls->spelt($wall),
            1 + $units->count(),
            $plan->width->ticks,
            $plan->height->ticks,
            $plan->depth->ticks,
            $plan->aboveFloor->ticks,
        );
        $this->entities->persist($unit);
        $this->arrange->setDown($unit);
        $places = [];
        foreach ($plan->places as $planned) {
            $place = Place::inUnit($unit, $planned->kind, (string) $planned->address, $planned->name, $planned->front);
            $place->putInside($planned->inside);
            $place->bear($template->mostGrams());
            $this->entities->persist($place);
            $places[] = $place;
        }
        array_walk($places, $this->index->place(...));
        $this->entities->flush();
        foreach ($places as $place) {
            $this->labels->wishForPlace($place, 'new');
        }

        return $places;
    }

    /** @throws StepRefused if there is such an address already */
    public function divide(Place $outer, string $label, string $kind, string $name, int $layer): Place
    {
        $inner = $this->inner($outer, $label, $kind, $name);
        $inner->lieInLayer($layer);

        return $inner;
    }

    /**
     * Divides a place into cells with labels of their own: the first free ones of a, b, c and so on.
     *
     * @return list<Place>
     *
     * @throws InvalidUnit if a grid has no rows or columns, or too many
     */
    public function divideInto(Place $outer, Division $division, int $rows, int $columns): array
    {
        $inside = $outer->inside();
        $places = [];
        $labels = $this->freeLabels($outer);
        foreach ($division->cells($rows, $columns) as $cell) {
            $place = $this->inner($outer, $labels->current(), Division::Layers === $division ? 'layer' : 'section', $cell->name);
            $labels->next();
            $place->putCell($cell);
            $place->putInside(null === $inside ? null : $cell->inside($inside, $division->layers()));
            $places[] = $place;
        }

        return $places;
    }

    private function inner(Place $outer, string $label, string $kind, string $name): Place
    {
        $address = (string) Address::parse($outer->address)->inner($label);
        if (null !== $this->places->at($address)) {
            throw StoresRefused::addressIsTaken($address);
        }
        $inner = Place::within($outer, $kind, $address, $name);
        $this->entities->persist($inner);
        $this->index->place($inner);
        $this->labels->wishForPlace($inner, 'new');

        return $inner;
    }

    /** @return \Generator<int, string> */
    private function freeLabels(Place $outer): \Generator
    {
        $taken = [];
        foreach ($this->places->innerOf($outer) as $place) {
            $taken[(string) strrchr($place->address, '.')] = true;
        }
        for ($label = 'a'; \strlen($label) < 4; ++$label) {
            if (!isset($taken['.'.$label])) {
                yield $label;
            }
        }
    }
}
