<?php

declare(strict_types=1);

// Follows three kinds of owner through seeded years:  php bench/owners.php
require dirname(__DIR__).'/vendor/autoload.php';

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Furniture\Access;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Belonging;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\Reach;
use Lottel\Core\Upkeep\Better\BetterHomes;
use Lottel\Core\Upkeep\Better\HomePlace;
use Lottel\Core\Upkeep\Better\Household;
use Lottel\Core\Upkeep\Counting\PlaceHistory;
use Lottel\Core\Upkeep\Counting\RollingCount;
use Lottel\Core\Upkeep\Lost\Clue;
use Lottel\Core\Upkeep\Lost\ClueWeights;
use Lottel\Core\Upkeep\Lost\LikelyPlace;
use Lottel\Core\Upkeep\Lost\Trace;
use Lottel\Core\Upkeep\Lost\Trail;
use Lottel\Core\Upkeep\Restock\BurnRate;
use Lottel\Core\Upkeep\Restock\Forecast;
use Lottel\Core\Upkeep\Restock\StockRule;

/**
 * What tells the owners apart: how many things, places and kits a month, how many things a kit takes, how far use is crowded on a few of
 * them, how often a movement makes the log wrong, and where things are lost, by clue.
 */
const OWNERS = [
    'card maker by the dozen' => ['things' => 600, 'places' => 60, 'kits' => 12, 'of' => 9, 'crowded' => 2.2, 'wrong' => 0.02,
        'lost' => ['round' => 5, 'table' => 3, 'neighbour' => 1, 'home' => 1]],
    'album keeper' => ['things' => 900, 'places' => 80, 'kits' => 4, 'of' => 22, 'crowded' => 1.4, 'wrong' => 0.01,
        'lost' => ['table' => 4, 'alike' => 3, 'neighbour' => 2, 'home' => 1]],
    'collector' => ['things' => 4000, 'places' => 200, 'kits' => 3, 'of' => 7, 'crowded' => 1.1, 'wrong' => 0.03,
        'lost' => ['neighbour' => 4, 'mirrored' => 3, 'alike' => 2, 'home' => 1]],
];

/** Draws a number from 0 to $many - 1, small ones more often the more $crowded it is. */
function drawn(int $many, float $crowded): int
{
    return min($many - 1, (int) floor($many * (mt_rand() / (mt_getrandmax() + 1)) ** $crowded));
}

/**
 * @param array{things: int, places: int, kits: int, of: int, crowded: float} $owner
 *
 * @return array{list<Household>, array<int, HomePlace>} homes at random, use as half a year of kits makes it
 */
function livingRoom(array $owner): array
{
    $uses = array_fill(0, $owner['things'], 0);
    for ($kit = 0; $kit < 6 * $owner['kits']; ++$kit) {
        $taken = [];
        while (count($taken) < $owner['of']) {
            $taken[drawn($owner['things'], 1 + $owner['crowded'])] = true;
        }
        foreach (array_keys($taken) as $thing) {
            ++$uses[$thing];
        }
    }
    $kinds = [Kind::StampSet, Kind::Die, Kind::Ink, Kind::Paper, Kind::Embellishment, Kind::Tool];
    $households = $contents = [];
    foreach ($uses as $thing => $times) {
        $home = mt_rand(1, $owner['places']);
        $one = new Contents(mt_rand(5, 60) / 100, 0, (float) mt_rand(20, 150));
        $contents[$home] = ($contents[$home] ?? new Contents(0, 0, 0))->plus($one);
        $households[] = new Household(
            [new Thing($thing, 'thing '.$thing, '', $kinds[mt_rand(0, 5)])],
            $home,
            $times / 6,
            $one,
            [Box::ofMillimetres(100, 60, 100)],
            [],
        );
    }
    $dwellings = [];
    for ($id = 1; $id <= $owner['places']; ++$id) {
        $height = mt_rand(100, 2000);
        $inside = Box::ofMillimetres(300, mt_rand(90, 300), 350);
        $dwellings[$id] = new HomePlace(
            $id,
            'P'.$id,
            (new Reach())->to(mt_rand(200, 5000), $height, 0 === mt_rand(0, 1) ? Access::Open : Access::Drawer),
            0 === mt_rand(0, 2) ? new Belonging($kinds[mt_rand(0, 5)]) : new Belonging(),
            FilingScheme::parse('name'),
            $inside,
            new Capacity($inside, false, null, 0.2, $height),
            $contents[$id] ?? new Contents(0, 0, 0),
            heightMm: $height,
            unit: intdiv($id, 12),
        );
    }

    return [$households, $dwellings];
}

/**
 * Loses things where the owner loses them, and looks for them where they are likeliest.
 *
 * @param array<string, int> $lost
 *
 * @return array{float, float} looks until found, on average, of the first and of the last forty
 */
function search(array $lost): array
{
    $weights = ClueWeights::usual();
    $looks = [];
    for ($loss = 0; $loss < 400; ++$loss) {
        $places = [];
        foreach (Clue::cases() as $clue) {
            $many = match ($clue) {
                Clue::Home, Clue::Table => 1,
                Clue::Neighbour => 3,
                Clue::Round => 6,
                default => 2,
            };
            $places[$clue->value] = array_map(static fn (): int => mt_rand(1, 80), array_fill(0, $many, 0));
        }
        $draw = mt_rand(1, array_sum($lost));
        $where = 0;
        foreach ($lost as $clue => $weight) {
            $draw -= $weight;
            $where = 0 === $where && $draw <= 0 ? $places[$clue][mt_rand(0, count($places[$clue]) - 1)] : $where;
        }
        $trail = new Trail($places);
        $order = array_map(static fn (LikelyPlace $place): int => $place->place, (new Trace($weights))->likely($trail));
        $looks[] = 1 + (int) array_search($where, $order, true);
        $weights = $weights->learn($trail, $where);
    }

    return [array_sum(array_slice($looks, 0, 40)) / 40, array_sum(array_slice($looks, -40)) / 40];
}

