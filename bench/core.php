<?php

declare(strict_types=1);

// Measures the core's planners on seeded jobs. Called by bin/bench:  php bench/core.php
require dirname(__DIR__).'/vendor/autoload.php';

use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\Scrap;
use Lottel\Core\Cutting\ScrapSearch;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\Trimmer;
use Lottel\Core\Cutting\WantedPiece;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Outline;
use Lottel\Core\Round\FloorPlan;
use Lottel\Core\Round\Obstacle;
use Lottel\Core\Round\Point;
use Lottel\Core\Round\RoundPlanner;

/** @return array{list<Piece>, list<Stock>} pieces in sixteenths of an inch, letter sheets, and scraps */
function cuttingJob(int $pieces, int $scraps): array
{
    $wanted = $stocks = [];
    for ($left = $pieces; $left > 0;) {
        $quantity = min($left, mt_rand(1, max(1, intdiv($pieces, 5))));
        $left -= $quantity;
        $wanted[] = new Piece('p'.$left, mt_rand(16, 90), mt_rand(16, 100), $quantity, mt_rand(0, 3) > 0, '');
    }
    $stocks[] = new Stock('letter', 136, 176, 100, '', true);
    for ($i = 0; $i < $scraps; ++$i) {
        $stocks[] = new Stock('s'.$i, mt_rand(8, 60), mt_rand(8, 80), 1, '', false);
    }

    return [$wanted, $stocks];
}

/** @return list<list<float>> */
function walkingJob(int $stops): array
{
    $obstacles = [];
    for ($i = 0; $i < 6; ++$i) {
        $obstacles[] = new Obstacle(mt_rand(0, 5000), mt_rand(0, 4000), mt_rand(200, 1000), mt_rand(200, 700));
    }
    $plan = new FloorPlan($obstacles);
    $points = [];
    while (count($points) < $stops + 1) {
        $point = new Point(mt_rand(-100, 6000), mt_rand(-100, 5000));
        if ($plan->isFree($point)) {
            $points[] = $point;
        }
    }

    return $plan->distances([...$points, $points[0]]);
}

echo "| cutting: pieces | scraps | jobs | sheets proven fewest | mean gap to the bound, sheets | median s | longest s |\n";
echo "|---:|---:|---:|---:|---:|---:|---:|\n";
foreach ([[10, 0], [30, 0], [80, 0], [10, 200], [30, 200], [80, 200]] as [$pieces, $scraps]) {
    mt_srand(1000 * $pieces + $scraps);
    $times = [];
    $proven = $gap = 0;
    $jobs = 12;
    for ($job = 0; $job < $jobs; ++$job) {
        [$wanted, $stocks] = cuttingJob($pieces, $scraps);
        $start = hrtime(true);
        [$plan, $bound] = (new CutPlanner())->plan($wanted, $stocks);
        $times[] = (hrtime(true) - $start) / 1e9;
        $proven += (int) ($plan->score->sheets === $bound);
        $gap += $plan->score->sheets - $bound;
    }
    sort($times);
    printf("| %d | %d | %d | %d %% | %.2f | %.2f | %.2f |\n", $pieces, $scraps, $jobs, ...[
        (int) round(100 * $proven / $jobs), $gap / $jobs, $times[intdiv($jobs, 2)], end($times),
    ]);
}

echo "\n| first and better plans: pieces | different | scraps | jobs | first, median s | first, longest s | best, median s | best, longest s |\n";
echo "|---:|---:|---:|---:|---:|---:|---:|---:|\n";
foreach ([[30, 3, 200], [30, 6, 200], [24, 12, 0], [24, 12, 200], [80, 10, 200]] as [$pieces, $different, $scraps]) {
    mt_srand(100 * $pieces + $different + $scraps);
    $times = ['0.05' => [], '0.6' => []];
    for ($job = 0; $job < 12; ++$job) {
        $wanted = [];
        for ($kind = 0; $kind < $different; ++$kind) {
            $wanted[] = new Piece('p'.$kind, 1016 * mt_rand(8, 44), 1016 * mt_rand(8, 44), intdiv($pieces, $different), true, '');
        }
        $stocks = [new Stock('letter', 69_088, 89_408, 100, '', true)];
        for ($scrap = 0; $scrap < $scraps; ++$scrap) {
            $stocks[] = new Stock('s'.$scrap, 1016 * mt_rand(8, 44), 1016 * mt_rand(8, 64), 1, '', false);
        }
        foreach (['0.05', '0.6'] as $seconds) {
            $start = hrtime(true);
            (new CutPlanner(new Trimmer(97_536, 1016), (float) $seconds))->plan($wanted, $stocks);
            $times[$seconds][] = (hrtime(true) - $start) / 1e9;
        }
    }
    sort($times['0.05']);
    sort($times['0.6']);
    [$short, $long] = [$times['0.05'], $times['0.6']];
    printf("| %d | %d | %d | 12 | %.2f | %.2f | %.2f | %.2f |\n", $pieces, $different, $scraps, $short[6], $short[11], $long[6], $long[11]);
}

echo "\n| rounds: stops | jobs | proven shortest | mean gap to the bound | largest gap | median s | longest s |\n|---:|---:|---:|---:|---:|---:|---:|\n";
foreach ([10, 13, 30, 60] as $stops) {
    mt_srand($stops);
    $times = $gaps = [];
    $proven = 0;
    for ($job = 0; $job < 12; ++$job) {
        $distances = walkingJob($stops);
        $start = hrtime(true);
        $round = (new RoundPlanner())->plan($distances, $stops);
        $times[] = (hrtime(true) - $start) / 1e9;
        $gaps[] = $round->length / $round->lowerBound - 1;
        $proven += (int) $round->isOptimal;
    }
    sort($times);
    printf("| %d | 12 | %d %% | %.2f %% | %.2f %% | %.2f | %.2f |\n", $stops, ...[
        (int) round(100 * $proven / 12), 100 * array_sum($gaps) / 12, 100 * max([0.0, ...$gaps]), $times[6], end($times),
    ]);
}

echo "\n| scrap search: scraps | with an odd outline | questions | p50 ms | p95 ms |\n|---:|---:|---:|---:|---:|\n";
mt_srand(5000);
$scraps = [];
for ($i = 0; $i < 5000; ++$i) {
    [$width, $height] = [mt_rand(16, 190) * 508, mt_rand(16, 190) * 508];
    $colour = Lab::of(Srgb::ofHex(sprintf('#%06x', 0x1F5C6B + 1111 * ($i % 60))));
    $l = [[0, 0], [$width, 0], [$width, intdiv($height, 2)], [intdiv($width, 3), intdiv($height, 2)], [intdiv($width, 3), $height], [0, $height]];
    $scraps[] = 0 === $i % 10
        ? Scrap::outlined('s'.$i, Outline::of($l), $colour, 216)
        : Scrap::rectangle('s'.$i, $width, $height, $colour, 190 + $i % 40, [Direction::None, Direction::Height, Direction::Width][$i % 3]);
}
$times = [];
for ($question = 0; $question < 60; ++$question) {
    $start = hrtime(true);
    (new ScrapSearch(Lab::of(Srgb::ofHex('#1f5c6b')), 5, 216))->among(new WantedPiece(mt_rand(8, 80) * 508, mt_rand(8, 100) * 508), $scraps);
    $times[] = (hrtime(true) - $start) / 1e6;
}
sort($times);
printf("| 5,000 | 500 | 60 | %.0f | %.0f |\n", $times[30], $times[56]);
