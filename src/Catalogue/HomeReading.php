<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Stores\FloorReading;
use App\Stores\RoomReading;
use App\Stores\StoreReading;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Handling;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Homes\Belonging;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\ChildReach;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\Fit;
use Lottel\Core\Homes\HomeCandidate;
use Lottel\Core\Homes\HomeProposal;
use Lottel\Core\Homes\HomeRanking;
use Lottel\Core\Homes\NewBasket;
use Lottel\Core\Homes\Reach;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\Length;
use Lottel\Core\Upkeep\Hazard;
use Symfony\Component\Clock\ClockInterface;

/** Homes for things that have none, things that ask to be filed, and how full places are. */
final class HomeReading
{
    private const SAMPLE = 10;
    private const PROPOSALS = 3;

    /** @var list<array<string, mixed>>|null */
    private ?array $places = null;

    public function __construct(private readonly Connection $database, private readonly FloorReading $floor, private readonly RoomReading $room, private readonly ClockInterface $clock)
    {
    }

    /** @return list<array<string, mixed>> things in a basket of new things that have been used often enough to be filed */
    public function toBeFiled(): array
    {
        $things = $this->database->fetchAllAssociative(
            'SELECT i.*, p.address AS home, p.file_after_uses, b.quantity FROM place p JOIN item i ON i.home_id = p.id JOIN balance b ON b.item_id = i.id AND b.place_id = p.id
             WHERE p.file_after_uses IS NOT NULL AND i.used_at IS NOT NULL ORDER BY i.name',
        );
        $uses = $this->usesOf(array_map(static fn (array $thing): int => (int) $thing['id'], $things));
        $things = array_map(static fn (array $thing): array => $thing + ['uses' => $uses[(int) $thing['id']] ?? 0], $things);
        $done = array_values(array_filter($things, static fn (array $thing): bool => (new NewBasket((int) $thing['file_after_uses']))->isDone($thing['uses'])));
        usort($done, static fn (array $a, array $b): int => $b['uses'] <=> $a['uses']);

        return \array_slice($done, 0, 60);
    }

    /**
     * Counts uses from the lines of these items alone: the database does so only where their ids stand in the question.
     *
     * @param list<int> $items
     *
     * @return array<int, int> by item
     */
    private function usesOf(array $items): array
    {
        $uses = [];
        foreach (array_chunk($items, 500) as $some) {
            $marks = implode(', ', array_fill(0, \count($some), '?'));
            $uses += array_map(intval(...), $this->database->fetchAllKeyValue("SELECT item_id, count(*) FROM item_use WHERE item_id IN ($marks) GROUP BY item_id", $some));
        }

        return $uses;
    }

    /** @return list<array<string, mixed>> things without a home that are in the room */
    public function withoutHome(int $most = 40): array
    {
        return $this->database->fetchAllAssociative(
            "SELECT i.*, b.quantity, p.address AS lies_in FROM item i JOIN balance b ON b.item_id = i.id JOIN place p ON p.id = b.place_id AND p.nature IN ('unfiled', 'storage')
             WHERE i.home_id IS NULL GROUP BY i.id ORDER BY i.name LIMIT ?",
            [$most],
            [\Doctrine\DBAL\ParameterType::INTEGER],
        );
    }

    /**
     * Returns the best homes for a thing, with reasons.
     *
     * @param array<string, mixed> $item
     *
     * @return list<HomeProposal>
     */
    public function proposals(array $item): array
    {
        $thing = StoreReading::thing($item);
        $companions = array_map(intval(...), $this->database->fetchFirstColumn('SELECT i.home_id FROM companion c JOIN item i ON i.id = CASE WHEN c.item_id = ? THEN c.other_id ELSE c.item_id END WHERE (c.item_id = ? OR c.other_id = ?) AND i.home_id IS NOT NULL', [$thing->id, $thing->id, $thing->id]));
        $box = self::box($item, 'width', 'height', 'depth') ?? TypicalSize::box($thing->kind);
        $candidates = [];
        foreach ($this->places() as $place) {
            $inside = self::box($place, 'inner_width', 'inner_height', 'inner_depth');
            $candidates[] = new HomeCandidate(
                (string) $place['address'],
                null === $place['says_kind'] ? null : Kind::from((string) $place['says_kind']),
                (string) $place['says_maker'],
                (string) $place['says_theme'],
                $place['contents'],
                $place['room_left'],
                $place['reach'],
                null === $inside || null !== (new Fit())->way($box, $inside, Handling::ofKind($thing->kind)),
                \in_array((int) $place['id'], $companions, true),
                self::kinds($place),
            );
        }
        $since = $this->clock->now()->modify(\sprintf('-%d months', HomeRanking::MONTHS))->format('Y-m-d');
        $uses = (int) $this->database->fetchOne('SELECT count(*) FROM item_use WHERE item_id = ? AND at >= ?', [$thing->id, $since]);

        return \array_slice((new HomeRanking())->rank($thing, $candidates, HomeRanking::usesAMonth($uses)), 0, self::PROPOSALS);
    }

