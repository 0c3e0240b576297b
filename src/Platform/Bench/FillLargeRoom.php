<?php

declare(strict_types=1);

namespace App\Platform\Bench;

use App\Platform\Database\Row;
use App\Platform\Demo\FurnishRoom;
use App\Room\Stores\BuildUnit;
use App\Room\Stores\Room;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Measure\Length;

/**
 * Makes a room far larger than most, for measuring: the same seed gives the same room. Movements are written straight
 * into the log, since replaying a quarter of a million steps would take an hour; the audit judges them afterwards.
 */
final class FillLargeRoom
{
    private const WORDS = [
        'anchor', 'barnacle', 'curlew', 'dinghy', 'eider', 'fathom', 'gull', 'harbour', 'island', 'jetty', 'kelp', 'lantern',
        'mackerel', 'net', 'oar', 'petrel', 'quay', 'rope', 'sandpiper', 'tern', 'urchin', 'voyage', 'whelk', 'yawl',
    ];
    private const WALLS = ['north wall', 'east wall', 'south wall', 'west wall', 'bench side'];
    /** Of twelve things three are scraps: 5,000 of 20,000. */
    private const KINDS = [
        ['stamp set', 'one'], ['die', 'one'], ['paper', 'count'], ['embellishment', 'count'], ['ink', 'level'], ['scrap', 'count'],
        ['stamp set', 'one'], ['scrap', 'count'], ['paper', 'count'], ['embellishment', 'count'], ['die', 'one'], ['scrap', 'count'],
    ];
    private const COLOURS = 300;
    private const LAST_OUT = 1200;
    private const LINES_OF_A_KIT = 208;
    private const SPAN_MINUTES = 1_250_000;

    /** @var array<string, int> */
    private array $special = [];

    /** @var list<array{string, string}>|null */
    private ?array $colours = null;

    public function __construct(
        private readonly Connection $database,
        private readonly EntityManagerInterface $entities,
        private readonly FurnishRoom $furnish,
        private readonly BuildUnit $build,
        private readonly FillEveryday $everyday,
    ) {
    }

