<?php

declare(strict_types=1);

namespace App\Tests\Room\Stores;

use App\Platform\Database\Row;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\RouterInterface;

/** A place in a request may be any row of the database: only those that things are kept in are taken. */
final class PlacesTest extends RoomTestCase
{
    private Item $gulls;
    private Item $card;
    private int $kit;
    private int $other;
    private string $retired = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->gulls] = $this->putInto('C1', 'Gulls');
        [$this->card] = $this->putInto('C2', 'Petrel card;;24');
        $this->kit = $this->planKit('Mine', [[$this->gulls, 1], [$this->card, 10]]);
        $this->other = $this->planKit('Another’s', [[$this->card, 4]]);
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->postAndFollow("/kits/{$this->other}/pull");
        $this->postAndFollow("/kits/{$this->other}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($this->other, $this->card)]]);
        $this->postAndFollow('/stores/places/C5/retire');
        $this->retired = $this->word('SELECT address FROM place WHERE retired_at IS NOT NULL');
    }

    /** @return iterable<string, array{string}> */
    public static function roles(): iterable
    {
        yield 'the owner' => ['olive'];
        yield 'a helper' => ['hank'];
    }

    /** Every writing route is tried with every system place and a retired one, in its path and in each field that names a place. */
    #[DataProvider('roles')]
    public function testNoRouteTakesAPlaceThatIsNone(string $who): void
    {
        $this->signIn($who);
        $before = [$this->movements(), $this->state()];
        $tried = 0;
        $places = [...Row::words($this->database()->fetchFirstColumn("SELECT address FROM place WHERE nature IN ('outside', 'tray')")), $this->retired];
        self::assertGreaterThan(10, \count($places));
        $fields = [
            'needs' => [$this->needId($this->kit, $this->card)],
            'need' => $this->needId($this->kit, $this->card),
            'item' => $this->card->id,
            'items' => [$this->card->id, $this->gulls->id],
            'quantity' => '9',
            'things' => 'Odd shell',
            'name' => 'Odd',
            'scheme' => 'name',
            'cared' => ['inky'],
            'no_more' => '1',
            'parts' => '2',
            'direction' => 'across',
            'division' => 'left and right',
            'label' => 'b',
            'kind' => 'box',
            'layer' => '0',
            'new_address' => 'C19',
            'from' => 'given',
            'why' => '',
            'format' => 'front',
        ];
        foreach ($this->service(RouterInterface::class)->getRouteCollection() as $route) {
            if (!\in_array('POST', $route->getMethods(), true) || \in_array($route->getPath(), ['/sign-in', '/begin', '/sign-out'], true)) {
                continue;
            }
            $isInPath = str_contains($route->getPath(), '{address}');
            if (!$isInPath && 1 !== preg_match('#/(pull|return|make|items|scan|several|queue|labels)#', $route->getPath())) {
                continue;
            }
            foreach ($places as $place) {
                $id = $this->number('SELECT id FROM place WHERE address = ?', [$place]);
                $path = strtr($route->getPath(), [
                    '{address}' => rawurlencode($place),
                    '{id}' => str_contains($route->getPath(), 'kits')
                        ? (string) $this->kit
                        : (str_contains($route->getPath(), 'labels')
                            ? (string) $id
                            : (string) $this->card->id),
                    '{need}' => (string) $this->needId($this->kit, $this->card),
                    '{subject}' => 'place',
                    '{letters}' => 'C',
                ]);
                $named = $isInPath
                    ? ['with' => 'C1', 'to' => 'C1', 'outer' => 'C1', 'address' => 'C1']
                    : ['place' => $place, 'address' => $place, 'to' => $place, 'code' => $place, 'on' => 'file:'.$this->card->id];
                if (
                    !$isInPath
                    && 1 === preg_match(
                        '#/(needs|end|close|delete|photo|colour|duplicate|companions|edit|into-kit|tracking|more|pull|return)(/[^/]*)?$#',
                        $route->getPath(),
                    )
                    && 1 !== preg_match('#/(take|not-here|fewer|instead|unknown|home|finish|counted|found|stock|use|lost)$#', $route->getPath())
                ) {
                    continue;
                }
                if (1 === preg_match('#/(use|lost|instead|printed|things/labels)$#', $route->getPath())) {
                    continue; // these name no place, or take it for a hint only
                }
                $this->post($path, $named + $fields);
                self::assertContains($this->code(), [403, 404, 409, 422], "{$path} with {$place}: ".$this->code());
                self::assertSame($before, [$this->movements(), $this->state()], "{$path} with {$place} wrote something");
                ++$tried;
            }
        }
        self::assertGreaterThan(200, $tried);
        foreach ($places as $place) {
            foreach (['', '/furniture', '/label'] as $page) {
                $this->get('/stores/places/'.rawurlencode($place).$page);
                self::assertContains($this->code(), [403, 404], $place.$page);
            }
        }
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testWhatTheHeapHoldsIsPulledAndNothingElseFromOutside(): void
    {
        [$shell] = $this->putInto('not filed', 'Odd shell');
        $kit = $this->planKit('Shells', [[$shell, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->signIn('hank');
        $this->post("/kits/{$kit}/pull/take", ['place' => 'given', 'needs' => [$this->needId($kit, $shell)]]);
        $this->assertCode(404);
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'not filed', 'needs' => [$this->needId($kit, $shell)]]);
        self::assertSame(['bought' => -1, 'tray 3' => 1], $this->balances($shell));
    }

    public function testAThingIsNotTakenOffAnotherKitsTray(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->gulls)]]);
        $thief = $this->planKit('Thief', [[$this->gulls, 1]]);
        $this->postAndFollow("/kits/{$thief}/pull");
        foreach (
            [
                'take' => ['needs' => [$this->needId($thief, $this->gulls)]],
                'not-here' => ['need' => $this->needId($thief, $this->gulls)],
                'fewer' => ['need' => $this->needId($thief, $this->gulls), 'quantity' => '1', 'no_more' => '1'],
            ] as $step => $fields
        ) {
            $this->post("/kits/{$thief}/pull/{$step}", ['place' => 'tray 1'] + $fields);
            $this->assertCode(404, $step);
        }
        foreach (
            [
                "/kits/{$thief}/return/home" => ['items' => [$this->gulls->id], 'cared' => ['inky']],
                "/kits/{$thief}/return/lost" => ['item' => $this->gulls->id],
                "/kits/{$thief}/make/use" => ['item' => $this->gulls->id, 'quantity' => '1'],
                "/kits/{$thief}/make/finish" => ['name' => 'x', 'quantity' => '1', 'of' => [$this->gulls->id], 'used_'.$this->gulls->id => '1'],
            ] as $path => $fields
        ) {
            $this->post($path, $fields);
            self::assertContains($this->code(), [409, 422], $path);
        }
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->balances($this->gulls));
    }

    public function testTheDatabaseItselfRefusesSuchMovements(): void
    {
        $insert =
            'INSERT INTO movement (item_id, from_id, to_id, kit_id, account_id, quantity, at, reason, request_id)
                SELECT ?, f.id, t.id, ?, 1, 1, ?, ?, ? FROM place f, place t WHERE f.address = ? AND t.address = ?';
        foreach (
            [
                ['given', 'tray 1', 'pull'],
                ['lost', 'tray 1', 'pull'],
                ['tray 2', 'tray 1', 'pull'],
                ['C2', 'C1', 'pull'],
                ['C2', 'used up', 'use'],
                ['used up', 'C2', 'take in'],
                ['C2', $this->retired, 'move'],
                ['C2', 'C1', 'whim'],
            ] as [$from, $to, $reason]
        ) {
            try {
                $this->database()->executeStatement($insert, [$this->card->id, $this->kit, '2026-11-25 10:00:00', $reason, 'x', $from, $to]);
                self::fail("{$from} to {$to} for {$reason} was taken.");
            } catch (\Doctrine\DBAL\Exception $refused) {
                self::assertStringContainsString('law 1', $refused->getMessage());
            }
        }
    }

    public function testFormsForAPlaceThatIsGoneLoseNothingTyped(): void
    {
        $this->post('/stores/places/C9/things', ['things' => "Puffins; Oddling\nAuks"]);
        $this->assertCode(404);
        self::assertStringContainsString('There is no place “C9” in this room.', $this->text());
        self::assertStringContainsString('Puffins; Oddling', $this->text());
        $this->post('/stores/places/'.$this->retired, ['name' => 'a long new name', 'scheme' => 'name']);
        $this->assertCode(404);
        self::assertStringContainsString('a long new name', $this->text());
        $this->post('/upkeep/people/999/remove', ['password' => 'never shown at all']);
        self::assertStringNotContainsString('never shown at all', $this->text());
    }

    /** @return array<string, mixed> */
    private function state(): array
    {
        return [
            'places' => $this->database()->fetchAllAssociative('SELECT * FROM place ORDER BY id'),
            'items' => $this->database()->fetchAllAssociative('SELECT * FROM item ORDER BY id'),
            'needs' => $this->database()->fetchAllAssociative('SELECT * FROM need ORDER BY id'),
            'wishes' => $this->database()->fetchAllAssociative('SELECT * FROM label_wish ORDER BY id'),
        ];
    }
}
