<?php

declare(strict_types=1);

namespace App\Room\Labels;

use App\Room\Catalogue\Item;
use App\Room\Catalogue\ItemLabels;
use App\Room\Stores\Place;
use App\Room\Stores\PlaceLabels;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Label\LabelFormat;
use Symfony\Component\Clock\ClockInterface;

/** The labels that are to be printed, because something is new, was moved, or got another name. */
final readonly class LabelQueue implements PlaceLabels, ItemLabels
{
    public function __construct(private Connection $database, private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    public function wishForPlace(Place $place, string $reason, ?LabelFormat $format = null): void
    {
        if (null === $place->id) {
            $this->entities->flush();
        }
        $this->wish('place_id', (int) $place->id, $format ?? LabelFormat::forPlace($place->kind), $reason);
    }

    public function wishForItem(Item $item, string $reason, LabelFormat $format): void
    {
        if (null === $item->id) {
            $this->entities->flush();
        }
        $this->wish('item_id', (int) $item->id, $format, $reason);
    }

    /** For things that carry a label themselves. */
    public function wishForThing(Item $item, string $reason): void
    {
        if (LabelFormat::isOnThing($item->kind)) {
            $this->wishForItem($item, $reason, LabelFormat::forThing($item->kind));
        }
    }

    /**
     * @param list<int> $wishes
     *
     * @return int how many of them had waited
     */
    public function printed(array $wishes): int
    {
        return (int) $this->database->executeStatement('DELETE FROM label_wish WHERE id IN (SELECT value FROM json_each(?))', [json_encode($wishes)]);
    }

    public function forgetPlace(Place $place): void
    {
        $this->database->delete('label_wish', ['place_id' => $place->id]);
    }

    private function wish(string $column, int $subject, LabelFormat $format, string $reason): void
    {
        $this->database->executeStatement(
            "INSERT INTO label_wish ($column, format, reason, at) VALUES (?, ?, ?, ?) ON CONFLICT DO UPDATE SET reason = excluded.reason, at = excluded.at",
            [$subject, $format->value, $reason, $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s')],
        );
    }
}