    /**
     * Returns how full and how heavy a place is, what is wrong with that, and what does not belong in it.
     *
     * @param array<string, mixed> $place
     * @param list<array<string, mixed>> $contents
     *
     * @return array{fullness: float|null, with_room: float|null, grams: int, load: float|null, guessed: int, warnings: list<string>, misfiled: list<array<string, mixed>>}
     */
    public function facts(array $place, array $contents): array
    {
        $sum = $this->sum($contents);
        $capacity = $this->capacity($place);
        $belonging = new Belonging(null === $place['says_kind'] ? null : Kind::from((string) $place['says_kind']), (string) $place['says_maker'], (string) $place['says_theme'], (string) $place['says_colour'], self::kinds($place));
        $inside = self::box($place, 'inner_width', 'inner_height', 'inner_depth');
        $misfiled = [];
        foreach ($contents as $row) {
            $why = $belonging->excludes(StoreReading::thing($row)) ?? self::isTooLarge($row, $inside);
            if (null !== $why) {
                $misfiled[] = ['why' => $why] + $row;
            }
        }

        return [
            'fullness' => $capacity?->fullness($sum),
            'with_room' => $capacity?->fullnessWithRoom($sum),
            'grams' => (int) round($sum->grams),
            'load' => $capacity?->load($sum),
            'guessed' => $sum->guessed,
            'warnings' => [...$capacity?->warnings($sum) ?? [], ...$this->reachWarnings($place, $contents)],
            'misfiled' => $misfiled,
        ];
    }

    /**
     * @param array<string, mixed> $place
     * @param list<array<string, mixed>> $contents
     *
     * @return list<string>
     */
    private function reachWarnings(array $place, array $contents): array
    {
        $warnings = [];
        foreach ($contents as $row) {
            $hazards = array_values(array_filter(array_map(static fn (mixed $hazard): ?Hazard => \is_string($hazard) ? Hazard::tryFrom($hazard) : null, (array) json_decode((string) $row['hazards'], true))));
            $warnings[] = ChildReach::warning((string) $row['name'], (string) $place['address'], $hazards, (bool) $place['is_child_safe'], $this->height($place));
        }

        return \array_slice(array_values(array_filter($warnings)), 0, 3);
    }

    /**
     * @param array<string, mixed> $place
     *
     * @return list<Kind> that belong there beside the first one
     */
    private static function kinds(array $place): array
    {
        return array_values(array_filter(array_map(static fn (mixed $kind): ?Kind => \is_string($kind) ? Kind::tryFrom($kind) : null, (array) json_decode((string) $place['also_kinds'], true))));
    }

    /** @param array<string, mixed> $item */
    private static function isTooLarge(array $item, ?Box $inside): ?string
    {
        $box = self::box($item, 'width', 'height', 'depth');

        return null === $box || null === $inside || null !== (new Fit())->way($box, $inside, Handling::ofKind(Kind::from((string) $item['kind']))) ? null : 'too large for it';
    }

    /** @param list<array<string, mixed>> $contents */
    private function sum(array $contents): Contents
    {
        $sum = new Contents(0, 0, 0);
        foreach ($contents as $row) {
            $sum = $sum->plus(TypicalSize::contents(Kind::from((string) $row['kind']), Tracking::from((string) $row['tracking']), (int) $row['quantity'], self::box($row, 'width', 'height', 'depth'), null === $row['grams'] ? null : (int) $row['grams']));
        }

        return $sum;
    }

