<?php

declare(strict_types=1);

namespace App\Upkeep\Moving;

use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;

/** The house moves of the room. */
final readonly class HouseMoves
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** The one that is under way; null where none is. */
    public function current(): ?HouseMove
    {
        return $this->entities->getRepository(HouseMove::class)->findOneBy(['endedAt' => null], ['id' => 'DESC']);
    }

    /** @throws Unknown if none is under way */
    public function underWay(): HouseMove
    {
        return $this->current() ?? throw Unknown::houseMove();
    }
}
