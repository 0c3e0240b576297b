<?php

declare(strict_types=1);

/*
 * Several devices at once: each plans a kit, pulls it in a round, sends all of it home, and begins anew, as fast as the room answers.
 *   php bench/devices.php URL DATA_DIRECTORY DEVICES SECONDS
 * Told at the end: how many steps were written, what was refused, whether every step that was answered stands in the room once.
 */
require __DIR__.'/Device.php';

[, $url, $data, $devices, $seconds] = $argv + ['', '', '', '10', '60'];
$notes = sys_get_temp_dir().'/lottel-devices-'.getmypid();
mkdir($notes, 0o700);
$people = [['ada', 'lantern-room'], ['ben', 'loose-rope']];
for ($n = 0; $n < (int) $devices; ++$n) {
    if (0 === pcntl_fork()) {
        mt_srand(1926 + $n);
        (new Device($url, ...$people[$n % 2], notes: "{$notes}/{$n}"))->work((int) $seconds);
        exit(0);
    }
}
$gaveUp = 0;
while (pcntl_waitpid(-1, $status) > 0) {
    $gaveUp += 0 === $status ? 0 : 1;
}

$statuses = $times = $written = [];
foreach (glob($notes.'/*') ?: [] as $file) {
    foreach (file($file, \FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        [$method, $status, $milliseconds, $request, $things] = explode(' ', $line);
        $statuses["{$method} {$status}"] = ($statuses["{$method} {$status}"] ?? 0) + 1;
        $times[$method][] = (float) $milliseconds;
        if ('POST' === $method && '303' === $status && '-' !== $request) {
            $written[$request] = (int) $things;
        }
    }
    unlink($file);
}
rmdir($notes);
ksort($statuses);
foreach ($statuses as $what => $many) {
    printf("%-10s %d\n", $what, $many);
}
foreach ($times as $method => $all) {
    sort($all);
    printf("%-10s p50 %.0f ms, p95 %.0f ms, longest %.0f ms\n", $method, $all[intdiv(count($all), 2)], $all[(int) (0.95 * count($all))], end($all));
}

$room = new PDO("sqlite:{$data}/room.sqlite");
$once = $room->prepare('SELECT count(*) FROM write_request WHERE id = ?');
$moved = $room->prepare('SELECT count(*) FROM movement WHERE request_id = ?');
[$lost, $short, $lines] = [0, 0, 0];
foreach ($written as $request => $things) {
    $once->execute([$request]);
    $moved->execute([$request]);
    $lost += 1 === (int) $once->fetchColumn() ? 0 : 1;
    $here = (int) $moved->fetchColumn();
    $lines += $here;
    $short += $here < $things ? 1 : 0;
}
printf(
    "%d devices, %d s: %d steps written with %d lines of the log; steps lost: %d; steps with fewer lines than things: %d; devices that gave up: %d\n",
    (int) $devices,
    (int) $seconds,
    count($written),
    $lines,
    $lost,
    $short,
    $gaveUp,
);
exit(0 === $lost + $short + $gaveUp ? 0 : 1);
