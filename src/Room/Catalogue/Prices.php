<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use Doctrine\ORM\EntityManagerInterface;

/** What was paid for things. */
final readonly class Prices
{
    private const MOST = 8;

    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function paid(Item $item, int $cents, int $quantity, \DateTimeImmutable $day, string $shop): void
    {
        $this->entities->persist(new Price($item, $cents, $quantity, $day, $shop));
    }

    /** What something was worth that was there before anybody wrote it down: no money of today. */
    public function known(Item $item, int $cents, int $quantity, \DateTimeImmutable $day, string $shop): void
    {
        $this->entities->persist(new Price($item, $cents, $quantity, $day, $shop, false));
    }

    /** @return list<Price> the last ones first */
    public function of(int $item): array
    {
        return $this->entities->getRepository(Price::class)->findBy(['item' => $item], ['day' => 'DESC', 'id' => 'DESC'], self::MOST);
    }
}
