<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use App\Platform\Database\Row;
use App\Room\Catalogue\ThingRow;
use App\Room\Stores\PlaceReading;
use Doctrine\DBAL\Connection;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\Household;
use Symfony\Component\Clock\ClockInterface;

/** Who lives where, and how often it is fetched, as the search for better homes asks for it. */
final readonly class LivingReading
{
    /** Use is read from so many days of the log, or from as many as it has. */
    private const DAYS = 182;

    public function __construct(
        private Connection $database,
        private PlaceReading $places,
        private HomePlaces $dwellings,
        private ClockInterface $clock,
    ) {
    }

    public function span(): LogSpan
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'));
        $first = $this->database->fetchOne("SELECT at FROM movement WHERE reason = 'pull' ORDER BY id LIMIT 1");
        $since = $now->modify(\sprintf('-%d days', self::DAYS));
        if (\is_string($first) && $first > $since->format('Y-m-d H:i:s')) {
            $since = new \DateTimeImmutable($first, new \DateTimeZone('UTC'));
        }

        return new LogSpan($since, max(1, (int) $since->diff($now)->days));
    }

    /** @return array{list<Household>, array<int, HomePlace>} */
    public function living(LogSpan $span): array
    {
        [$homes, $contents] = $this->contents();
        $kits = $this->kitsByItem($span);
        $households = [];
        foreach ($this->together(array_keys($homes)) as $items) {
            $rows = array_map(static fn (int $item): HomedThing => $homes[$item], $items);
            $fetched = \count(array_unique(array_merge(...array_map(static fn (int $item): array => $kits[$item] ?? [], $items))));
            $households[] = Household::joined(array_map(self::household(...), $rows), $span->aMonth($fetched));
        }

        return [$households, $this->dwellings($contents)];
    }

    private static function household(HomedThing $one): Household
    {
        $box = $one->row->box ?? TypicalSize::box($one->row->thing->kind);

        return new Household([$one->row->thing], $one->home, 0.0, $one->contents(), [$box], $one->row->hazards, $one->here > 0);
    }

    /** @return array{array<int, HomedThing>, array<int, Contents>} the things that are at home somewhere, by item, and what is, or belongs, in each place */
    private function contents(): array
    {
        $rows = $this->database->iterateAssociative(
            "SELECT i.*, b.place_id, b.quantity, p.nature FROM balance b JOIN place p ON p.id = b.place_id AND p.nature IN ('storage', 'tray')
             JOIN item i ON i.id = b.item_id LEFT JOIN place h ON h.id = i.home_id
             WHERE h.id IS NULL OR (h.nature = 'storage' AND h.retired_at IS NULL AND NOT h.is_for_season)",
        );
        $homes = $contents = [];
        foreach ($rows as $columns) {
            $row = new Row($columns);
            $thing = ThingRow::of($row);
            $home = $row->intOrNull('home_id');
            $isOut = 'tray' === $row->text('nature');
            $place = $isOut ? $home : $row->int('place_id');
            if (null !== $place) {
                $contents[$place] = ($contents[$place] ?? new Contents(0, 0, 0))->plus($thing->contents());
            }
            if (null !== $home && $place === $home) {
                $homes[$thing->id] = ($homes[$thing->id] ?? new HomedThing($thing, $home))->with($thing->quantity, $isOut);
            }
        }

        return [$homes, $contents];
    }

    /** @return array<int, float> how often a month an item is fetched, by item */
    public function uses(LogSpan $span): array
    {
        return array_map(static fn (array $kits): float => $span->aMonth(\count(array_unique($kits))), $this->kitsByItem($span));
    }

    /** @return array<int, list<int>> kits that fetched an item, by item */
    private function kitsByItem(LogSpan $span): array
    {
        $rows = $this->database->fetchAllNumeric(
            "SELECT m.item_id, m.kit_id FROM movement m WHERE m.at >= ? AND +m.reason = 'pull' AND +m.kit_id IS NOT NULL
             AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id)",
            [$span->since->format('Y-m-d H:i:s')],
        );
        $kits = [];
        foreach ($rows as [$item, $kit]) {
            $kits[Row::number($item)][] = Row::number($kit);
        }

        return $kits;
    }

    /**
     * What shares a pocket, or goes together and lives together, moves together.
     *
     * @param list<int> $items
     *
     * @return list<non-empty-list<int>>
     */
    private function together(array $items): array
    {
        $group = array_combine($items, $items);
        $pairs = $this->database->fetchAllNumeric(
            'SELECT c.item_id, c.other_id FROM companion c JOIN item a ON a.id = c.item_id JOIN item b ON b.id = c.other_id WHERE a.home_id = b.home_id',
        );
        foreach ($pairs as [$one, $other]) {
            [$one, $other] = [$group[Row::number($one)] ?? null, $group[Row::number($other)] ?? null];
            if (null !== $one && null !== $other && $one !== $other) {
                foreach (array_keys($group, max($one, $other), true) as $item) {
                    $group[$item] = min($one, $other);
                }
            }
        }
        $together = [];
        foreach ($group as $item => $first) {
            $together[$first][] = $item;
        }

        return array_values($together);
    }

    /**
     * @param array<int, Contents> $contents
     *
     * @return array<int, HomePlace>
     */
    private function dwellings(array $contents): array
    {
        $dwellings = [];
        foreach ($this->places->inRoom() as $place) {
            if (!$place->isForSeason) {
                $dwellings[$place->id] = $this->dwellings->of($place, $contents[$place->id] ?? new Contents(0, 0, 0));
            }
        }

        return $dwellings;
    }
}
