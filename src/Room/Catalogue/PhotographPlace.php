<?php

declare(strict_types=1);

namespace App\Room\Catalogue;

use App\Room\Stores\Place;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Picture\Spot;

/** Keeps the photo of an open place, and where in it things are seen. */
final readonly class PhotographPlace
{
    public function __construct(private Connection $database, private EntityManagerInterface $entities)
    {
    }

    /** @return string|null the photo that it takes the place of */
    public function keep(Place $place, ?string $photo): ?string
    {
        return $place->show($photo);
    }

    /** A thing that lives in a place is seen there; it is known where it is seen no more than once. */
    public function saw(Item $item, Place $place, Spot $spot): void
    {
        $this->entities->flush();
        $this->database->executeStatement(
            'INSERT INTO spot (item_id, place_id, x, y, width, height) VALUES (?, ?, ?, ?, ?, ?)
             ON CONFLICT (item_id) DO UPDATE SET place_id = excluded.place_id, x = excluded.x, y = excluded.y,
                width = excluded.width, height = excluded.height',
            [$item->id, $place->id, $spot->x, $spot->y, $spot->width, $spot->height],
        );
    }
}
