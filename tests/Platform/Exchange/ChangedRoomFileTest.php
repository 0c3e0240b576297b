<?php

declare(strict_types=1);

namespace App\Tests\Platform\Exchange;

use App\Platform\Exchange\ImportRoom;
use App\Platform\Exchange\InvalidRoomFile;
use App\Tests\OwnFileTestCase;
use App\Tests\SpoiltRoom;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * A room's file in which a single value was changed is either refused with its path, or is a room whose pages can all be shown.
 * LOTTEL_FUZZ says how many changes are tried; the seed is the same each time.
 */
final class ChangedRoomFileTest extends OwnFileTestCase
{
    private const CHANGES = 120;
    private const SEED = 20261201;
    private const PAGES = [
        '/plan', '/stores', '/log', '/find?q=a', '/paper', '/make', '/return', '/upkeep', '/stores/plan', '/stores/labels', '/stores/colours',
        '/year', '/shelf', '/albums', '/loans', '/upkeep/people', '/patterns', '/paper/ahead', '/upkeep/shopping', '/take-in', '/propose',
    ];
    private const VALUES = [
        null, true, 0, -1, 1, 7, 10 ** 15, 2 ** 53, -(2 ** 40), 0.5, 1e300,
        '', '1/2', '../x', 'garbage', '0', "a\u{FFFE}b", [], [[]], [1, 2], ['x'], [[1, 'x']],
        ['a' => 1], [['a' => []]], ['' => null],
    ];

    private static string $document = '';
    private static string $empty = '';

    /** @return iterable<string, array{string, mixed, string}> */
    public static function changes(): iterable
    {
        yield 'letters' => ['units.0.letters', '1/2', 'units[0].letters'];
        yield 'a width' => ['units.0.width', 10 ** 15, 'units[0].width'];
        yield 'hazards' => ['items.0.hazards', ['a' => 1], 'items[0].hazards'];
        yield 'further kinds' => ['places.0.also_kinds', ['stars'], 'places[0].also_kinds'];
        yield 'a scheme' => ['places.0.scheme', 'by smell', 'places[0].scheme'];
        yield 'a season' => ['items.0.season', 'monsoon', 'items[0].season'];
        yield 'a last number' => ['last_numbers.items', 2 ** 53, 'last_numbers.items'];
        yield 'the floor plan' => ['rooms.0.plan', [1, 2], 'rooms[0].plan'];
        yield 'hours' => ['rooms.0.week_minutes', [1], 'rooms[0].week_minutes'];
        yield 'a name' => ['items.0.name', "Gu\u{FFFE}lls", 'items[0].name'];
    }

    #[DataProvider('changes')]
    public function testAValueIsReadByTheTypeThatTheApplicationUses(string $path, mixed $value, string $field): void
    {
        $this->refuses(SpoiltRoom::of($this->document())->set($path, $value)->json(), $field);
    }

    public function testWhatOnlySeveralRowsSayIsLookedAt(): void
    {
        $room = SpoiltRoom::of($this->document());
        $owner = $room->first('people', 'role', 'owner');
        $this->refuses($room->set("people.{$owner}.is_child", true)->json(), "people[{$owner}].is_child");
        $room = SpoiltRoom::of($this->document());
        $place = $room->first('places', 'address', 'C2');
        $this->refuses($room->set("places.{$place}.address", '../x')->json(), "places[{$place}].address");
    }

    public function testASingleChangeIsRefusedOrLeavesNoPageBroken(): void
    {
        mt_srand(self::SEED);
        $paths = self::leaves(json_decode($this->document(), true));
        $taken = $refused = 0;
        for ($change = 0; $change < (int) (getenv('LOTTEL_FUZZ') ?: self::CHANGES); ++$change) {
            $path = $paths[mt_rand(0, \count($paths) - 1)];
            $value = self::VALUES[mt_rand(0, \count(self::VALUES) - 1)];
            $what = $path.' = '.json_encode($value, \JSON_PARTIAL_OUTPUT_ON_ERROR);
            try {
                $this->import(SpoiltRoom::of($this->document())->set($path, $value)->json());
                ++$taken;
            } catch (InvalidRoomFile $invalid) {
                ++$refused;
                continue;
            }
            $this->noPageIsBroken($what);
        }
        self::assertGreaterThan(0, $taken);
        self::assertGreaterThan($taken, $refused);
    }

    private function noPageIsBroken(string $what): void
    {
        $owner = $this->database()->fetchOne("SELECT login FROM account WHERE role = 'owner' AND left_at IS NULL LIMIT 1");
        $this->signIn(\is_string($owner) ? $owner : '');
        $pages = [
            ...self::PAGES,
            ...array_map(
                static fn (mixed $id): string => '/items/'.(\is_scalar($id) ? $id : ''),
                $this->database()->fetchFirstColumn('SELECT id FROM item LIMIT 6'),
            ),
        ];
        foreach ($this->database()->fetchFirstColumn('SELECT id FROM kit WHERE removed_at IS NULL LIMIT 3') as $kit) {
            foreach (['', '/design', '/cut', '/make', '/return'] as $page) {
                $pages[] = '/kits/'.(\is_scalar($kit) ? $kit : '').$page;
            }
        }
        foreach ($this->database()->fetchFirstColumn("SELECT address FROM place WHERE nature = 'storage' AND retired_at IS NULL LIMIT 3") as $address) {
            $pages[] = '/stores/places/'.(\is_string($address) ? rawurlencode($address) : '');
        }
        foreach ($pages as $page) {
            $this->get($page);
            self::assertLessThan(500, $this->code(), "{$page} after {$what}: ".mb_substr($this->text(), 0, 400));
        }
    }

    private function refuses(string $document, string $field): void
    {
        try {
            $this->import($document);
            self::fail('It was read in.');
        } catch (InvalidRoomFile $invalid) {
            self::assertSame($field, $invalid->field);
        }
    }

    private function import(string $document): void
    {
        self::ensureKernelShutdown();
        file_put_contents($this->data.'/room.sqlite', self::$empty);
        foreach (['-wal', '-shm'] as $end) {
            is_file($this->data.'/room.sqlite'.$end) && unlink($this->data.'/room.sqlite'.$end);
        }
        $this->openRoom();
        $handle = fopen('php://temp', 'w+');
        \assert(false !== $handle);
        fwrite($handle, $document);
        rewind($handle);
        ($this->service(ImportRoom::class))($handle);
    }

    /** A small room of the latest version, as its document; and an empty room's file. */
    private function document(): string
    {
        if ('' === self::$document) {
            $this->moveInto(14);
            $this->console('doctrine:migrations:migrate');
            self::$document = $this->console('lottel:export', '-');
            unlink($this->data.'/room.sqlite');
            $this->console('doctrine:migrations:migrate');
            self::$empty = (string) file_get_contents($this->data.'/room.sqlite');
        }

        return self::$document;
    }

    /** @return list<string> the path of each value, of those in the history of steps a few */
    private static function leaves(mixed $value, string $path = ''): array
    {
        if (!\is_array($value) || [] === $value) {
            return [$path];
        }
        $leaves = [];
        foreach ($value as $key => $one) {
            $at = '' === $path ? (string) $key : "{$path}.{$key}";
            if (!\in_array($at, ['changes', 'steps', 'exported_at', 'photos'], true)) {
                array_push($leaves, ...self::leaves($one, $at));
            }
        }

        return '' === $path ? $leaves : [...$leaves, ...1 < substr_count($path, '.') ? [$path] : []];
    }
}
