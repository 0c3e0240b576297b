<?php

declare(strict_types=1);

namespace App\Tests\Kits\Kits;

use App\Kits\Cutting\AheadReading;
use App\Kits\Kits\PartsOfKit;
use App\Kits\Propose\UnusedThings;
use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use Lottel\Core\Catalogue\Kind;
use PHPUnit\Framework\Attributes\DataProvider;

/** What kits want is not free; what is wanted by a kit that is closed, or planned no more, is. */
final class FreeStockTest extends RoomTestCase
{
    private Item $card;
    private int $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->card] = $this->putInto('C2', 'Petrel card; ; 24; ; #1f5c6b; letter; 80 lb cover');
        $this->other = $this->planKit('Other', [[$this->card, 20]]);
    }

    /** @return iterable<string, array{string}> */
    public static function ends(): iterable
    {
        yield 'closed' => ["UPDATE kit SET stage = 'closed', tray_id = NULL WHERE id = ?"];
        yield 'planned no more' => ["UPDATE kit SET removed_at = '2026-11-01 10:00:00' WHERE id = ?"];
    }

    #[DataProvider('ends')]
    public function testAKitThatIsOverKeepsNothingAway(string $ends): void
    {
        $mine = $this->planKit('Mine', [[$this->card, 20]]);
        $empty = $this->planKit('Empty', []);
        self::assertSame(4, $this->freeOnPaper($mine), 'while the other one is open');
        self::assertStringContainsString('Other', $this->kitPage($mine));
        self::assertStringNotContainsString('Petrel card', $this->startingPoints($empty));
        self::assertFalse($this->isProposed());

        $this->database()->executeStatement($ends, [$this->other]);
        self::assertSame(24, $this->freeOnPaper($mine));
        self::assertStringNotContainsString('Other', $this->kitPage($mine));
        $this->database()->executeStatement($ends, [$mine]);
        self::assertStringContainsString('Petrel card', $this->startingPoints($empty));
        self::assertTrue($this->isProposed());
    }

    public function testEnvelopesAndPanelsOfAKitThatIsOverAreFree(): void
    {
        [$panel] = $this->putInto('C2', 'Petrel panel; ; 9; ; ; 4 × 5');
        $this->database()->executeStatement('UPDATE item SET parent_id = ? WHERE id = ?', [$this->card->id, $panel->id]);
        $kit = $this->planKit('Panels', [[$panel, 30]]);
        $wished = fn (): int => array_sum(
            array_map(static fn (object $row): int => (int) ((array) $row)['lacking'], $this->service(AheadReading::class)->rows()),
        );
        $before = $wished();
        foreach (self::ends() as [$ends]) {
            $this->database()->executeStatement($ends, [$kit]);
        }
        self::assertLessThan($before, $wished());
    }

    public function testADeletedKitIsOnNoThingsPage(): void
    {
        self::assertStringContainsString('Other', $this->get('/items/'.$this->card->id)->filter('main')->text());
        $this->database()->executeStatement("UPDATE kit SET removed_at = '2026-11-01 10:00:00' WHERE id = ?", [$this->other]);
        self::assertStringNotContainsString('Other', $this->get('/items/'.$this->card->id)->filter('#main')->text());
    }

    public function testAllThatHangsOnAKitIsKnownWhenItIsDeleted(): void
    {
        $tables = array_map(
            strval(...),
            array_filter($this->database()->fetchFirstColumn("SELECT name FROM sqlite_master WHERE type = 'table'"), is_scalar(...)),
        );
        $hanging = array_filter($tables, fn (string $table): bool => false !== $this->database()->fetchOne(
            "SELECT 1 FROM pragma_foreign_key_list('$table') WHERE \"table\" = 'kit'",
        ));
        self::assertGreaterThan(10, \count($hanging));
        self::assertSame([], array_diff($hanging, $this->service(PartsOfKit::class)->all()->tables()));
    }

    public function testAKitThatWasHandedOverCanBeDeletedAndComesBackWhole(): void
    {
        $kit = $this->planKit('Handed', [[$this->card, 1]]);
        $this->postAndFollow("/kits/{$kit}/hand-over", ['_form' => 'hand-over', 'to' => (string) $this->account('hank')->id]);
        self::assertSame(1, $this->number('SELECT count(*) FROM handover WHERE kit_id = ?', [$kit]));
        $done = $this->postAndFollow("/kits/{$kit}/delete");
        self::assertSame(0, $this->number('SELECT count(*) FROM kit WHERE id = ?', [$kit]));
        self::assertSame(0, $this->number('SELECT count(*) FROM handover WHERE kit_id = ?', [$kit]));
        $this->browser->submit($done->selectButton('Undo')->form());
        self::assertSame(1, $this->number('SELECT count(*) FROM handover WHERE kit_id = ?', [$kit]));
    }

    /** What a kit finds free on the page of all paper, its own wish aside. */
    private function freeOnPaper(int $mine): int
    {
        $own = $this->number('SELECT sum(n.quantity) FROM need n JOIN kit k ON k.id = n.kit_id WHERE k.id = ?', [$mine]);
        $this->database()->executeStatement('UPDATE need SET quantity = 1 WHERE kit_id = ?', [$mine]);
        $page = $this->get('/paper?piece=8+x+10&colour=%231f5c6b')->filter('#main')->text();
        $this->database()->executeStatement('UPDATE need SET quantity = ? WHERE kit_id = ?', [$own, $mine]);

        return 1 === preg_match('/(\d+) free/', $page, $m) ? (int) $m[1] + 1 : -1;
    }

    private function kitPage(int $kit): string
    {
        return $this->get("/kits/{$kit}")->filter('#main')->text();
    }

    private function startingPoints(int $kit): string
    {
        return $this->get("/kits/{$kit}/design")->filter('#main .starts, #main')->text();
    }

    private function isProposed(): bool
    {
        $ids = $this->service(UnusedThings::class);
        $rows = (new \ReflectionMethod($ids, 'rows'))->invoke($ids, Kind::Paper, 'TRUE', 20);

        return \is_array($rows) && [] !== $rows;
    }
}
