<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Moving;

use App\Kits\Kits\Kits;
use App\Kits\Kits\StartPull;
use App\Kits\Rounds\PullItem;
use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use App\Upkeep\Moving\MovingReading;
use Symfony\Component\DomCrawler\Crawler;

/** Larger changes: the room moves in boxes, a piece of furniture is replaced, furniture changes places. */
final class MovingTest extends RoomTestCase
{
    private Item $gulls;
    private Item $terns;
    private Item $card;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->gulls, $this->terns] = $this->putInto('C1', 'Gulls', 'Terns');
        [$this->card] = $this->putInto('C2', 'Petrel card;;24');
    }

    /** @return array<string, string|list<string>> the form of the boxes, as large as a person says */
    private static function boxes(int $many, string $grams = '26 lb', string $side = '12'): array
    {
        return ['unit' => ['1'], 'width' => '16', 'height' => $side, 'depth' => $side, 'grams' => $grams, 'boxes' => (string) $many, '_form' => 'boxes'];
    }

    public function testTheRoomMovesInABoxAndIsUnpacked(): void
    {
        $page = $this->get('/upkeep/move');
        self::assertCount(1, $page->filter('.moving-box'));
        self::assertStringContainsString('3 things', $page->filter('.moving-box')->text());
        self::assertStringContainsString('Begin to pack 1 box', $page->text());
        $page = $this->postAndFollow('/upkeep/move', self::boxes(1));
        self::assertStringContainsString('1 box is to be packed.', $page->text());
        self::assertStringContainsString('0 of 1 box packed', $page->text());
        $errand = $this->number('SELECT errand_id FROM moving_box');
        $this->done($errand, 2);
        self::assertSame(1, $this->balances($this->gulls)['box 1']);
        self::assertStringContainsString('out: box 1', $this->get("/items/{$this->gulls->id}")->text(), 'wherever it is, the log knows');
        $this->done($errand, 1);
        $page = $this->get("/upkeep/rounds/{$errand}");
        self::assertStringContainsString('Box 1 is packed', $page->text());
        $this->post("/upkeep/rounds/{$errand}/done", ['tasks' => $this->tasks($errand)]);
        $this->assertCode(409, 'nothing is put before the boxes have arrived');
        self::assertStringContainsString('Gulls', $this->get('/upkeep/move/labels')->filter('.box-label')->text());
        self::assertStringNotContainsString('box 1', $this->get('/upkeep/rounds')->filter('main')->text(), 'a box is no round of upkeep');

        $page = $this->postAndFollow('/upkeep/move/in');
        self::assertStringContainsString('0 of 1 box unpacked', $page->text());
        $this->post('/upkeep/move/end');
        $this->assertCode(409, 'something is in it');
        $this->done($errand, 2);
        $this->done($errand, 1);
        self::assertSame([1, 24], [$this->balances($this->gulls)['C1'], $this->balances($this->card)['C2']]);
        self::assertSame('C1', $this->item((int) $this->gulls->id)->home?->address);
        self::assertStringContainsString('1 of 1 box unpacked', $this->get('/upkeep/move')->text());
        self::assertStringContainsString('The move is over.', $this->postAndFollow('/upkeep/move/end')->text());
        self::assertStringContainsString('Begin to pack', $this->get('/upkeep/move')->text(), 'another one may begin');
        $this->get('/upkeep/move/labels');
        $this->assertCode(404);
    }

    public function testBoxesAreKeptToTheirLimits(): void
    {
        $page = $this->post('/upkeep/move/look', self::boxes(1, '1 oz'));
        $this->assertCode(200);
        self::assertCount(0, $page->filter('.moving-box'), 'everything is too heavy');
        self::assertStringContainsString('By hand,', $page->text());
        $page = $this->post('/upkeep/move/look', ['unit' => []] + self::boxes(1));
        $this->assertCode(422, 'nothing is chosen');
        self::assertStringContainsString('Nothing is to be packed', $page->text());
        foreach (['width' => '0', 'grams' => '0', 'height' => 'x', 'depth' => '-2'] as $field => $wrong) {
            $page = $this->post('/upkeep/move/look', [$field => $wrong] + self::boxes(1));
            $this->assertCode(422, $field);
            self::assertCount(1, $page->filter("#boxes-{$field}-error"));
            self::assertSame($wrong, $page->filter("#boxes-{$field}")->attr('value'), 'nothing typed is lost');
        }
        $this->post('/upkeep/move', self::boxes(5));
        self::assertStringContainsString('The room has changed', $this->text(), 'another number of boxes than was seen');
        foreach ([['unit' => []], ['unit' => ['99']]] as $units) {
            $this->post('/upkeep/move', $units + self::boxes(1));
            $this->assertCode(409, 'nothing is chosen');
        }
        self::assertSame(0, $this->number('SELECT count(*) FROM house_move'));
    }

    public function testOneMoveAtATimeAndABeginningIsUndoneWhole(): void
    {
        $this->postAndFollow('/upkeep/move', self::boxes(1));
        $this->post('/upkeep/move', self::boxes(1));
        $this->assertCode(409);
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT request_id FROM step_change ORDER BY id DESC LIMIT 1'), 'back' => '/upkeep/move']);
        $count = fn (string $table): int => $this->number("SELECT count(*) FROM {$table}");
        self::assertSame([0, 0, 0], array_map($count, ['house_move', 'moving_box', 'errand_task']));
        $this->postAndFollow('/upkeep/move', self::boxes(1));
        $this->postAndFollow('/upkeep/move/end');
        self::assertSame(1, $this->number('SELECT count(*) FROM house_move WHERE ended_at IS NOT NULL'), 'nobody moves');
        self::assertSame(2, $this->number("SELECT count(*) FROM errand_task WHERE state = 'left' AND place_id = ?", [$this->place('C1')->id]));
    }

    public function testWhatWasNotPackedStaysWhereItIs(): void
    {
        $this->postAndFollow('/upkeep/move', self::boxes(1));
        $errand = $this->number('SELECT errand_id FROM moving_box');
        $this->done($errand, 2);
        $this->postAndFollow('/upkeep/move/in');
        self::assertSame(24, $this->balances($this->card)['C2']);
        self::assertSame('left', $this->word('SELECT state FROM errand_task WHERE item_id = ?', [$this->card->id]));
        $this->post('/upkeep/move/in');
        $this->assertCode(409, 'once is enough');
    }

    public function testAPieceOfFurnitureIsReplaced(): void
    {
        $this->postAndFollow('/stores/new-unit', $this->unit('N'));
        $page = $this->get('/upkeep/change?old=C&new=N');
        $ways = $page->filter('ol.rows .row')->each(static fn (Crawler $row): string => implode(' ', $row->filter('.chip')->each(
            static fn (Crawler $chip): string => $chip->text(),
        )));
        self::assertSame(['C1 N1', 'C2 N2'], $ways);
        $form = $page->selectButton('Walk it now space')->form();
        $this->browser->submit($form);
        $this->browser->followRedirect();
        self::assertStringContainsString('3 things from C into N', $this->text());
        self::assertSame('stamp set', $this->place('N1')->saysKind?->value, 'the new place says what the old one said');
        $errand = $this->number('SELECT max(id) FROM errand');
        foreach ([1, 2] as $round) {
            $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => $this->tasks($errand)]);
        }
        self::assertSame([1, 24], [$this->balances($this->gulls)['N1'], $this->balances($this->card)['N2']]);
        self::assertSame('N1', $this->item((int) $this->terns->id)->home?->address);
        self::assertStringContainsString('Nothing lives in C.', $this->get('/upkeep/change?old=C&new=N')->text());
    }

    public function testAnOldPlanOfAReplacementIsTold(): void
    {
        $this->postAndFollow('/stores/new-unit', $this->unit('N'));
        $fields = ['old' => 'C', 'new' => 'N', 'seen' => (string) $this->get('/upkeep/change?old=C&new=N')->filter('input[name=seen]')->attr('value')];
        $this->putInto('C4', 'Oars');
        $this->post('/upkeep/change/unit', $fields);
        self::assertStringContainsString('The room has changed', $this->text());
        foreach ([['old' => 'C', 'new' => 'C'], ['old' => 'Z', 'new' => 'C'], ['old' => '', 'new' => '']] as $wrong) {
            $this->get('/upkeep/change?'.http_build_query($wrong));
            $this->assertCode(200);
            $this->post('/upkeep/change/unit', $wrong + ['seen' => 'x']);
            self::assertContains($this->code(), [404, 409, 422]);
        }
        self::assertSame(0, $this->number('SELECT count(*) FROM errand'));
    }

    public function testFurnitureThatHasChangedPlacesStandsWhereTheOtherStood(): void
    {
        $this->postAndFollow('/stores/new-unit', $this->unit('N'));
        $this->step(function (Step $step): void {
            $this->database()->executeStatement("UPDATE unit SET plan_x = NULL WHERE letters = 'N'");
        });
        $this->entities()->clear();
        $this->post('/upkeep/change/standing', ['one' => 'C', 'other' => 'N']);
        $this->assertCode(409, 'the new one stands nowhere yet');
        $this->step(function (Step $step): void {
            $this->database()->executeStatement("UPDATE unit SET plan_x = 4000, plan_y = 2000, turn = 90, wall = 'south wall' WHERE letters = 'N'");
            $this->database()->executeStatement("UPDATE unit SET plan_x = 100, plan_y = 50, turn = 0, wall = 'north wall' WHERE letters = 'C'");
        });
        $this->entities()->clear();
        $this->postAndFollow('/upkeep/change/standing', ['one' => 'C', 'other' => 'N']);
        self::assertSame(
            [['C', 4000, 2000, 90, 'south wall'], ['N', 100, 50, 0, 'north wall']],
            $this->database()->fetchAllNumeric('SELECT letters, plan_x, plan_y, turn, wall FROM unit ORDER BY letters'),
        );
        $this->post('/upkeep/change/standing', ['one' => 'C', 'other' => 'C']);
        $this->assertCode(409);
        $this->post('/upkeep/change/standing', ['one' => 'C', 'other' => 'Q']);
        $this->assertCode(404);
    }

    public function testAHelperPacksButDoesNotBegin(): void
    {
        $this->postAndFollow('/upkeep/move', self::boxes(1));
        $this->signIn('hank');
        foreach (['/upkeep/move', '/upkeep/move/in', '/upkeep/move/end', '/upkeep/change/unit', '/upkeep/change/standing'] as $path) {
            $this->post($path, self::boxes(1));
            $this->assertCode(403, $path);
        }
        $this->done($this->number('SELECT errand_id FROM moving_box'), 2);
        self::assertSame(1, $this->balances($this->gulls)['box 1']);
    }

    /** @return list<int> */
    private function tasks(int $errand): array
    {
        return array_map(Row::number(...), $this->database()->fetchFirstColumn(
            "SELECT id FROM errand_task WHERE errand_id = ? AND state IN ('open', 'carried') ORDER BY nth, id",
            [$errand],
        ));
    }

    /** The first so many tasks that are open, or carried, are done. */
    private function done(int $errand, int $many): void
    {
        $isOpen = $this->number("SELECT count(*) FROM errand_task WHERE errand_id = ? AND state = 'open'", [$errand]) > 0;
        $state = $isOpen ? 'open' : 'carried';
        $tasks = array_map(Row::number(...), $this->database()->fetchFirstColumn(
            'SELECT id FROM errand_task WHERE errand_id = ? AND state = ? ORDER BY nth, id LIMIT '.$many,
            [$errand, $state],
        ));
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => $tasks]);
    }

    /** @return array<string, string> */
    private function unit(string $letters): array
    {
        return ['letters' => $letters, 'name' => 'new chest', 'template' => 'chest', 'wall' => 'south wall', 'width' => '16', 'height' => '25', 'depth' => '18',
            'rows' => '4', 'columns' => '1'];
    }

    public function testWhatIsOutWithAKitIsInNoBoxAndTold(): void
    {
        self::assertSame(0, $this->service(MovingReading::class)->out());
        $id = $this->planKit('Gull cards', [[$this->gulls, 1]]);
        $this->step(function (Step $step) use ($id): void {
            ($this->service(StartPull::class))($step, $this->kit($id));
            $this->service(PullItem::class)->take($step, $this->service(Kits::class)->need($id, $this->needId($id, $this->gulls)), $this->place('C1'), 1);
        });
        self::assertSame(1, $this->service(MovingReading::class)->out());
    }
}
