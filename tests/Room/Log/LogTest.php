<?php

declare(strict_types=1);

namespace App\Tests\Room\Log;

use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Room\Log\LogBook;
use App\Tests\In;
use App\Tests\RoomTestCase;
use Doctrine\DBAL\Exception as DatabaseException;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

final class LogTest extends RoomTestCase
{
    private Item $tern;
    private Item $card;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->tern] = $this->putInto('C1', 'Tern and tide');
        [$this->card] = $this->putInto('C2', 'Petrel card;;24');
    }

    /** @return iterable<string, array{string}> statements that the database itself refuses */
    public static function lawless(): iterable
    {
        $insert = 'INSERT INTO movement (item_id, from_id, to_id, account_id, reverses_id, quantity, at, reason, request_id)';
        yield 'a line changed' => ['UPDATE movement SET quantity = 2'];
        yield 'a line deleted' => ['DELETE FROM movement'];
        yield 'a line replaced' => [
            'INSERT OR REPLACE INTO movement (id, item_id, from_id, to_id, account_id, quantity, at, reason, request_id)
                SELECT id, item_id, from_id, to_id, account_id, 99, at, reason, request_id FROM movement WHERE quantity = 24',
        ];
        yield 'nothing moved' => ["$insert SELECT item_id, from_id, to_id, account_id, NULL, 0, at, reason, request_id FROM movement"];
        yield 'moved nowhere' => ["$insert SELECT item_id, to_id, to_id, account_id, NULL, 1, at, reason, request_id FROM movement"];
        yield 'outside to outside' => [
            "$insert SELECT item_id, from_id, (SELECT id FROM place WHERE address = 'lost'), account_id, NULL, 1, at, reason, request_id FROM movement",
        ];
        yield 'two of one' => [
            "$insert SELECT m.item_id, from_id, to_id, account_id, NULL, 2, at, reason, request_id FROM movement m JOIN item i ON i.id = m.item_id
                WHERE i.tracking = 'one'",
        ];
        yield 'a crooked reversal' => [
            "$insert SELECT item_id, to_id, from_id, account_id, id, quantity - 1, at, 'reverse', request_id FROM movement WHERE quantity = 24",
        ];
        yield 'a reversal of nothing' => [
            "$insert SELECT item_id, to_id, from_id, account_id, NULL, quantity, at, 'reverse', request_id FROM movement",
        ];
        yield 'a negative drawer' => ['UPDATE balance SET quantity = -1 WHERE quantity = 24'];
        yield 'a negative drawer added' => [
            "INSERT INTO balance SELECT item_id, (SELECT id FROM place WHERE address = 'C5'), -1 FROM balance WHERE quantity = 24",
        ];
        yield 'one thing in two places' => [
            "INSERT INTO balance SELECT b.item_id, (SELECT id FROM place WHERE address = 'C5'), 1 FROM balance b JOIN item i ON i.id = b.item_id
                WHERE i.tracking = 'one' AND b.quantity = 1",
        ];
        yield 'an unknown nature' => ["INSERT INTO place (nature, kind, address, name) VALUES ('moon', 'x', 'X1', '')"];
        yield 'storage without a unit' => ["INSERT INTO place (nature, kind, address, name) VALUES ('storage', 'x', 'X1', '')"];
        yield 'two places with one address' => [
            "INSERT INTO place (unit_id, nature, kind, address, name) SELECT unit_id, nature, kind, address, name FROM place WHERE address = 'C1'",
        ];
        yield 'a place inside itself' => ["UPDATE place SET parent_id = id WHERE address = 'C1'"];
        yield 'a drawer that becomes outside' => ["UPDATE place SET nature = 'outside', unit_id = NULL WHERE address = 'C1'"];
        yield 'another tracking' => ["UPDATE item SET tracking = 'count' WHERE tracking = 'one'"];
        yield 'an item deleted' => ['DELETE FROM item'];
        yield 'a place deleted' => ["DELETE FROM place WHERE address = 'C1'"];
    }

    #[DataProvider('lawless')]
    public function testTheDatabaseItselfKeepsTheLaws(string $sql): void
    {
        $this->expectException(DatabaseException::class);
        $this->database()->executeStatement($sql);
    }

    public function testAKitCannotLeaveAFullTrayEvenInTheDatabase(): void
    {
        $kit = $this->planKit('Terns', [[$this->tern, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $this->tern)]]);
        $this->expectException(DatabaseException::class);
        $this->expectExceptionMessage('law 6');
        $this->database()->executeStatement("UPDATE kit SET stage = 'closed', tray_id = NULL WHERE id = ?", [$kit]);
    }

    /** Some thousand random movements through the log book; then the audit, and the same again after random reversals. */
    public function testRandomMovementsLeaveTheAuditWithoutDifferences(): void
    {
        mt_srand(77);
        $items = [$this->tern, $this->card, ...$this->putInto('C3', 'Petrel ink', 'Buoy ink'), ...$this->putInto('C2', 'Fog card;;9', 'Rope card;;300')];
        $addresses = ['C1', 'C2', 'C3', 'C4', 'C5', 'bought', 'lost', 'used up', 'not filed'];
        $log = $this->service(LogBook::class);
        $accepted = 0;
        $this->step(function (Step $step) use ($items, $addresses, $log, &$accepted): void {
            for ($i = 0; $i < 2500; ++$i) {
                $item = $items[array_rand($items)];
                $quantity = Tracking::Count === $item->tracking ? mt_rand(1, 40) : mt_rand(1, 4);
                try {
                    [$from, $to] = [$addresses[array_rand($addresses)], $addresses[array_rand($addresses)]];
                    $log->move($step, $item->moves($quantity, $this->place($from), $this->place($to), self::reason($from, $to)));
                    ++$accepted;
                } catch (RefusedMovement) {
                }
            }
        });
        self::assertGreaterThan(300, $accepted);
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        $ids = $this->database()->fetchFirstColumn('SELECT id FROM movement');
        shuffle($ids);
        $reversed = 0;
        $this->step(static function (Step $step) use ($ids, $log, &$reversed): void {
            foreach (\array_slice($ids, 0, 400) as $id) {
                try {
                    $log->reverse($step, Row::number($id));
                    ++$reversed;
                } catch (RefusedMovement) {
                }
            }
        });
        self::assertGreaterThan(20, $reversed);
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        self::assertSame(
            0,
            $this->number(
                "SELECT count(*) FROM balance b JOIN place p ON p.id = b.place_id WHERE p.nature <> 'outside' AND b.quantity < 0",
            ),
        );
    }

    private static function reason(string $from, string $to): Reason
    {
        return match (true) {
            'bought' === $from => Reason::TakeIn,
            'lost' === $from => Reason::FindAgain,
            'lost' === $to => Reason::Lose,
            'used up' === $to => Reason::Discard,
            default => Reason::Move,
        };
    }

    public function testTheAuditCommandTellsAndFindsADifference(): void
    {
        $kernel = self::$kernel ?? throw new \LogicException();
        $tester = new CommandTester((new Application($kernel))->find('lottel:audit'));
        self::assertSame(0, $tester->execute([]));
        $report = json_decode($tester->getDisplay(), true);
        self::assertSame(['movements' => 2, 'items' => 2, 'places' => 5, 'differences' => []], $report);
        $this->database()->executeStatement('UPDATE balance SET quantity = 23 WHERE quantity = 24');
        self::assertSame(1, $tester->execute([]));
        $report = json_decode($tester->getDisplay(), true);
        self::assertSame(
            [
                'item' => $this->card->id,
                'place' => $this->place('C2')->id,
                'what' => 'balance differs from the log',
                'believed' => 23,
                'recomputed' => 24,
            ],
            In::of($report, 'differences', 0),
        );
    }

    public function testTheNewestStepIsUndoneAndAnOlderOneReversed(): void
    {
        $kit = $this->planKit('Cards', [[$this->card, 10]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $page = $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($kit, $this->card)]]);
        $pull = $this->number("SELECT id FROM movement WHERE reason = 'pull'");
        $this->browser->submit($page->filter('.said form')->form());
        $this->browser->followRedirect();
        self::assertStringContainsString('Undone: Petrel card is open on the list again and back in C2.', $this->text());
        self::assertStringContainsString('stop 1 of 1', $this->text(), 'the line is open again');
        self::assertSame(['C2' => 24, 'bought' => -24], $this->balances($this->card));
        $this->post("/log/{$pull}/reverse");
        $this->assertCode(422);
        self::assertStringContainsString('put right already', $this->text());
        $reversal = $this->number("SELECT id FROM movement WHERE reason = 'reverse'");
        $this->post("/log/{$reversal}/reverse");
        $this->assertCode(422);
        $this->post('/log/999999/reverse');
        $this->assertCode(404);

        $takenIn = $this->number("SELECT id FROM movement WHERE item_id = ? AND reason = 'take in'", [$this->tern->id]);
        $this->postAndFollow("/log/{$takenIn}/reverse");
        self::assertSame([], $this->balances($this->tern));
    }

    public function testWhatWentBackToAClosedKitIsNotUndone(): void
    {
        $kit = $this->planKit('Cards', [[$this->card, 10]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($kit, $this->card)]]);
        $this->postAndFollow("/kits/{$kit}/make/use", ['item' => $this->card->id, 'quantity' => '10']);
        $this->postAndFollow("/kits/{$kit}/close");
        $used = $this->number("SELECT id FROM movement WHERE reason = 'use'");
        $this->post("/log/{$used}/reverse");
        $this->assertCode(409);
        self::assertSame(['C2' => 14, 'bought' => -24, 'used up' => 10], $this->balances($this->card), 'nothing was half done');
    }

    public function testUndoLeadsBackToOwnPagesOnly(): void
    {
        foreach (['//elsewhere.example/x', 'https://elsewhere.example', '/\\elsewhere', 'javascript:alert(1)', "/a\nb"] as $back) {
            $request =
                $this->word(
                    'SELECT request_id FROM movement m WHERE reverses_id IS NULL AND NOT EXISTS (SELECT 1 FROM movement r WHERE r.reverses_id = m.id) LIMIT 1',
                ) ?:
                'none';
            $this->post('/log/undo', ['step' => $request, 'back' => $back]);
            self::assertStringNotContainsString('elsewhere', (string) $this->browser->getResponse()->headers->get('Location'));
        }
    }

    public function testFiltersByItemPlaceKitPersonReasonAndTime(): void
    {
        $kit = $this->planKit('Cards', [[$this->card, 10]]);
        $this->signIn('hank');
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($kit, $this->card)]]);
        $hank = $this->account('hank')->id;
        $today = (new \DateTimeImmutable('now', new \DateTimeZone('UTC')))->format('Y-m-d');
        foreach (
            [
                "item={$this->card->id}" => 2,
                "item={$this->tern->id}" => 1,
                'what=petrel' => 2,
                'what=tide+ter' => 1,
                'what=zebra' => 0,
                'place=c2' => 2,
                'place=C1' => 1,
                "kit={$kit}" => 1,
                "person={$hank}" => 1,
                'reason=pull' => 1,
                'reason=take+in' => 2,
                "from={$today}&until={$today}" => 3,
                'from=2999-01-01' => 0,
                'until=2000-01-01' => 0,
                "place=C2&person={$hank}&reason=pull" => 1,
            ] as $query => $lines
        ) {
            $page = $this->get('/log?'.$query);
            self::assertCount($lines, $page->filter('.log-line'), $query);
        }
        $page = $this->get('/log?place=Q5');
        $this->assertCode(422);
        self::assertStringContainsString('no place “Q5”', $page->filter('.field-error')->text());
        $this->get('/log?from=yesterday');
        $this->assertCode(422);
    }

    public function testTheExportOpensInASpreadsheetAndIsHarmless(): void
    {
        $this->putInto('C4', '=HYPERLINK("http://x","y")', '+1+2', '-cmd', '@sum', 'Comma, "quoted"', 'Möwe 🐦');
        $this->get('/log.csv');
        $csv = $this->browser->getInternalResponse()->getContent();
        self::assertStringStartsWith("\u{FEFF}line,when,who,why,item,quantity,from,to,kit,note", $csv);
        $rows = array_map(static fn (string $line): array => str_getcsv($line, ',', '"', ''), explode("\n", trim(substr($csv, 3))));
        self::assertCount(1 + $this->movements(), $rows);
        $items = array_column(\array_slice($rows, 1), 4);
        self::assertContains('Comma, "quoted"', $items);
        self::assertContains('Möwe 🐦', $items);
        foreach ($rows as $row) {
            self::assertCount(11, $row);
            foreach ($row as $cell) {
                self::assertDoesNotMatchRegularExpression('/^[=+\-@\t\r]/', (string) $cell);
            }
        }
    }
}
