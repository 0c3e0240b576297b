<?php

declare(strict_types=1);

namespace App\Upkeep\Lost;

use App\Platform\Database\Row;
use App\Room\Catalogue\ItemReading;
use App\Room\Catalogue\LostRow;
use App\Room\Stores\Place;
use App\Room\Stores\ReachOfPlaces;
use App\Room\Stores\RoomReading;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\Lost\LikelyPlace;
use Lottel\Core\Upkeep\Lost\LookingOrder;
use Lottel\Core\Upkeep\Lost\Trace;

/** What is lost, and where it may be. */
final readonly class LostReading
{
    private const LOSSES = 'SELECT m.id, m.item_id, m.at, m.from_id, m.kit_id, f.nature AS from_nature, i.home_id
        FROM movement m JOIN place f ON f.id = m.from_id JOIN item i ON i.id = m.item_id';

    public function __construct(
        private Connection $database,
        private ItemReading $items,
        private TrailReading $trails,
        private LearnClues $learn,
        private RoomReading $room,
        private ReachOfPlaces $reach,
    ) {
    }

    /** @return list<LostRow> the latest first */
    public function all(): array
    {
        return $this->items->lost();
    }

    /** Returns a lost thing; null where it is not lost. */
    public function one(int $item): ?LostRow
    {
        return array_values(array_filter($this->items->lost(), static fn (LostRow $row): bool => $row->thing->id === $item))[0] ?? null;
    }

    public function search(int $item): ?Search
    {
        $row = $this->database->fetchAssociative(self::LOSSES." WHERE m.item_id = ? AND m.reason = 'lose' ORDER BY m.id DESC LIMIT 1", [$item]);
        if (false === $row) {
            return null;
        }
        $loss = Loss::of(new Row($row));
        $trail = $this->trails->of($loss);
        $likely = (new Trace($this->learn->weights()))->likely($trail, $this->looks($loss));
        $seconds = [];
        foreach ($likely as $place) {
            $seconds[$place->place] = $this->reach->seconds($place->place) ?? 0.0;
        }
        $order = LookingOrder::of($likely, $seconds);

        return new Search(array_map($this->spot(...), $likely), array_map($this->spot(...), $order), self::time($order, $seconds));
    }

    private function spot(LikelyPlace $likely): LikelySpot
    {
        $place = $this->room->place($likely->place);

        return new LikelySpot($likely, $place->address ?? $this->address($likely->place), $place->title ?? '');
    }

    private function address(int $place): string
    {
        return 0 === $place ? '' : Row::word($this->database->fetchOne('SELECT address FROM place WHERE id = ?', [$place]));
    }

    /** @return array<int, int> looks in vain since it is lost, by place */
    private function looks(Loss $loss): array
    {
        $rows = $this->database->fetchAllNumeric(
            "SELECT t.place_id, count(*) FROM errand_task t JOIN errand e ON e.id = t.errand_id
             WHERE t.item_id = ? AND t.state = 'missed' AND e.begun_at >= ? GROUP BY t.place_id",
            [$loss->item, $loss->at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s')],
        );

        $looks = [];
        foreach ($rows as [$place, $times]) {
            $looks[Row::number($place)] = Row::number($times);
        }

        return $looks;
    }

    /**
     * @param list<LikelyPlace> $order
     * @param array<int, float> $seconds
     */
    private static function time(array $order, array $seconds): float
    {
        return array_sum(array_map(static fn (LikelyPlace $place): float => LookingOrder::LOOK_SECONDS + ($seconds[$place->place] ?? 0.0), $order));
    }
}
