<?php

declare(strict_types=1);

// Times the pages of a running room. Called by bin/bench:  php bench/pages.php URL REQUESTS
[$url, $requests] = [$argv[1], (int) $argv[2]];
$jar = tempnam(sys_get_temp_dir(), 'lottel-jar-');

if ('' === $url || false === $jar) {
    exit(1);
}

$ask =
    /**
     * @param list<string> $headers
     *
     * @return array{int, float, string} status, milliseconds, body
     */
    static function (string $path, ?string $post = null, array $headers = []) use ($url, $jar): array {
    $curl = curl_init($url.$path);
    curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEJAR => $jar, CURLOPT_COOKIEFILE => $jar]);
    curl_setopt($curl, CURLOPT_HTTPHEADER, ['Sec-Fetch-Site: same-origin', ...array_values(array_filter($headers, is_string(...)))]);
    if (null !== $post) {
        curl_setopt($curl, CURLOPT_POSTFIELDS, $post);
    }
    $start = hrtime(true);
    $body = (string) curl_exec($curl);
    $milliseconds = (hrtime(true) - $start) / 1e6;
    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    curl_close($curl);

    return [$status, $milliseconds, $body];
};

$ask('/sign-in', 'login=ada&password=lantern-room');
$pages = [
    'plan' => ['/plan'],
    'kit' => ['/kits/1200'],
    'pull round' => ['/kits/1200/pull', '/kits/1198/pull'],
    'bench' => ['/kits/1199/make'],
    'return round' => ['/kits/1199/return'],
    'stores' => ['/stores'],
    'unit' => ['/stores/units/C', '/stores/units/Q'],
    'place' => ['/stores/places/C3', '/stores/places/M12', '/stores/places/X20'],
    'item' => ['/items/7', '/items/9000', '/items/19999'],
    'find, one letter' => ['/find?q=h', '/find?q=p'],
    'find, a word' => ['/find?q=petrel', '/find?q=harb'],
    'find, three words' => ['/find?q=gull+rope+quay', '/find?q=tern+net+oar'],
    'find, misspelt' => ['/find?q=petrle', '/find?q=hrabour'], 'find page, narrowed' => ['/find?q=gull&kind=die', '/find?theme=sea&unused=12'],
    'floor plan' => ['/stores/plan'], 'not filed and new' => ['/stores/queue'], 'labels to print' => ['/stores/labels'], 'legend' => ['/stores/units/C/legend'],
    'paper' => ['/paper'],
    'paper, a piece' => ['/paper?piece=4+x+5+1%2F4&colour=Petrel', '/paper?piece=3+x+6&colour=blue', '/paper?piece=2+x+4'],
    'log' => ['/log'],
    'log of a place' => ['/log?place=C3', '/log?place=M12'],
    'log of an item' => ['/log?item=77'],
    'log of a person' => ['/log?person=2'],
    'log by reason' => ['/log?reason=use'],
    'log of old days' => ['/log?from=2024-07-01&until=2024-07-31'],
    'upkeep' => ['/upkeep'],
    'lying about' => ['/upkeep/lying'],
    'lost' => ['/upkeep/lost'],
    'counts' => ['/upkeep/counts'],
    'a count sheet' => ['/stores/places/C3/count', '/stores/places/M12/count'],
    'runs out' => ['/upkeep/stocks'],
    'shopping' => ['/upkeep/shopping'],
    'full' => ['/upkeep/full'],
    'figures' => ['/upkeep/figures'],
    'not used' => ['/upkeep/idle', '/upkeep/idle?months=6'],
    'seasons' => ['/upkeep/seasons'], 'a larger change' => ['/upkeep/change'],
    'what the dies cut' => ['/stores/dies'],
    'colours' => ['/stores/colours', '/stores/colours?kind=ink'], 'lists to take along' => ['/lists'],
    'better homes, found' => ['/upkeep/homes?look=1'],
    'year' => ['/year'],
    'dates' => ['/occasions'],
    'shelf' => ['/shelf'],
    'whole year' => ['/year/whole'],
    'loans' => ['/loans'],
    'collections' => ['/stores/collections'],
    'missing' => ['/missing'],
    'propose' => ['/propose?many=4'],
];
$fragments = ['find, one letter', 'find, a word', 'find, three words', 'find, misspelt'];
// What the machine itself needs for the same piece of arithmetic, so that a busy hour is told from a slow page.
$arithmetic = static function (): float {
    $start = hrtime(true);
    for ($i = $sum = 0; $i < 400_000; ++$i) {
        $sum += $i % 7;
    }

    return (hrtime(true) - $start) / 1e6;
};
/** @var array<string, list<float>> $times */
$times = [];
$sizes = $over = $machine = [];
foreach ($pages as $paths) {
    $ask($paths[0]);
}
// Page after page, over and over: what else the machine does meets all of them alike.
for ($i = 0; $i < $requests; ++$i) {
    $machine[] = $arithmetic();
    $plan = 1.0;
    foreach ($pages as $name => $paths) {
        $headers = in_array($name, $fragments, true) ? ['HX-Request: true', 'HX-Target: results'] : [];
        [$status, $milliseconds, $body] = $ask($paths[$i % count($paths)], null, $headers);
        if (200 !== $status) {
            fwrite(STDERR, "{$name}: answered {$status}\n");
            exit(1);
        }
        $times[$name][] = $milliseconds;
        $plan = 'plan' === $name ? $milliseconds : $plan;
        $over[$name][] = $milliseconds / $plan;
        $sizes[$name] = strlen($body) / 1024;
    }
}
printf("| page | p50 ms | p95 ms | times Plan of the same round, median | KiB |\n|---|---:|---:|---:|---:|\n");
$worst = 0.0;
foreach ($times as $name => $all) {
    $worst = max($worst, median($all, 0.95));
    printf("| %s | %.1f | %.1f | %.1f | %.0f |\n", $name, median($all), median($all, 0.95), median($over[$name] ?? []), $sizes[$name] ?? 0.0);
}
$plan = median($times['plan'] ?? []) ?: 1.0;
printf("\nThe same arithmetic in each round: %.1f ms, %.1f in the slowest twentieth.\n\n", median($machine), median($machine, 0.95));
$random = static fn (int $digits): string => substr(bin2hex(random_bytes(6)), 0, $digits);
$uuid = static fn (): string => sprintf('%s-%s-4%s-8%s-%s', $random(8), $random(4), $random(3), $random(3), $random(12));
// A design with four papers: its board, the drawing while one types, and a change after which pieces, cuts and list are planned anew.
[, , $answer] = $ask('/kits', http_build_query(['_request' => $uuid(), 'name' => '12 cards A2, top fold, mat 1/16, panel 4 × 5 1/4, strip 3 × 3/4']));
if (1 !== preg_match('#/kits/(\d+)/design#', $answer, $m)) {
    exit(1);
}
$board = "/kits/{$m[1]}/design";
$revision = static function () use ($ask, $board): string {
    return 1 === preg_match('/name="revision" value="(\d+)"/', $ask($board)[2], $m) ? $m[1] : '';
};
preg_match_all('/<option value="([^"]{6,})">/', $ask('/papers/names')[2], $papers);
$chosen = [];
foreach (['L1' => ['reveal' => '1/16'], 'L2' => ['size' => '4 × 5 1/4'], 'L3' => ['size' => '3 × 3/4']] as $part => $fields) {
    $paper = html_entity_decode($papers[1][(int) substr($part, 1) * 7]);
    $said = $fields + ['_request' => $uuid(), 'revision' => $revision(), 'paper' => $paper, 'wish' => 'near'];
    [$status] = $ask("{$board}/parts/{$part}", http_build_query($said));
    if (303 !== $status) {
        exit(1);
    }
    $chosen[$part] = $paper;
}
$changes = [
    'board' => static fn (int $i): array => $ask($board),
    'board, as typed' => static fn (int $i): array => $ask(
        "{$board}/preview/L3",
        http_build_query(['size' => '3 × '.(1 + $i % 3).'/2', 'paper' => $chosen['L3']]),
    ),
    'board, a change' => static function (int $i) use ($ask, $board, $uuid, $revision, $chosen): array {
        $seen = $revision();

        $said = ['_request' => $uuid(), 'revision' => $seen, 'size' => '3 × '.(1 + $i % 3).'/2', 'paper' => $chosen['L3']];

        return $ask("{$board}/parts/L3", http_build_query($said));
    },
];
foreach ($changes as $name => $change) {
    $times = [];
    $size = 0;
    for ($i = 0; $i < $requests; ++$i) {
        [$status, $milliseconds, $body] = $change($i);
        $size = strlen($body);
        if (!in_array($status, [200, 303], true)) {
            fwrite(STDERR, "{$name}: answered {$status}\n");
            exit(1);
        }
        $times[] = $milliseconds;
    }
    sort($times);
    $middle = $times[intdiv(count($times), 2)];
    printf("| %s | %.1f | %.1f | %.1f | %.0f |\n", $name, $middle, $times[(int) ceil(0.95 * count($times)) - 1], $middle / $plan, $size / 1024);
}
printf("\nThe slowest page at the 95th percentile: %.1f ms.\n", $worst);
unlink($jar);

/** @param list<float> $numbers */
function median(array $numbers, float $share = 0.5): float
{
    sort($numbers);

    return $numbers[max(0, (int) ceil($share * count($numbers)) - 1)] ?? 0.0;
}
