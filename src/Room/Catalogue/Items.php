<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Platform\Steps\Unknown;
use App\Room\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;

/** The items of the catalogue. */
final readonly class Items
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws Unknown if it is not in the catalogue */
    public function one(int $id): Item
    {
        $item = $this->entities->find(Item::class, $id);

        return null === $item || null !== $item->removedAt ? throw Unknown::item($id) : $item;
    }

    /**
     * @param list<string> $ids as a form gives them
     *
     * @return list<Item> each once
     *
     * @throws Unknown if one is not in the catalogue
     */
    public function several(array $ids, int $most): array
    {
        return array_map(fn (string $id): Item => $this->one((int) $id), array_values(array_unique(\array_slice($ids, 0, $most))));
    }

    public function named(string $name): ?Item
    {
        return $this->entities->getRepository(Item::class)->findOneBy(['name' => $name, 'removedAt' => null]);
    }

    /** @return list<Item> */
    public function withHome(Place $home): array
    {
        return $this->entities->getRepository(Item::class)->findBy(['home' => $home]);
    }
}
