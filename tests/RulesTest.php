<?php

declare(strict_types=1);

namespace App\Tests;

use App\Room\Catalogue\Item;
use Doctrine\DBAL\Exception as DatabaseException;
use PHPUnit\Framework\Attributes\DataProvider;

/** Rules that are each a line long, and easily lost, as the pages keep them. */
final class RulesTest extends RoomTestCase
{
    private Item $gulls;
    private Item $card;
    private Item $ink;
    private int $kit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->gulls] = $this->putInto('C1', 'Gulls');
        [$this->card] = $this->putInto('C2', 'Petrel card;;24');
        [$this->ink] = $this->putInto('C3', 'Petrel ink;;3/4');
        $this->kit = $this->planKit('Kit', [[$this->gulls, 1], [$this->card, 10], [$this->ink, 1]]);
        $this->postAndFollow("/kits/{$this->kit}/pull");
    }

    public function testABottleIsTakenWhole(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C3', 'needs' => [$this->needId($this->kit, $this->ink)]]);
        self::assertSame(['bought' => -6, 'tray 1' => 6], $this->balances($this->ink));
        self::assertSame('taken', $this->stateOf($this->ink));
    }

    public function testFewerAreTakenAndTheRestIsStillThere(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull/fewer", ['place' => 'C2', 'need' => $this->needId($this->kit, $this->card), 'quantity' => '7']);
        self::assertSame(['C2' => 17, 'bought' => -24, 'tray 1' => 7], $this->balances($this->card), 'nothing is lost');
        self::assertSame('fewer', $this->stateOf($this->card));
    }

    public function testAFinishedPieceUsesThingsUp(): void
    {
        $this->takeAll();
        $finished = ['name' => 'Gull card', 'quantity' => '5', 'address' => 'C4'];
        $this->postAndFollow("/kits/{$this->kit}/make/finish", $finished + ['of' => [$this->card->id], 'used_'.$this->card->id => '10']);
        self::assertSame(['C2' => 14, 'bought' => -24, 'used up' => 10], $this->balances($this->card));
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->balances($this->gulls), 'what did not go into it stays');
        $piece = $this->item($this->number("SELECT id FROM item WHERE name = 'Gull card'"));
        self::assertSame(['made here' => -5, 'tray 1' => 5], $this->balances($piece));
    }

    public function testAHomeThatIsInUseIsNotTakenOutOfUse(): void
    {
        $this->takeAll();
        $this->post('/stores/places/C1/retire');
        $this->assertCode(409, 'it is empty, but the home of something on a tray');
        $this->expectException(DatabaseException::class);
        $this->expectExceptionMessage('taken out of use empty');
        $this->database()->executeStatement("UPDATE place SET retired_at = '2026-01-01' WHERE address = 'C1'");
    }

    public function testOnesOwnWishIsNotAnothers(): void
    {
        $page = $this->get("/kits/{$this->kit}");
        self::assertCount(0, $page->filter('.warning'), 'twenty-four are there, ten are wanted by this kit itself');
        $this->planKit('Other', [[$this->card, 20]]);
        $this->get("/kits/{$this->kit}");
        self::assertStringContainsString('Only 4 free of 24.', $this->text());
        self::assertStringContainsString('Also wanted by Other.', $this->text());
    }

    public function testStopsAreLitByTheirNumbers(): void
    {
        $numbers = fn (): array => $this->get("/kits/{$this->kit}/pull")->filter('.beside .disc text')->each(static fn ($text): string => $text->text());
        self::assertSame(['1', '2', '3'], $numbers());
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->gulls)]]);
        self::assertSame(['2', '3'], $numbers(), 'what is done keeps its number');
    }

    public function testALineOnTheTrayStaysOnTheList(): void
    {
        $this->takeAll();
        $this->post("/kits/{$this->kit}/needs/".$this->needId($this->kit, $this->card), ['remove' => '1']);
        $this->assertCode(409);
        self::assertStringContainsString('is on the tray already', $this->text());
    }

    public function testAClosedKitTakesNothing(): void
    {
        $closed = $this->planKit('Closed', [[$this->card, 1]]);
        $this->postAndFollow("/kits/{$closed}/close");
        $need = $this->needId($closed, $this->card);
        foreach (
            [
                "/kits/{$closed}/needs" => ['item' => $this->gulls->id],
                "/kits/{$closed}/needs/{$need}" => ['quantity' => '3'],
                "/kits/{$closed}/pull" => [],
                "/kits/{$closed}/pull/take" => ['place' => 'C2', 'needs' => [$need]],
                "/kits/{$closed}/make/more" => ['item' => $this->card->id, 'quantity' => '1'],
                "/items/{$this->card->id}/into-kit" => ['kit' => $closed, 'quantity' => '1', 'now' => '1'],
            ] as $path => $fields
        ) {
            $this->post($path, $fields);
            $this->assertCode(409, $path);
        }
        $this->post("/kits/{$closed}/needs/{$need}", ['remove' => '1']);
        $this->assertCode(409);
    }

    public function testAHelperDoesNotFileThings(): void
    {
        $this->signIn('hank');
        $this->post('/stores/queue', ['item' => $this->gulls->id, 'address' => 'C4']);
        $this->assertCode(403);
        $this->post('/scan', ['on' => 'file:'.$this->gulls->id, 'code' => 'C4']);
        $this->assertCode(303);
        self::assertSame(
            'C1',
            $this->database()->fetchOne('SELECT p.address FROM item i JOIN place p ON p.id = i.home_id WHERE i.id = ?', [$this->gulls->id]),
            'for a helper the label only opens its place',
        );
        $this->postAndFollow("/kits/{$this->kit}/pull/unknown", ['name' => 'Odd thing', 'address' => 'C4', 'quantity' => '1']);
    }

    public function testAScanAtALaterStopTakesWhatIsThere(): void
    {
        $this->post('/scan', ['on' => 'pull:'.$this->kit, 'code' => 'C3']);
        $this->assertCode(303);
        self::assertSame('taken', $this->stateOf($this->ink));
        self::assertSame(['open', 'open'], [$this->stateOf($this->gulls), $this->stateOf($this->card)]);
    }

    public function testABladeIsTickedBeforeItGoesHome(): void
    {
        [$knife] = $this->putInto('C4', 'Craft knife');
        $kit = $this->planKit('Knife', [[$knife, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C4', 'needs' => [$this->needId($kit, $knife)]]);
        $this->post("/kits/{$kit}/return/home", ['items' => [$knife->id], 'cared' => ['hot', 'inky']]);
        $this->assertCode(409);
        self::assertStringContainsString('Blade capped or locked', $this->text());
        $this->post('/scan', ['on' => 'return:'.$kit, 'code' => 'C4']);
        $this->assertCode(409, 'a scanner does not get round it');
        $this->postAndFollow("/kits/{$kit}/return/home", ['items' => [$knife->id], 'cared' => ['blade']]);
    }

    public function testHeavyThingsArePulledLastAndBroughtHomeFirst(): void
    {
        [$machine] = $this->putInto('C1', 'Die-cutting machine');
        $this->database()->executeStatement("UPDATE item SET hazards = '[\"heavy\"]' WHERE id = ?", [$machine->id]);
        $this->postAndFollow('/stores/new-unit', ['template' => 'chest', 'letters' => 'D', 'rows' => '3']);
        [$fog] = $this->putInto('D1', 'Fog card;;9');
        $kit = $this->planKit('Heavy', [[$machine, 1], [$fog, 2]]);
        $page = $this->postAndFollow("/kits/{$kit}/pull");
        self::assertSame('D1', $page->filter('.plate.big span')->text());
        foreach ([['D1', $fog], ['C1', $machine]] as [$place, $item]) {
            $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => $place, 'needs' => [$this->needId($kit, $item)]]);
        }
        $page = $this->postAndFollow("/kits/{$kit}/return");
        self::assertSame('C1', $page->filter('.plate.big span')->text());
    }

    public function testASuccessClearsTheThrottle(): void
    {
        $this->browser->restart();
        for ($round = 0; $round < 3; ++$round) {
            for ($i = 0; $i < 4; ++$i) {
                $this->browser->request('POST', '/sign-in', ['login' => 'olive', 'password' => 'wrong']);
            }
            $this->browser->request('POST', '/sign-in', ['login' => 'olive', 'password' => 'olives-password']);
            self::assertSame('/', parse_url((string) $this->browser->getResponse()->headers->get('Location'), \PHP_URL_PATH), "round {$round}");
            $this->browser->restart();
        }
        self::assertSame(0, $this->number("SELECT count(*) FROM sign_in_failure WHERE subject LIKE 'olive|%'"));
    }

    /** @return iterable<string, array{string, string}> */
    public static function checks(): iterable
    {
        yield 'an unknown measure' => ["UPDATE room SET measure = 'ell'", 'CHECK'];
        yield 'a room without a name' => ["UPDATE room SET name = ''", 'CHECK'];
        yield 'an unknown role' => ["UPDATE account SET role = 'guest'", 'CHECK'];
        yield 'two log-ins alike' => ["INSERT INTO account (login, name, password, role) VALUES ('OLIVE', 'x', 'x', 'helper')", 'UNIQUE'];
        yield 'a unit turned askew' => ['UPDATE unit SET turn = 45', 'CHECK'];
        yield 'a unit without width' => ['UPDATE unit SET width = 0', 'CHECK'];
        yield 'half a front' => ["UPDATE place SET front_x = NULL WHERE address = 'C1'", 'CHECK'];
        yield 'a front without height' => ["UPDATE place SET front_height = 0 WHERE address = 'C1'", 'CHECK'];
        yield 'more than all kept free' => ["UPDATE place SET room_to_grow = 91 WHERE address = 'C1'", 'CHECK'];
        yield 'a colour that is none' => ["UPDATE item SET colour = '#12345g'", 'CHECK'];
        yield 'an unknown tracking' => ["UPDATE item SET tracking = 'guess'", 'keeps its tracking'];
        yield 'a companion of itself' => ['INSERT INTO companion (item_id, other_id) SELECT id, id FROM item LIMIT 1', 'CHECK'];
        yield 'companions the wrong way round' => ['INSERT INTO companion (item_id, other_id) SELECT max(id), min(id) FROM item', 'CHECK'];
        yield 'an unknown stage' => ["UPDATE kit SET stage = 'dreaming'", 'CHECK'];
        yield 'a planned kit with a tray' => ["UPDATE kit SET stage = 'planned'", 'CHECK'];
        yield 'two kits on one tray' => [
            "INSERT INTO kit (name, stage, tray_id, created_at) SELECT 'x', 'making', tray_id, created_at FROM kit WHERE tray_id IS NOT NULL",
            'UNIQUE',
        ];
        yield 'a line that wants nothing' => ['UPDATE need SET quantity = 0', 'CHECK'];
        yield 'less than nothing taken' => ['UPDATE need SET taken = -1', 'CHECK'];
        yield 'an unknown state of a line' => ["UPDATE need SET state = 'perhaps'", 'CHECK'];
        yield 'a balance of nothing' => ['UPDATE balance SET quantity = 0 WHERE quantity > 0', 'CHECK'];
        yield 'a label for nothing' => ["INSERT INTO label_wish (format, reason, at) VALUES ('lid', 'x', '2026-01-01')", 'CHECK'];
        yield 'a label for both' => [
            "INSERT INTO label_wish (place_id, item_id, format, reason, at) SELECT p.id, i.id, 'lid', 'x', '2026-01-01' FROM place p, item i LIMIT 1",
            'CHECK',
        ];
        yield 'a short request id' => ["INSERT INTO write_request (id, at, outcome, said) VALUES ('x', '2026-01-01', '', '')", 'CHECK'];
        yield 'an unknown change' => ["INSERT INTO step_change (request_id, subject, row_id, what) VALUES ('x', 'item', 1, 'guess')", 'CHECK'];
        yield 'a factor of nothing' => [
            "INSERT INTO retracking (item_id, movement_id, from_tracking, to_tracking, was, becomes) SELECT item_id, id, 'one', 'count', 0, 1
                FROM movement LIMIT 1",
            'CHECK',
        ];
        yield 'a kit that leaves a full tray' => ["UPDATE kit SET stage = 'closed', tray_id = NULL WHERE tray_id IS NOT NULL", 'law 6'];
    }

    #[DataProvider('checks')]
    public function testTheDatabaseRefusesWhatCannotBe(string $sql, string $why): void
    {
        $this->takeAll();
        $this->expectException(DatabaseException::class);
        $this->expectExceptionMessage($why);
        $this->database()->executeStatement($sql);
    }

    /** A new trigger is tested somewhere, or this list grows without reason. */
    public function testEveryTriggerIsKnown(): void
    {
        $laws = [
            'log_is_never_changed',
            'log_is_never_deleted',
            'log_is_only_added',
            'log_touches_the_room',
            'log_moves_one_as_one',
            'log_reversal_mirrors',
            'log_leaves_retired_places',
            'log_reason_links',
            'balance_added',
            'balance_changed',
            'balance_of_one_added',
            'balance_of_one_changed',
            'kit_closes_empty',
            'tracking_is_kept',
            'nature_is_kept',
            'place_retires_empty',
            'item_used',
            'item_not_used',
            'item_known',
            'cut_conserves_area',
            'cut_is_of_its_sheets',
            'cut_part_is_of_a_new_cut',
            'cut_part_is_what_came_in',
            'cut_is_kept_update',
            'cut_is_kept_delete',
            'cut_part_is_kept_update',
            'cut_part_is_kept_delete',
        ];
        self::assertEqualsCanonicalizing(
            $laws,
            $this->database()->fetchFirstColumn("SELECT name FROM sqlite_master WHERE type = 'trigger' AND name NOT LIKE 'step_%'"),
        );
        self::assertSame(
            '2026',
            substr($this->word('SELECT since FROM item WHERE id = ?', [$this->gulls->id]), 0, 4),
            'since when a thing is known',
        );
    }

    private function takeAll(): void
    {
        foreach ([['C1', $this->gulls], ['C2', $this->card], ['C3', $this->ink]] as [$place, $item]) {
            $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => $place, 'needs' => [$this->needId($this->kit, $item)]]);
        }
    }

    private function stateOf(Item $item): string
    {
        return $this->word('SELECT state FROM need WHERE kit_id = ? AND item_id = ?', [$this->kit, $item->id]);
    }
}
