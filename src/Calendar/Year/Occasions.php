<?php

declare(strict_types=1);

namespace App\Calendar\Year;

use App\Kits\Kits\Kit;
use App\Platform\Steps\Unknown;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Year\OccasionKind;

/** The dates that want something made for them. */
final readonly class Occasions
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws Unknown if there is no such date */
    public function one(int $id): Occasion
    {
        $occasion = $this->entities->find(Occasion::class, $id);

        return null === $occasion || null !== $occasion->removedAt ? throw Unknown::occasion() : $occasion;
    }

    /** @return list<Occasion> */
    public function all(): array
    {
        return $this->entities->getRepository(Occasion::class)->findBy(['removedAt' => null], ['month' => 'ASC', 'day' => 'ASC', 'id' => 'ASC']);
    }

    /** Returns the yearly date of that kind that a person has already. */
    public function sameOf(Contact $contact, OccasionKind $kind): ?Occasion
    {
        return $this->entities->getRepository(Occasion::class)->findOneBy([
            'contact' => $contact,
            'kind' => $kind,
            'isYearly' => true,
            'removedAt' => null,
        ]);
    }

    public function ofKit(Kit $kit): ?KitForOccasion
    {
        return $this->entities->getRepository(KitForOccasion::class)->findOneBy(['kit' => $kit]);
    }
}
