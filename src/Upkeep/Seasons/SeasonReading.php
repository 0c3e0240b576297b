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
use Lottel\Core\Upkeep\Seasons\BringForward;
use Lottel\Core\Upkeep\Seasons\Seasonal;
use Lottel\Core\Upkeep\Seasons\SeasonCalendar;
use Lottel\Core\Upkeep\Seasons\SeasonDate;
use Lottel\Core\Year\Day;

/** Reads which things come forward for the season at hand, and which go back. */
final readonly class SeasonReading
{
    /** More at once nobody carries. */
    private const MOST = 60;

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
        $forward = $back = $homeless = [];
        foreach ($this->households() as [$household, $season, $home]) {
            $from = $places[$household->home] ?? null;
            $themes = array_values(array_unique(array_merge(...array_map(static fn ($thing): array => $thing->themes, $household->things))));
            $isAway = null !== $home || true === $from?->isForSeason;
            $why = $isAway ? null : $calendar->why($season, $themes);
            if (null === $from || ($isAway ? !$calendar->isOver($season, $themes) : null === $why)) {
                continue;
            }
            $seasonal = new Seasonal($household, $this->dwellings->of($from), $why ?? self::whyNotNow($season, $themes));
            $to = null === $home ? null : $places[$home] ?? null;
            match (true) {
                !$isAway => $forward[] = $seasonal,
                null === $to => $homeless[] = $seasonal,
                default => $back[] = $seasonal->goingTo($this->dwellings->of($to)),
            };
        }
        $plan = $this->bring->plan(\array_slice($forward, 0, self::MOST), array_map(static fn (FrontPlace $front): HomePlace => $front->dwelling, $fronts));

        return new SeasonPage(
            $calendar,
            $fronts,
            array_values(array_filter($plan, static fn (Seasonal $one): bool => null !== $one->to)),
            [...array_filter($plan, static fn (Seasonal $one): bool => null === $one->to), ...\array_slice($forward, self::MOST)],
            \array_slice($back, 0, self::MOST),
            $homeless,
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

    /** @return list<array{Household, Season|null, int|null}> what belongs to a season and is at home, with the place where it lives otherwise */
    private function households(): array
    {
        $rows = [];
        foreach ($this->database->fetchAllAssociative(
            "SELECT i.*, b.quantity, coalesce(nullif(i.season, ''), nullif(s.season, ''), nullif(h.season, ''), nullif(o.season, '')) AS of_season
             FROM item i JOIN place h ON h.id = i.home_id AND h.nature = 'storage' AND h.retired_at IS NULL
             JOIN balance b ON b.item_id = i.id AND b.place_id = i.home_id LEFT JOIN place s ON s.id = i.season_home_id
             LEFT JOIN place o ON o.id = h.parent_id
             WHERE i.removed_at IS NULL AND i.id IN (
                 SELECT id FROM item WHERE season > '' UNION SELECT id FROM item WHERE season_home_id IS NOT NULL
                 UNION SELECT t.id FROM place p LEFT JOIN place w ON w.id = p.parent_id JOIN item t ON t.home_id = p.id
                 WHERE p.season > '' OR w.season > '' OR p.is_for_season)
             ORDER BY h.address, i.name, i.id",
        ) as $columns) {
            $row = new Row($columns);
            $rows[$row->int('id')] = $row;
        }
        $households = [];
        foreach ($this->inPockets(array_keys($rows)) as $items) {
            $of = array_map(static fn (int $item): Row => $rows[$item], $items);
            $households[] = [
                Household::joined(array_map(self::household(...), $of)),
                $of[0]->oneOrNull('of_season', Season::class),
                $of[0]->intOrNull('season_home_id'),
            ];
        }

        return $households;
    }

    /** @param list<string> $themes */
    private static function whyNotNow(?Season $season, array $themes): string
    {
        if (null !== $season) {
            return 'its season is over';
        }

        return 'it is of no season'.([] === $themes ? '' : ', and no date of its themes is near');
    }

    private static function household(Row $row): Household
    {
        $thing = ThingRow::of($row);
        $box = $thing->box ?? TypicalSize::box($thing->thing->kind);

        return new Household([$thing->thing], $row->int('home_id'), 0.0, $thing->contents(), [$box], $thing->hazards);
    }

    /**
     * @param list<int> $items
     *
     * @return list<non-empty-list<int>> what shares a pocket together, everything else by itself
     */
    private function inPockets(array $items): array
    {
        $first = array_combine($items, $items);
        foreach ($this->database->fetchAllNumeric(
            'SELECT c.item_id, c.other_id FROM companion c JOIN item a ON a.id = c.item_id JOIN item b ON b.id = c.other_id
             WHERE c.is_together AND a.home_id = b.home_id ORDER BY c.item_id',
        ) as $pair) {
            [$one, $other] = array_map(Row::number(...), $pair);
            if (isset($first[$one], $first[$other])) {
                $first[$other] = $first[$one];
            }
        }
        $pockets = [];
        foreach ($first as $item => $pocket) {
            $pockets[$pocket][] = $item;
        }

        return array_values($pockets);
    }
}
