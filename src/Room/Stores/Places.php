<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\Unknown;
use App\Platform\Web\Input;
use App\Platform\Web\InvalidInput;
use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\EntityRepository;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Log\Outside;

/** The places by what names them. */
final readonly class Places
{
    private const MOST_CHARACTERS = 24;
    private const NOT_FILED = 'not filed';

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * Returns a place of the furniture; trays, outside places and retired ones are no such place.
     *
     * @throws Unknown if it is none that is in use
     */
    public function inUse(string $address): Place
    {
        $place = $this->at(Address::asTyped($address));

        return true === $place?->isStorageInUse() ? $place : throw Unknown::place($address);
    }

    /** @throws Unknown if it is no place of the furniture that is in use */
    public function number(int $id): Place
    {
        $place = $this->entities->find(Place::class, $id);

        return true === $place?->isStorageInUse() ? $place : throw Unknown::place((string) $id);
    }

    /**
     * Returns a place from which things are pulled: of the furniture, or the heap of what is not filed.
     *
     * @throws Unknown if it is none
     */
    public function store(string $address): Place
    {
        $place = $this->at(Address::asTyped($address));

        return true === $place?->isStoreInUse() ? $place : throw Unknown::place($address);
    }

    /** @throws Unknown if it is no place from which things are pulled */
    public function storeNumber(int $id): Place
    {
        $place = $this->entities->find(Place::class, $id);

        return true === $place?->isStoreInUse() ? $place : throw Unknown::place((string) $id);
    }

    /**
     * Returns what has a label: a place of the furniture that is in use, or a folder.
     *
     * @throws Unknown if it is none
     */
    public function labelled(int $id): Place
    {
        $place = $this->entities->find(Place::class, $id);

        return true === $place?->isFolder() ? $place : $this->number($id);
    }

    /** Reads the address of a storage place from a field; complains beside it where there is none, null where nothing was typed. */
    public function chosen(Input $input, string $field): ?Place
    {
        $typed = $input->text($field, self::MOST_CHARACTERS);
        if ('' === $typed) {
            return null;
        }
        $place = $this->at(Address::asTyped($typed));
        if (true === $place?->isStorageInUse()) {
            return $place;
        }
        $input->refuse($field, Unknown::place($typed)->getMessage());

        return null;
    }

    /**
     * Reads the address of a storage place that has to be given.
     *
     * @throws InvalidInput if there is none, or anything else of the form was refused
     */
    public function required(Input $input, string $field): Place
    {
        $place = $this->chosen($input, $field);
        if (null === $place) {
            $input->refuse($field, 'Type the address of a place, such as C3.');
        }
        $input->check();
        \assert(null !== $place);

        return $place;
    }

    public function outside(Outside $outside): Place
    {
        return $this->at($outside->value) ?? throw Unknown::place($outside->value);
    }

    /** The heap of what is not filed. */
    public function heap(): Place
    {
        return $this->at(self::NOT_FILED) ?? throw Unknown::place(self::NOT_FILED);
    }

    /** Whatever has this address, of whatever nature, in use or not. */
    public function at(string $address): ?Place
    {
        return $this->repository()->findOneBy(['address' => $address]);
    }

    /** @return list<Place> those of a unit that are in use */
    public function ofUnit(Unit $unit): array
    {
        return $this->repository()->findBy(['unit' => $unit, 'retiredAt' => null], ['id' => 'ASC']);
    }

    /** @return list<Place> those of a unit that are seen from the front */
    public function frontsOf(Unit $unit): array
    {
        return array_values(array_filter($this->ofUnit($unit), static fn (Place $place): bool => null !== $place->front()));
    }

    /** @return list<Place> */
    public function innerOf(Place $place): array
    {
        return $this->repository()->findBy(['parent' => $place], ['id' => 'ASC']);
    }

    /** @return list<Place> to any depth, the outer ones first */
    public function allInner(Place $place): array
    {
        $all = [];
        foreach ($this->innerOf($place) as $inner) {
            $all = [...$all, $inner, ...$this->allInner($inner)];
        }

        return $all;
    }

    /** @return EntityRepository<Place> */
    private function repository(): EntityRepository
    {
        return $this->entities->getRepository(Place::class);
    }
}