    /** @param array<string, mixed> $place */
    private function capacity(array $place): ?Capacity
    {
        $inside = self::box($place, 'inner_width', 'inner_height', 'inner_depth');
        if (null === $inside) {
            return null;
        }

        return new Capacity($inside, false, null === $place['most_grams'] ? null : (float) $place['most_grams'], (int) $place['room_to_grow'] / 100, $this->height($place));
    }

    /**
     * Returns how high the middle of a place's front is above the floor, in millimetres; an inner place is as high as the one
     * around it that is seen from the front.
     *
     * @param array<string, mixed> $place
     */
    private function height(array $place): int
    {
        $front = $this->room->places()[$this->room->frontOf((int) $place['id']) ?? 0] ?? ['front_y' => 0, 'front_height' => 0];
        $middle = (int) $place['above_floor'] + (int) $place['unit_height'] - (int) $front['front_y'] - intdiv((int) $front['front_height'], 2);

        return intdiv(max(0, $middle), Length::TICKS_PER_MILLIMETRE);
    }

    /** @return list<array<string, mixed>> all places with a few of their contents, the room that is left and the reach from the bench */
    private function places(): array
    {
        if (null !== $this->places) {
            return $this->places;
        }
        $samples = $counts = [];
        $rows = $this->database->fetchAllAssociative(
            'SELECT * FROM (SELECT i.*, b.place_id AS lies_in, b.quantity, row_number() OVER (PARTITION BY b.place_id ORDER BY i.id) AS nth, count(*) OVER (PARTITION BY b.place_id) AS many FROM place p JOIN balance b ON b.place_id = p.id JOIN item i ON i.id = b.item_id WHERE p.unit_id IS NOT NULL) WHERE nth <= ?',
            [self::SAMPLE],
            [\Doctrine\DBAL\ParameterType::INTEGER],
        );
        foreach ($rows as $row) {
            $samples[(int) $row['lies_in']][] = $row;
            $counts[(int) $row['lies_in']] = (int) $row['many'];
        }
        $walks = $this->walks();
        $places = $this->database->fetchAllAssociative(
            "SELECT p.*, u.height AS unit_height, u.above_floor, u.template FROM place p JOIN unit u ON u.id = p.unit_id
             WHERE p.nature = 'storage' AND p.retired_at IS NULL AND p.file_after_uses IS NULL",
        );

        return $this->places = array_map(function (array $place) use ($samples, $counts, $walks): array {
            $sample = $samples[(int) $place['id']] ?? [];
            $sum = $this->sum($sample);
            $scale = [] === $sample ? 0 : ($counts[(int) $place['id']] ?? 0) / \count($sample);
            $left = 1 - ($this->capacity($place)?->fullnessWithRoom(new Contents($sum->litres * $scale, $sum->thickness * $scale, $sum->grams * $scale)) ?? 1 - HomeRanking::ROOM_UNKNOWN);
            [$walk, $isAway] = $walks[(int) $place['unit_id']] ?? [2000.0, false];

            return [
                'contents' => array_map(StoreReading::thing(...), $sample),
                'room_left' => $left,
                'reach' => (new Reach())->seconds($walk, $this->height($place), (UnitTemplate::tryFrom((string) $place['template']) ?? UnitTemplate::Shelf)->access(), (int) $place['layer'], false, $isAway),
            ] + $place;
        }, $places);
    }

    /** @return array<int, array{float, bool}> millimetres from the seat at the bench, and whether it is in another room, by unit */
    private function walks(): array
    {
        $walks = [];
        $isFirst = true;
        foreach ($this->floor->rooms() as $room) {
            $seat = $room['layout']->seat();
            foreach ($room['units'] as $unit) {
                $walks[(int) $unit['id']] = [$unit['footprint']->stand()->distanceTo($seat), !$isFirst];
            }
            $isFirst = false;
        }

        return $walks;
    }

    /** @param array<string, mixed> $row */
    private static function box(array $row, string $width, string $height, string $depth): ?Box
    {
        return null === ($row[$width] ?? null) || null === ($row[$height] ?? null) || null === ($row[$depth] ?? null)
            ? null
            : new Box(Length::ofTicks((int) $row[$width]), Length::ofTicks((int) $row[$height]), Length::ofTicks((int) $row[$depth]));
    }
}