/**
 * @param Closure(int): list<float|int> $one what a seed gives
 *
 * @return list<float> averages of twenty seeds
 */
function averages(Closure $one): array
{
    $runs = array_map($one, range(1, 20));

    return array_map(static fn (int $column): float => array_sum(array_column($runs, $column)) / count($runs), array_keys($runs[0]));
}

/**
 * Counts four places a week for a year, those where most is likely to be wrong, or one after the other.
 *
 * @return array{int, int} lines found to be wrong, either way
 */
function counted(int $seed, int $places, int $kits, int $of, float $wrong): array
{
    $found = [0, 0];
    foreach ([true, false] as $way => $isRolling) {
        mt_srand($seed);
        $touched = $since = $bad = $known = array_fill(0, $places, 0);
        $days = array_fill(0, $places, null);
        $next = 0;
        for ($week = 0; $week < 52; ++$week) {
            for ($move = 0; $move < (int) round($kits * $of * 2 / 4.3); ++$move) {
                $place = drawn($places, 1.8);
                ++$since[$place];
                $bad[$place] += (int) (mt_rand() / mt_getrandmax() < $wrong * (0 === $place % 5 ? 3 : 1));
            }
            $histories = [];
            foreach ($since as $place => $moves) {
                $age = null === $days[$place] ? null : 7 * ($week - $days[$place]);
                $histories[] = new PlaceHistory($place, 10, $known[$place], $touched[$place], $moves, $age);
            }
            $chosen = $isRolling
                ? array_map(static fn (PlaceHistory $one): int => $one->place, RollingCount::next($histories, 4))
                : array_map(static fn (int $one): int => $one % $places, range($next, $next += 3));
            ++$next;
            foreach ($chosen as $place) {
                $found[$way] += $bad[$place];
                $known[$place] += $bad[$place];
                $touched[$place] += $since[$place];
                [$bad[$place], $since[$place], $days[$place]] = [0, 0, $week];
            }
        }
    }

    return $found;
}

/**
 * Uses up a stock for a year and orders when the forecast says so, or when it is empty.
 *
 * @return array{int, int, float} weeks without it, either way, and the stock that lay there on average when ordered in time
 */
function ordered(int $seed, int $kits, int $of): array
{
    $without = [0, 0];
    $lay = 0.0;
    foreach ([true, false] as $way => $isForecast) {
        mt_srand($seed);
        [$left, $coming, $weeks] = [60, [], []];
        for ($week = 0; $week < 104; ++$week) {
            $left += $coming[$week] ?? 0;
            $wanted = 0;
            for ($kit = 0; $kit < $kits; ++$kit) {
                $wanted += 0 === mt_rand(0, 4) ? mt_rand(0, $of) : 0;
            }
            $used = min($left, $wanted);
            $without[$way] += (int) ($wanted > $left);
            $left -= $used;
            $weeks[] = $used;
            $rate = BurnRate::of($weeks);
            $isDue = $isForecast ? null !== $rate && (new Forecast($left, $rate, new StockRule(0, 14)))->isDue() : 0 === $left;
            if ($isDue && [] === array_filter($coming, static fn (int $at): bool => $at > $week, \ARRAY_FILTER_USE_KEY)) {
                $coming[$week + 2] = 100;
            }
            $lay += $isForecast ? $left / 104 : 0.0;
        }
    }

    return [$without[0], $without[1], $lay];
}

echo "| owner | fetched a month | costs a month, min | ten moves save, min | of it | pay back, weeks | s |\n|---|---:|---:|---:|---:|---:|---:|\n";
foreach (OWNERS as $name => $owner) {
    mt_srand(14);
    [$households, $dwellings] = livingRoom($owner);
    $start = hrtime(true);
    $plan = (new BetterHomes())->of($households, $dwellings, 10);
    $seconds = (hrtime(true) - $start) / 1e9;
    $weeks = array_sum(array_map(static fn ($exchange): float => $exchange->weeks(), $plan->exchanges)) / max(1, count($plan->exchanges));
    $all = max(1e-9, $plan->before->total());
    $line = "| %s | %.0f | %.1f | %.1f | %.0f %% | %.0f | %.2f |\n";
    printf($line, $name, $plan->uses, $all / 60, $plan->saves() / 60, 100 * $plan->saves() / $all, $weeks, $seconds);
}
echo "\n| owner | looks until found, at first | after 360 things found | wrong lines found by 4 places a week | one after the other "
    ."| weeks without, ordered in time | ordered when empty | lay there |\n";
echo "|---|---:|---:|---:|---:|---:|---:|---:|\n";
foreach (OWNERS as $name => $owner) {
    mt_srand(1946);
    [$first, $last] = search($owner['lost']);
    [$rolling, $around] = averages(static fn (int $seed): array => counted($seed, $owner['places'], $owner['kits'], $owner['of'], $owner['wrong']));
    [$in, $out, $lay] = averages(static fn (int $seed): array => ordered($seed, $owner['kits'], $owner['of']));
    printf("| %s | %.1f | %.1f | %.0f | %.0f | %.1f | %.1f | %.0f |\n", $name, $first, $last, $rolling, $around, $in, $out, $lay);
}
