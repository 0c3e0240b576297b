<?php

declare(strict_types=1);

namespace App\Upkeep\Seasons;

use App\Calendar\Year\Occasions;
use App\Platform\Database\Row;
use App\Platform\Web\RoomClock;
use App\Room\Catalogue\ThingRow;
use App\Room\Stores\PlaceReading;
use App\Room\Stores\PlaceRow;
use App\Upkeep\Rehoming\HomePlaces;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Lottel\Core\Catalogue\Season;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\TypicalSize;
use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\Household;
use Lottel\Core\Upkeep\Better\Pockets;
use Lottel\Core\Upkeep\Seasons\BringForward;
use Lottel\Core\Upkeep\Seasons\LivesBySeason;
use Lottel\Core\Upkeep\Seasons\Seasonal;
use Lottel\Core\Upkeep\Seasons\SeasonCalendar;
use Lottel\Core\Upkeep\Seasons\SeasonDate;
use Lottel\Core\Upkeep\Seasons\SeasonTurn;
use Lottel\Core\Year\Day;

/** Reads which things come forward for the season at hand, and which go back. */
final readonly class SeasonReading
{
    private const MOST_DAYS = 370;

    public function __construct(
        private Connection $database,
        private PlaceReading $places,
        private HomePlaces $dwellings,
        private Occasions $occasions,
        private RoomClock $roomClock,
        private BringForward $bring = new BringForward(),
    ) {
    }

    public function page(): SeasonPage
    {
        $calendar = $this->calendar();
        $places = $this->byId();
        $fronts = $this->fronts($places);
        $turn = SeasonTurn::of($calendar, $this->living($places));
        $dwellings = array_map(static fn (FrontPlace $front): HomePlace => $front->dwelling, $fronts);
        $plan = $this->bring->plan(\array_slice($turn->forward, 0, SeasonTurn::MOST), $dwellings);

        return new SeasonPage(
            $calendar,
            $fronts,
            array_values(array_filter($plan, static fn (Seasonal $one): bool => null !== $one->to)),
            [...array_filter($plan, static fn (Seasonal $one): bool => null === $one->to), ...\array_slice($turn->forward, SeasonTurn::MOST)],
            \array_slice($turn->back, 0, SeasonTurn::MOST),
            $turn->homeless,
        );
    }

    /** @return list<PlaceRow> empty places that are measured and quick to reach, where no place is kept for the season at hand */
    public function proposedFronts(int $most): array
    {
        $taken = array_flip(array_map(Row::number(...), $this->database->fetchFirstColumn(
            'SELECT place_id FROM balance UNION SELECT home_id FROM item WHERE home_id IS NOT NULL
             UNION SELECT parent_id FROM place WHERE parent_id IS NOT NULL
             UNION SELECT f.home_id FROM folder f JOIN kit k ON k.tray_id = f.place_id WHERE f.home_id IS NOT NULL',
        )));
        $empty = array_filter(
            $this->places->inRoom(),
            static fn (PlaceRow $place): bool => !isset($taken[$place->id]) && null !== $place->inside && null === $place->fileAfterUses,
        );
        $seconds = [];
        foreach ($empty as $place) {
            $seconds[$place->id] = $this->dwellings->of($place)->reach->total();
        }
        usort($empty, static fn (PlaceRow $one, PlaceRow $other): int => $seconds[$one->id] <=> $seconds[$other->id]);

        return \array_slice($empty, 0, $most);
    }

    private function calendar(): SeasonCalendar
    {
        $today = Day::of($this->roomClock->today());
        $dates = [];
        foreach ($this->occasions->all() as $occasion) {
            foreach ($occasion->on()->between($today->plus(-self::MOST_DAYS), $today->plus(SeasonCalendar::DAYS_AHEAD)) as $day) {
                $dates[] = new SeasonDate($occasion->name, $day, $day->plus(max(0, $occasion->lasts - 1)));
            }
        }
        foreach ($this->database->fetchAllAssociative(
            "SELECT name, occasion, due_on FROM kit WHERE stage = 'planned' AND removed_at IS NULL AND due_on BETWEEN ? AND ?",
            [$today->text(), $today->plus(SeasonCalendar::DAYS_AHEAD)->text()],
        ) as $columns) {
            $kit = new Row($columns);
            $due = Day::read($kit->text('due_on')) ?? $today;
            $dates[] = new SeasonDate($kit->text('name').('' === $kit->text('occasion') ? '' : ', '.$kit->text('occasion')), $due, $due);
        }

        return new SeasonCalendar($today, $dates, $this->roomClock->timeZone());
    }

    /** @return array<int, PlaceRow> */
    private function byId(): array
    {
        $places = [];
        foreach ($this->places->inRoom() as $place) {
            $places[$place->id] = $place;
        }

        return $places;
    }

    /**
     * @param array<int, PlaceRow> $places
     *
     * @return list<FrontPlace>
     */
    private function fronts(array $places): array
    {
        $places = array_filter($places, static fn (PlaceRow $place): bool => $place->isForSeason);
        if ([] === $places) {
            return [];
        }
        $contents = array_fill_keys(array_keys($places), new Contents(0, 0, 0));
        $things = array_fill_keys(array_keys($places), 0);
        foreach ($this->database->fetchAllAssociative(
            "SELECT i.*, b.quantity, CASE WHEN p.nature = 'tray' THEN i.home_id ELSE b.place_id END AS belongs
             FROM balance b JOIN place p ON p.id = b.place_id JOIN item i ON i.id = b.item_id
             WHERE b.place_id IN (:fronts) OR (p.nature = 'tray' AND i.home_id IN (:fronts))",
            ['fronts' => array_keys($places)],
            ['fronts' => ArrayParameterType::INTEGER],
        ) as $columns) {
            $row = new Row($columns);
            $in = $row->int('belongs');
            $contents[$in] = $contents[$in]->plus(ThingRow::of($row)->contents());
            ++$things[$in];
        }

        return array_values(array_map(
            fn (PlaceRow $place): FrontPlace => new FrontPlace($place, $this->dwellings->of($place, $contents[$place->id]), $things[$place->id]),
            $places,
        ));
    }

    /**
     * @param array<int, PlaceRow> $places
     *
     * @return list<LivesBySeason> what belongs to a season, or may, and is at home
     */
    private function living(array $places): array
    {
        $rows = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT i.*, b.quantity, coalesce(s.season, '') AS otherwise_season, h.season AS home_season, coalesce(o.season, '') AS outer_season
             FROM item i JOIN place h ON h.id = i.home_id
             JOIN balance b ON b.item_id = i.id AND b.place_id = i.home_id LEFT JOIN place s ON s.id = i.season_home_id
             LEFT JOIN place o ON o.id = h.parent_id
             WHERE i.id IN (
                 SELECT id FROM item WHERE season > '' UNION SELECT id FROM item WHERE season_home_id IS NOT NULL
                 UNION SELECT t.id FROM place p LEFT JOIN place w ON w.id = p.parent_id JOIN item t ON t.home_id = p.id
                 WHERE p.season > '' OR w.season > '' OR p.is_for_season)
             ORDER BY h.address, i.name, i.id",
        ) as $columns) {
            $row = new Row($columns);
            $rows[$row->int('id')] = $row;
        }
        $living = [];
        foreach (Pockets::of(array_keys($rows), $this->pairs()) as $items) {
            $of = array_map(static fn (int $item): Row => $rows[$item], $items);
            $now = $places[$of[0]->int('home_id')] ?? null;
            if (null !== $now) {
                $living[] = $this->livingIn($now, $of, $places[$of[0]->intOrNull('season_home_id') ?? 0] ?? null);
            }
        }

        return $living;
    }

    /** @param non-empty-list<Row> $of what shares a pocket */
    private function livingIn(PlaceRow $now, array $of, ?PlaceRow $otherwise): LivesBySeason
    {
        $first = $of[0];

        return new LivesBySeason(
            Household::joined(array_map(self::household(...), $of)),
            Season::firstOf($first->text('season'), $first->text('otherwise_season'), $first->text('home_season'), $first->text('outer_season')),
            $this->dwellings->of($now),
            null !== $first->intOrNull('season_home_id') || $now->isForSeason,
            null === $otherwise ? null : $this->dwellings->of($otherwise),
        );
    }

    private static function household(Row $row): Household
    {
        $thing = ThingRow::of($row);
        $box = $thing->box ?? TypicalSize::box($thing->thing->kind);

        return new Household([$thing->thing], $row->int('home_id'), 0.0, $thing->contents(), [$box], $thing->hazards);
    }

    /** @return list<array{int, int}> what shares a pocket in one home */
    private function pairs(): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT c.item_id, c.other_id FROM companion c JOIN item a ON a.id = c.item_id JOIN item b ON b.id = c.other_id
             WHERE c.is_together AND a.home_id = b.home_id ORDER BY c.item_id',
        );

        return Row::each($rows, static fn (Row $row): array => [$row->int('item_id'), $row->int('other_id')]);
    }
}