    public function fill(int $seed, int $items, int $movements): void
    {
        mt_srand($seed);
        $this->furnish->people();
        $places = $this->furniture();
        foreach ($this->database->fetchAllAssociative("SELECT address, id FROM place WHERE nature <> 'storage'") as $columns) {
            $row = new Row($columns);
            $this->special[$row->text('address')] = $row->int('id');
        }
        $this->database->beginTransaction();
        $homes = $this->items($items, $places);
        $kits = $this->kits(max(self::LAST_OUT, intdiv($movements, self::LINES_OF_A_KIT)));
        $this->movements($homes, $kits, $movements, $places);
        $this->database->executeStatement("UPDATE item SET since = (SELECT min(at) FROM movement m WHERE m.item_id = item.id),
            used_at = (SELECT max(at) FROM movement m WHERE m.item_id = item.id AND +m.reason IN ('pull', 'use', 'cut'))");
        $this->database->commit();
        $this->database->executeStatement('ANALYZE');
    }

    /** @return list<int> 500 places in 25 units */
    private function furniture(): array
    {
        $room = $this->entities->getRepository(Room::class)->findOneBy([]) ?? throw new \LogicException('The room comes first.');
        foreach (range(0, 24) as $index) {
            ($this->build)($room, UnitTemplate::Cubes, \chr(65 + $index), 'unit '.$index, self::WALLS[$index % 5], 5, 4);
        }
        $this->entities->flush();
        $this->entities->clear();

        return array_map(Row::number(...), $this->database->fetchFirstColumn("SELECT id FROM place WHERE nature = 'storage'"));
    }

    /**
     * @param list<int> $places
     *
     * @return array<int, array{int, string}> home and tracking, by item
     */
    private function items(int $count, array $places): array
    {
        $insert = $this->database->prepare("INSERT INTO item (name, maker, kind, tracking, home_id, themes, colour, colour_name, sentiments, sheet_width,
            sheet_height, grammage, direction, hazards) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, '[]')");
        $index = $this->database->prepare('INSERT INTO finder (rowid, name, maker, words, address)
            SELECT 2 * i.id, i.name, i.maker, i.sentiments || i.kind, p.address FROM item i JOIN place p ON p.id = i.home_id WHERE i.id = ?');
        $homes = [];
        for ($id = 1; $id <= $count; ++$id) {
            [$kind, $tracking] = self::KINDS[$id % 12];
            $home = $places[mt_rand(0, \count($places) - 1)];
            $values = [
                $this->words(2).' '.$id,
                ucfirst($this->words(1)).' & Co',
                $kind,
                $tracking,
                $home,
                json_encode([$this->words(1)]),
                ...$this->colour(),
                $this->words(5),
                ...self::sheet($kind),
            ];
            foreach ($values as $position => $value) {
                $insert->bindValue($position + 1, $value);
            }
            $insert->executeStatement();
            $index->bindValue(1, $id);
            $index->executeStatement();
            $homes[$id] = [$home, $tracking];
        }

        return $homes;
    }

    /** @return list<array{int, int|null}> kit and tray; four are out, the others closed */
    private function kits(int $count): array
    {
        $kits = [];
        for ($id = 1; $id <= $count; ++$id) {
            $tray = null;
            if ($id > self::LAST_OUT - 4 && $id <= self::LAST_OUT) {
                $nth = $id - self::LAST_OUT + 4;
                $this->database->insert('place', ['nature' => 'tray', 'kind' => 'tray', 'address' => 'tray '.$nth, 'name' => 'tray']);
                $tray = (int) $this->database->lastInsertId();
            }
            $this->database->insert('kit', [
                'name' => $this->words(3),
                'stage' => null === $tray ? 'closed' : (1 === $id % 2 ? 'making' : 'pulling'),
                'tray_id' => $tray,
                'created_at' => '2025-01-01 09:00:00',
                'out_since' => '2026-11-01 09:00:00',
                'closed_at' => null === $tray ? '2026-01-01 09:00:00' : null,
            ]);
            $kits[] = [$id, $tray];
        }

        return $kits;
    }

    /**
     * One of three hundred colours, each with its name, as a large stash has them.
     *
     * @return array{string, string}
     */
    private function colour(): array
    {
        $this->colours ??= array_map(fn (int $nth): array => [
            \sprintf('#%02x%02x%02x', ...array_map(static fn (int $_): int => 20 + 35 * mt_rand(0, 6), [0, 1, 2])),
            $this->words(1).' '.$nth,
        ], range(1, self::COLOURS));

        return $this->colours[mt_rand(0, self::COLOURS - 1)];
    }

    /** @return array{int|null, int|null, int|null, string|null} width, height, weight and direction of a paper or scrap */
    private static function sheet(string $kind): array
    {
        $sixteenth = intdiv(Length::TICKS_PER_INCH, 16);

        return match ($kind) {
            'paper' => [192 * $sixteenth, 192 * $sixteenth, 216_329, 'none'],
            'scrap' => [mt_rand(16, 190) * $sixteenth, mt_rand(16, 190) * $sixteenth, 216_329, ['none', 'h', 'w'][mt_rand(0, 2)]],
            default => [null, null, null, null],
        };
    }

    /**
     * Each item comes in; then things go round: out of a drawer and back, some used up. The last rounds stay on their trays.
     *
     * @param array<int, array{int, string}> $homes
     * @param list<array{int, int|null}> $kits
     * @param list<int> $places
     */
    private function movements(array $homes, array $kits, int $count, array $places): void
    {
        $insert = $this->database->prepare('INSERT INTO movement (item_id, from_id, to_id, kit_id, account_id, quantity, at, reason, request_id)
            VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)');
        $written = 0;
        $balances = [];
        $at = new \DateTimeImmutable('2024-06-01 08:00:00', new \DateTimeZone('UTC'));
        $step = max(1, (int) round(60 * self::SPAN_MINUTES / $count));
        $write = function (int $item, int $from, int $to, ?int $kit, int $quantity, string $reason) use (&$written, &$balances, &$at, $insert, $step): int {
            $at = $at->modify("+{$step} seconds");
            $request = \sprintf('00000000-0000-7000-8000-%012d', $written);
            foreach ([$item, $from, $to, $kit, 1 + $written % 2, $quantity, $at->format('Y-m-d H:i:s'), $reason, $request] as $position => $value) {
                $insert->bindValue($position + 1, $value);
            }
            $insert->executeStatement();
            $balances[$item][$from] = ($balances[$item][$from] ?? 0) - $quantity;
            $balances[$item][$to] = ($balances[$item][$to] ?? 0) + $quantity;
            ++$written;

            return (int) $this->database->lastInsertId();
        };
        foreach ($homes as $item => [$home, $tracking]) {
            $write($item, $this->special['bought'], $home, null, ['one' => 1, 'level' => 8][$tracking] ?? 1000, 'take in');
        }
        $out = array_values(array_filter($kits, static fn (array $kit): bool => null !== $kit[1]));
        $closed = array_values(array_filter($kits, static fn (array $kit): bool => null === $kit[1]));
        $anyTray = (int) (end($out)[1] ?? 0);
        while ($written < $count - 120) {
            $item = mt_rand(1, \count($homes));
            [$home, $tracking] = $homes[$item];
            $kit = $closed[mt_rand(0, \count($closed) - 1)][0];
            $quantity = 'count' === $tracking ? min(10, $balances[$item][$home] ?? 0) : ($balances[$item][$home] ?? 0);
            if ($quantity < 1) {
                continue;
            }
            $write($item, $home, $anyTray, $kit, $quantity, 'pull');
            $used = 'count' === $tracking ? mt_rand(0, 3) : 0;
            if ($used > 0 && $used < $quantity) {
                $write($item, $anyTray, $this->special['used up'], $kit, $used, 'use');
                $quantity -= $used;
            }
            $write($item, $anyTray, $home, $kit, $quantity, 'return');
        }
        $this->leaveOut($homes, $out, $write, $balances);
        $this->store($balances);
        $this->everyday->fill($this->words(...), function (int $item, int $from, int $to, ?int $kit, int $quantity, string $reason) use ($write): int {
            $this->shift($item, $from, -$quantity);
            $this->shift($item, $to, $quantity);

            return $write($item, $from, $to, $kit, $quantity, $reason);
        }, ['tray' => $anyTray] + $this->special, $places);
    }

    private function shift(int $item, int $place, int $by): void
    {
        $there = $this->database->fetchOne('SELECT quantity FROM balance WHERE item_id = ? AND place_id = ?', [$item, $place]);
        $quantity = (\is_int($there) ? $there : 0) + $by;
        $this->database->executeStatement('DELETE FROM balance WHERE item_id = ? AND place_id = ?', [$item, $place]);
        if (0 !== $quantity) {
            $this->database->insert('balance', ['item_id' => $item, 'place_id' => $place, 'quantity' => $quantity]);
        }
    }

    /**
     * @param array<int, array{int, string}> $homes
     * @param list<array{int, int|null}> $kits
     * @param callable(int, int, int, int|null, int, string): int $write
     * @param array<int, array<int, int>> $balances
     */
    private function leaveOut(array $homes, array $kits, callable $write, array &$balances): void
    {
        foreach ($kits as [$kit, $tray]) {
            foreach (array_rand($homes, 30) as $place => $item) {
                $isTaken = $place < 15;
                $state = ['taken' => (int) $isTaken, 'state' => $isTaken ? 'taken' : 'open'];
                $this->database->insert('need', ['kit_id' => $kit, 'item_id' => $item, 'quantity' => 1] + $state);
                [$home, $tracking] = $homes[$item];
                $there = $balances[$item][$home] ?? 0;
                if ($place < 15 && $there > 0) {
                    $write($item, $home, (int) $tray, $kit, 'count' === $tracking ? 1 : $there, 'pull');
                }
            }
        }
    }

    /** @param array<int, array<int, int>> $balances */
    private function store(array $balances): void
    {
        $insert = $this->database->prepare('INSERT INTO balance (item_id, place_id, quantity) VALUES (?, ?, ?)');
        foreach ($balances as $item => $places) {
            foreach ($places as $place => $quantity) {
                if (0 !== $quantity) {
                    $insert->bindValue(1, $item);
                    $insert->bindValue(2, $place);
                    $insert->bindValue(3, $quantity);
                    $insert->executeStatement();
                }
            }
        }
    }

    private function words(int $count): string
    {
        return implode(' ', array_map(static fn (): string => self::WORDS[mt_rand(0, 23)], range(1, $count)));
    }
}
