<?php

declare(strict_types=1);

namespace App\Upkeep\Lost;

use App\Platform\Database\Row;
use App\Room\Stores\FrontRow;
use App\Room\Stores\RoomReading;
use Doctrine\DBAL\Connection;
use Lottel\Core\Upkeep\Lost\Clue;
use Lottel\Core\Upkeep\Lost\PlaceInUnit;
use Lottel\Core\Upkeep\Lost\Trail;

/** Reads from the log and the room where a lost thing may be. */
final readonly class TrailReading
{
    private const MOST_OF_ROUND = 12;
    private const MOST_ALIKE = 3;
    private const MOST_CONFUSED = 6;

    private const NOT_REVERSED = 'NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)';

    public function __construct(private Connection $database, private RoomReading $room)
    {
    }

    public function of(Loss $loss): Trail
    {
        $place = null === $loss->home ? null : $this->room->place($loss->home);
        $home = null === $place ? null : $this->spot($place);
        $spots = null === $home ? [] : array_filter(array_map($this->spot(...), $this->room->places()));

        return new Trail([
            Clue::Home->value => null === $home ? [] : [$home->place],
            Clue::Neighbour->value => null === $home ? [] : self::places(array_filter($spots, $home->isBeside(...))),
            Clue::Round->value => $this->inRoom($this->onLastRound($loss)),
            Clue::Table->value => $this->lastTray($loss),
            Clue::Confused->value => $this->inRoom($this->confused($loss)),
            Clue::Alike->value => $this->inRoom($this->alike($loss)),
            Clue::Mirrored->value => null === $home ? [] : self::places(array_filter($spots, $home->mirrors(...))),
        ]);
    }

    /**
     * @param list<int> $places
     *
     * @return list<int> those that are still places of the furniture
     */
    private function inRoom(array $places): array
    {
        return array_values(array_filter($places, fn (int $id): bool => null !== $this->room->place($id)));
    }

    /**
     * @param array<PlaceInUnit> $spots
     *
     * @return list<int>
     */
    private static function places(array $spots): array
    {
        return array_values(array_map(static fn (PlaceInUnit $spot): int => $spot->place, $spots));
    }

    private function spot(FrontRow $place): ?PlaceInUnit
    {
        $unit = $this->room->units()[$place->unitId] ?? null;

        return null === $unit ? null : new PlaceInUnit(
            $place->id,
            $place->unitId,
            $place->parentId,
            $place->front,
            substr($place->address, \strlen($unit->letters)),
            $unit->template->value,
        );
    }

    /** @return list<int> where things went, or came from, with the kit that it was out with last */
    private function onLastRound(Loss $loss): array
    {
        $kit = $loss->kit ?? $this->lastKit($loss);

        return null === $kit ? [] : $this->numbers(
            "SELECT place FROM (SELECT m.to_id AS place, m.id FROM movement m WHERE m.kit_id = :kit AND +m.reason = 'return' AND m.item_id <> :item
                 UNION ALL SELECT m.from_id, m.id FROM movement m WHERE m.kit_id = :kit AND +m.reason = 'pull' AND m.item_id <> :item)
             GROUP BY place ORDER BY max(id) DESC LIMIT ".self::MOST_OF_ROUND,
            ['kit' => $kit, 'item' => $loss->item],
        );
    }

    private function lastKit(Loss $loss): ?int
    {
        return $this->numbers(
            'SELECT kit_id FROM movement WHERE item_id = :item AND id < :before AND kit_id IS NOT NULL ORDER BY id DESC LIMIT 1',
            ['item' => $loss->item, 'before' => $loss->movement],
        )[0] ?? null;
    }

    /** @return list<int> the tray that it was on last */
    private function lastTray(Loss $loss): array
    {
        return $loss->isFromTray ? [$loss->from] : $this->numbers(
            "SELECT p.id FROM movement m JOIN place p ON p.id = m.from_id AND p.nature = 'tray' AND p.kind = 'tray' AND p.retired_at IS NULL
             WHERE m.item_id = :item AND m.id < :before ORDER BY m.id DESC LIMIT 1",
            ['item' => $loss->item, 'before' => $loss->movement],
        );
    }

    /** @return list<int> where it, or something that lives where it lives, was found before though it is no home of it */
    private function confused(Loss $loss): array
    {
        return $this->numbers(
            "SELECT m.to_id FROM item i CROSS JOIN movement m ON m.item_id = i.id
             WHERE (i.id = :item OR i.home_id = :home) AND (m.reason = 'found' OR m.why = 'found here')
                AND m.id < :lost AND m.to_id <> coalesce(i.home_id, 0) AND ".self::NOT_REVERSED.'
             GROUP BY m.to_id ORDER BY max(m.id) DESC LIMIT '.self::MOST_CONFUSED,
            ['item' => $loss->item, 'home' => $loss->home, 'lost' => $loss->movement],
        );
    }

    /** @return list<int> where most things of its kind and maker live */
    private function alike(Loss $loss): array
    {
        return $this->numbers(
            "SELECT o.home_id FROM item i JOIN item o ON o.kind = i.kind AND o.maker = i.maker AND o.home_id IS NOT NULL
             WHERE i.id = :item AND i.maker <> '' AND o.home_id <> coalesce(i.home_id, 0)
             GROUP BY o.home_id ORDER BY count(*) DESC, o.home_id LIMIT ".self::MOST_ALIKE,
            ['item' => $loss->item],
        );
    }

    /**
     * @param array<string, int|null> $asked
     *
     * @return list<int>
     */
    private function numbers(string $sql, array $asked): array
    {
        return array_map(Row::number(...), $this->database->fetchFirstColumn($sql, $asked));
    }
}
