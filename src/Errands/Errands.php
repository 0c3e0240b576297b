<?php

declare(strict_types=1);

namespace App\Errands;

use App\Catalogue\Item;
use App\Steps\Unknown;
use App\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;

/** The rounds of upkeep. */
final readonly class Errands
{
    private const BASKETS = 12;

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws Unknown if there is no such round */
    public function one(int $id): Errand
    {
        return $this->entities->find(Errand::class, $id) ?? throw Unknown::errand();
    }

    /** @return list<Errand> those that are not over, the oldest first; moving boxes are none of them */
    public function open(): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(Errand::class)->findBy(['endedAt' => null], ['id' => 'ASC']),
            static fn (Errand $errand): bool => Purpose::Box !== $errand->purpose,
        ));
    }

    /** @return list<Errand> the last ones that are over */
    public function over(int $most): array
    {
        $query = $this->entities->createQuery(
            'SELECT e FROM '.Errand::class.' e WHERE e.endedAt IS NOT NULL AND e.purpose <> :box ORDER BY e.endedAt DESC, e.id DESC',
        )->setParameter('box', Purpose::Box);
        /** @var list<Errand> $over */
        $over = $query->setMaxResults($most)->getResult();

        return $over;
    }

    /**
     * @param list<PlannedTask> $tasks
     *
     * @throws ErrandRefused if one of the things is to get another home on a round that is open already
     */
    public function checkNoneIsMoved(array $tasks): void
    {
        $moved = array_filter(array_map(static fn (PlannedTask $task): ?Item => $task->becomesHome ? $task->item : null, $tasks));
        $open = [] === $moved ? null : $this->entities->createQuery(
            'SELECT t FROM '.ErrandTask::class.' t JOIN t.errand e WHERE t.item IN (:items) AND t.becomesHome = true AND t.state = :open AND e.endedAt IS NULL',
        )->setParameters(['items' => array_values($moved), 'open' => TaskState::Open])->setMaxResults(1)->getOneOrNullResult();
        if ($open instanceof ErrandTask) {
            throw ErrandRefused::isWalkedAlready($open->item->name ?? '', $open->errand->name);
        }
    }

    /** @throws ErrandRefused if all are taken */
    public function freeBasket(): Place
    {
        $taken = array_map(static fn (Errand $errand): string => $errand->basket->address, $this->open());
        for ($number = 1; $number <= self::BASKETS; ++$number) {
            $basket = Place::basket($number);
            if (!\in_array($basket->address, $taken, true)) {
                return $this->kept($basket);
            }
        }
        throw ErrandRefused::allBasketsAreTaken(self::BASKETS);
    }

    /** The box of that number; it is made where there is none yet. */
    public function box(int $number): Place
    {
        return $this->kept(Place::movingBox($number));
    }

    /** The box in which what is parted with so waits; null where it stays. */
    public function parting(Fate $fate): ?Place
    {
        $address = $fate->box();

        return null === $address ? null : $this->kept(Place::parting($address));
    }

    private function kept(Place $place): Place
    {
        $known = $this->entities->getRepository(Place::class)->findOneBy(['address' => $place->address]);
        if (null === $known) {
            $this->entities->persist($place);
            $this->entities->flush();
        }

        return $known ?? $place;
    }
}
