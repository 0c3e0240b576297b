<?php

declare(strict_types=1);

namespace App\Kits\Kits;

use App\Platform\Steps\Unknown;
use App\Room\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;

/** The kits and the lines of their lists. */
final readonly class Kits
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws Unknown if there is no such kit */
    public function one(int $id): Kit
    {
        $kit = $this->entities->find(Kit::class, $id);

        return null === $kit || null !== $kit->removedAt ? throw Unknown::kit($id) : $kit;
    }

    /** @throws Unknown if no kit is on it, or waits in it */
    public function on(Place $tray): Kit
    {
        return $this->entities->getRepository(Kit::class)->findOneBy(['tray' => $tray]) ?? throw Unknown::folder();
    }

    /** @throws Unknown if it is not on the list of this kit */
    public function need(int $kit, int $need): Need
    {
        $line = $this->entities->find(Need::class, $need);

        return null !== $line && $line->kit->id === $kit ? $line : throw Unknown::line($need);
    }
}
