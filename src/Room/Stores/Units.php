<?php

declare(strict_types=1);

namespace App\Room\Stores;

use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;

/** The pieces of furniture that stand in the room. */
final readonly class Units
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws Unknown if none in the room has these letters */
    public function one(string $letters): Unit
    {
        $unit = $this->entities->getRepository(Unit::class)->findOneBy(['letters' => strtoupper($letters)]);

        return null === $unit || $unit->isRetired() ? throw Unknown::unit($letters) : $unit;
    }
}
