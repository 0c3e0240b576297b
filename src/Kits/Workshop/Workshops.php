<?php

declare(strict_types=1);

namespace App\Kits\Workshop;

use App\Kits\Kits\Kit;
use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;

/** The classes by their kits. */
final readonly class Workshops
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function of(Kit $kit): ?Workshop
    {
        return $this->entities->getRepository(Workshop::class)->findOneBy(['kit' => $kit]);
    }

    /** @throws Unknown if the kit is for no class */
    public function one(Kit $kit): Workshop
    {
        return $this->of($kit) ?? throw Unknown::workshop($kit->name);
    }
}
