<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Seasons;

use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Stores\Place;
use App\Tests\RoomTestCase;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\DomCrawler\Crawler;

/** A season's things come to the front a month before, and go back when it is over. */
final class SeasonsTest extends RoomTestCase
{
    private Item $bells;
    private Item $snow;
    private Item $card;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->bells, $this->snow] = $this->putInto('C5', 'Bell dies;;1;midwinter', 'Snow stamps;;1;midwinter');
        [$this->card] = $this->putInto('C2', 'Petrel card;;24');
        foreach ([$this->bells, $this->snow] as $item) {
            $item->describe($item->record()->with(season: 'winter'));
        }
        $this->entities()->flush();
    }

    private function on(string $day): void
    {
        Clock::set(new MockClock($day.' 12:00:00'));
    }

    protected function tearDown(): void
    {
        Clock::set(new \Symfony\Component\Clock\NativeClock());
        parent::tearDown();
    }

    public function testTheSeasonComesAndGoesInRounds(): void
    {
        $this->on('2026-11-10');
        $page = $this->get('/upkeep/seasons');
        self::assertStringContainsString('Winter comes', $page->text());
        self::assertStringContainsString('Where is the season to be at hand?', $page->text());
        self::assertCount(2, $page->filter('.row .name a[href^="/items/"]'), 'what would come is shown');
        $this->post('/upkeep/seasons', ['move' => ["{$this->bells->id}-0"]]);
        $this->assertCode(409, 'without a place nothing comes');
        $page = $this->postAndFollow('/upkeep/seasons/places', ['place' => 'C3']);
        self::assertStringContainsString('C3 is kept for the season at hand.', $page->text());
        $keys = $page->filter('input[name="move[]"]')->each(static fn (Crawler $box): string => (string) $box->attr('value'));
        $c3 = $this->place('C3')->id;
        self::assertEqualsCanonicalizing(["{$this->bells->id}-{$c3}", "{$this->snow->id}-{$c3}"], $keys);
        $errand = $this->walk($keys);
        self::assertStringContainsString('2 things forward for winter', $this->get("/upkeep/rounds/{$errand}")->text());
        self::assertSame([1, 1], [$this->balances($this->bells)['C3'], $this->balances($this->snow)['C3']]);
        self::assertSame(['C3', 'C5'], $this->homes($this->bells));
        self::assertGreaterThan(0, $this->number('SELECT count(*) FROM label_wish WHERE item_id = ?', [$this->bells->id]), 'its label is new');
        self::assertStringContainsString('Everything is where the season wants it', $this->get('/upkeep/seasons')->text());

        $this->on('2027-02-20');
        self::assertStringContainsString('Everything is where', $this->get('/upkeep/seasons')->text(), 'winter is not over yet');
        $this->on('2027-03-01');
        $page = $this->get('/upkeep/seasons');
        self::assertStringContainsString('Goes back', $page->text());
        $this->walk($page->filter('input[name="move[]"]')->each(static fn (Crawler $box): string => (string) $box->attr('value')));
        self::assertSame(['C5', null], $this->homes($this->bells));
        self::assertSame([1, 1], [$this->balances($this->bells)['C5'], $this->balances($this->snow)['C5']]);
    }

    public function testADateBringsThingsOfItsTheme(): void
    {
        $this->on('2027-03-20');
        $this->postAndFollow('/upkeep/seasons/places', ['place' => 'C3']);
        self::assertCount(0, $this->get('/upkeep/seasons')->filter('input[name="move[]"]'));
        $kit = $this->planKit('Midwinter in spring', [[$this->card, 1]]);
        $this->database()->executeStatement("UPDATE kit SET due_on = '2027-04-10' WHERE id = ?", [$kit]);
        $page = $this->get('/upkeep/seasons');
        self::assertCount(2, $page->filter('input[name="move[]"]'));
        self::assertStringContainsString('Midwinter in spring on 10 April', $page->text());
    }

    public function testOnePutDownIsUndoneWhole(): void
    {
        $this->on('2026-12-01');
        $this->postAndFollow('/upkeep/seasons/places', ['place' => 'C3']);
        $this->postAndFollow('/upkeep/seasons', ['move' => ["{$this->bells->id}-{$this->place('C3')->id}"]]);
        $errand = $this->number('SELECT max(id) FROM errand');
        $task = $this->number('SELECT id FROM errand_task WHERE errand_id = ?', [$errand]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        self::assertSame(['C3', 'C5'], $this->homes($this->bells));
        $step = $this->word('SELECT request_id FROM movement ORDER BY id DESC LIMIT 1');
        $this->postAndFollow('/log/undo', ['step' => $step, 'back' => "/upkeep/rounds/{$errand}"]);
        self::assertSame(['C5', null], $this->homes($this->bells));
        self::assertSame('carried', $this->word('SELECT state FROM errand_task WHERE id = ?', [$task]));
    }

    public function testAHomeGivenByHandIsForAllTheYear(): void
    {
        $this->on('2026-12-01');
        $this->postAndFollow('/upkeep/seasons/places', ['place' => 'C3']);
        $this->postAndFollow("/items/{$this->bells->id}/home", ['address' => 'C3']);
        self::assertSame(['C3', 'C5'], $this->homes($this->bells), 'carried there by hand it goes back all the same');
        $this->postAndFollow("/items/{$this->bells->id}/home", ['address' => 'C1']);
        self::assertSame(['C1', null], $this->homes($this->bells));
    }

    public function testWhatHasNoOtherHomeIsAskedForOne(): void
    {
        $this->on('2027-06-10');
        $this->postAndFollow('/upkeep/seasons/places', ['place' => 'C3']);
        [$frost] = $this->putInto('C3', 'Frost sequins;;40');
        $page = $this->get('/upkeep/seasons');
        self::assertStringContainsString('Not of this season, and without another home', $page->text());
        self::assertStringContainsString('it is of no season', $page->text(), 'nobody has said that it has one');
        $this->postAndFollow("/items/{$frost->id}/word", ['word' => 'themes', 'themes' => 'frost']);
        self::assertStringContainsString('it is of no season, and no date of its themes is near', $this->get('/upkeep/seasons')->text());
        $this->database()->executeStatement("UPDATE item SET season = 'winter' WHERE id = ?", [$frost->id]);
        self::assertStringContainsString('its season is over', $this->get('/upkeep/seasons')->text());
        self::assertCount(1, $page->filter("a[href=\"/items/{$frost->id}/homes\"]"));
    }

    public function testOnlyAPlaceOfTheFurnitureIsKept(): void
    {
        foreach (['', 'Z9', 'not filed'] as $place) {
            $this->post('/upkeep/seasons/places', ['place' => $place, '_form' => 'keep-typed']);
            $this->assertCode(422, $place);
        }
        $this->step(function (Step $step): void {
            $this->describePlace('C1', fileAfterUses: 2);
        });
        $this->post('/upkeep/seasons/places', ['place' => 'C1']);
        $this->assertCode(409, 'new things wait there');
        $this->signIn('hank');
        $this->post('/upkeep/seasons/places', ['place' => 'C3']);
        $this->assertCode(403);
        $this->post('/upkeep/seasons', ['move' => ['1-2']]);
        $this->assertCode(403);
        self::assertCount(0, array_filter($this->entities()->getRepository(Place::class)->findAll(), static fn (Place $place): bool => $place->isForSeason));
    }

    public function testAnOldPageIsTold(): void
    {
        $this->on('2026-11-10');
        $this->postAndFollow('/upkeep/seasons/places', ['place' => 'C3']);
        $key = "{$this->bells->id}-{$this->place('C3')->id}";
        $this->postAndFollow('/upkeep/seasons/places', ['place' => 'C3', 'not' => '1']);
        $this->post('/upkeep/seasons', ['move' => [$key]]);
        self::assertStringContainsString('The room has changed', $this->text());
        self::assertSame(0, $this->number('SELECT count(*) FROM errand'));
        $this->post('/upkeep/seasons');
        $this->assertCode(409, 'nothing chosen');
    }

    /** @param list<string> $keys */
    private function walk(array $keys): int
    {
        $this->postAndFollow('/upkeep/seasons', ['move' => $keys]);
        $errand = $this->number('SELECT max(id) FROM errand');
        $tasks = array_map(Row::number(...), $this->database()->fetchFirstColumn('SELECT id FROM errand_task WHERE errand_id = ?', [$errand]));
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => $tasks]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => $tasks]);
        self::assertStringContainsString('The round is over', $this->text());

        return $errand;
    }

    /** @return array{string|null, string|null} its home, and the one it goes back to */
    private function homes(Item $item): array
    {
        $item = $this->item((int) $item->id);

        return [$item->home?->address, $item->seasonHome?->address];
    }

    public function testWhatSharesAPocketMovesTogetherAndOnlyWhileItLivesTogether(): void
    {
        $this->on('2026-11-10');
        $this->postAndFollow("/items/{$this->bells->id}/companions", ['other' => (string) $this->snow->id, 'is_together' => '1', '_form' => 'companions']);
        $this->postAndFollow('/upkeep/seasons/places', ['place' => 'C3']);
        self::assertCount(1, $this->get('/upkeep/seasons')->filter('input[name="move[]"]'), 'a set and its dies are one');
        $this->step(fn () => $this->item((int) $this->snow->id)->giveHome($this->place('C1')));
        $this->database()->executeStatement('UPDATE balance SET place_id = ? WHERE item_id = ? AND quantity > 0', [$this->place('C1')->id, $this->snow->id]);
        $page = $this->get('/upkeep/seasons');
        self::assertCount(2, $page->filter('input[name="move[]"]'));
        $errand = $this->walk($page->filter('input[name="move[]"]')->each(static fn (Crawler $box): string => (string) $box->attr('value')));
        self::assertSame('2 things forward for winter', $this->word('SELECT name FROM errand WHERE id = ?', [$errand]), 'and nothing back');
    }
}
