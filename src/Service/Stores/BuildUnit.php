<?php

declare(strict_types=1);

namespace App\Service\Stores;

use App\Entity\Place;
use App\Entity\Room;
use App\Entity\Unit;
use App\Service\FindIndex;
use App\Service\StepRefused;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Storage\Address;
use Lottel\Core\Storage\InvalidUnit;
use Lottel\Core\Storage\UnitTemplate;

final readonly class BuildUnit
{
    public function __construct(private EntityManagerInterface $entities, private FindIndex $index)
    {
    }

    /**
     * Sets up a unit with its places from a template.
     *
     * @return list<Place> from top to bottom
     *
     * @throws InvalidUnit if rows or columns are out of range
     */
    public function __invoke(Room $room, UnitTemplate $template, string $letters, string $name, string $wall, int $rows, int $columns = 1): array
    {
        $size = $template->size($rows, $columns);
        $planned = $template->places($letters, $rows, $columns);
        $letters = $planned[0]->address->unit();
        $units = $this->entities->getRepository(Unit::class);
        if (null !== $units->findOneBy(['letters' => $letters])) {
            throw StepRefused::addressIsTaken($letters);
        }
        $unit = new Unit($room, $letters, $name, $template->value, $wall, 1 + $units->count(), $size['width']->ticks, $size['height']->ticks, $size['depth']->ticks, $size['above_floor']->ticks);
        $this->entities->persist($unit);
        $places = [];
        foreach ($planned as $plan) {
            $place = Place::inUnit($unit, $plan->kind, (string) $plan->address, $plan->name, $plan->front);
            $this->entities->persist($place);
            $places[] = $place;
        }
        array_walk($places, $this->index->place(...));

        return $places;
    }

    /** @throws StepRefused if there is such an address already */
    public function divide(Place $outer, string $label, string $kind, string $name, int $layer): Place
    {
        $address = (string) Address::parse($outer->address)->inner($label);
        if (null !== $this->entities->getRepository(Place::class)->findOneBy(['address' => $address])) {
            throw StepRefused::addressIsTaken($address);
        }
        $inner = Place::inside($outer, $kind, $address, $name);
        $inner->layer = $layer;
        $inner->scheme = $outer->scheme;
        $inner->saysKind = $outer->saysKind;
        $inner->saysMaker = $outer->saysMaker;
        $inner->saysTheme = $outer->saysTheme;
        $this->entities->persist($inner);
        $this->index->place($inner);

        return $inner;
    }
}
