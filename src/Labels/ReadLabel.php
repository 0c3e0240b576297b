<?php

declare(strict_types=1);

namespace App\Labels;

use App\Catalogue\Item;
use App\Stores\Place;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\InvalidAddress;
use Lottel\Core\Label\ScanCode;

/** Finds out what a scanned text belongs to; an address that somebody typed will do. */
final readonly class ReadLabel
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function __invoke(string $text): ?Scanned
    {
        $code = ScanCode::read($text);
        if (null !== $code) {
            $place = $code->isPlace ? $this->entities->find(Place::class, $code->id) : null;
            $item = $code->isPlace ? null : $this->entities->find(Item::class, $code->id);

            return null !== $item?->removedAt || (null === $item && true !== $place?->isStorageInUse()) ? null : new Scanned($place, $item);
        }
        try {
            $place = $this->entities->getRepository(Place::class)->findOneBy(['address' => (string) Address::parse($text)]);
        } catch (InvalidAddress) {
            return null;
        }

        return true === $place?->isStorageInUse() ? new Scanned($place, null) : null;
    }
}
