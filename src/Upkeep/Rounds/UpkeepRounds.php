<?php

declare(strict_types=1);

namespace App\Upkeep\Rounds;

use App\Platform\Steps\Unknown;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;

/** The rounds of upkeep. */
final readonly class UpkeepRounds
{
    private const BASKETS = 12;

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /** @throws Unknown if there is no such round */
    public function one(int $id): UpkeepRound
    {
        return $this->entities->find(UpkeepRound::class, $id) ?? throw Unknown::errand();
    }

    /** @return list<UpkeepRound> those that are not over, the oldest first; moving boxes are none of them */
    public function open(): array
    {
        return array_values(array_filter(
            $this->entities->getRepository(UpkeepRound::class)->findBy(['endedAt' => null], ['id' => 'ASC']),
            static fn (UpkeepRound $errand): bool => RoundPurpose::Box !== $errand->purpose,
        ));
    }

    /** @return list<UpkeepRound> the last ones that are over */
    public function over(int $most): array
    {
        $query = $this->entities->createQuery(
            'SELECT e FROM '.UpkeepRound::class.' e WHERE e.endedAt IS NOT NULL AND e.purpose <> :box ORDER BY e.endedAt DESC, e.id DESC',
        )->setParameter('box', RoundPurpose::Box);
        /** @var list<UpkeepRound> $over */
        $over = $query->setMaxResults($most)->getResult();

        return $over;
    }

    /**
     * @param list<PlannedTask> $tasks
     *
     * @throws UpkeepRoundRefused if one of the things is to get another home on a round that is open already
     */
    public function checkNoneIsMoved(array $tasks): void
    {
        $moved = array_filter(array_map(static fn (PlannedTask $task): ?Item => $task->becomesHome ? $task->item : null, $tasks));
        $open = [] === $moved ? null : $this->entities->createQuery(
            'SELECT t FROM '.RoundTask::class.' t JOIN t.errand e WHERE t.item IN (:items) AND t.becomesHome = true AND t.state = :open AND e.endedAt IS NULL',
        )->setParameters(['items' => array_values($moved), 'open' => TaskState::Open])->setMaxResults(1)->getOneOrNullResult();
        if ($open instanceof RoundTask) {
            throw UpkeepRoundRefused::isWalkedAlready($open->item->name ?? '', $open->errand->name);
        }
    }

    /** @throws UpkeepRoundRefused if all are taken */
    public function freeBasket(): Place
    {
        $taken = array_map(static fn (UpkeepRound $errand): string => $errand->basket->address, $this->open());
        for ($number = 1; $number <= self::BASKETS; ++$number) {
            $basket = Place::basket($number);
            if (!\in_array($basket->address, $taken, true)) {
                return $this->kept($basket);
            }
        }
        throw UpkeepRoundRefused::allBasketsAreTaken(self::BASKETS);
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
