<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Counting;

use App\Kits\Paper\ScaleMood;
use App\Kits\Paper\SimulatedScale;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\KeepHomes;
use App\Tests\RoomTestCase;
use App\Upkeep\Counting\CountHistories;
use Lottel\Core\Upkeep\Counting\PlaceHistory;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;

/** A place is counted on its sheet: what differs is written down with its reason, and the log's rightness is a figure. */
final class CountTest extends RoomTestCase
{
    private Item $card;
    private Item $gulls;
    private Item $glue;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->card] = $this->putInto('C4', 'Petrel cardstock 80 lb;;40');
        [$this->gulls, $this->glue] = $this->putInto('C4', 'Gull dies', 'Liquid glue');
    }

    /** @return array<string, mixed> */
    private function sheet(string $card, string $gulls = '1', string $more = ''): array
    {
        return array_filter([
            '_form' => 'sheet',
            'count-'.$this->card->id => $card,
            'count-'.$this->gulls->id => $gulls,
            'same-'.$this->glue->id => '1',
            'was-'.$this->card->id => '40',
            'why-'.$this->card->id => $more,
        ], static fn (string $value): bool => '' !== $value);
    }

    public function testWhatDiffersIsWrittenDownWithItsReason(): void
    {
        $this->get('/stores/places/C4/count');
        self::assertStringContainsString('the log says 40', $this->text());
        $this->post('/stores/places/C4/count', $this->sheet('37'));
        $this->assertCode(422);
        self::assertStringContainsString('One thing differs from the log. Say why', $this->text());
        self::assertStringContainsString('Less than the log says: why?', $this->text());
        self::assertSame(40, $this->balances($this->card)['C4'], 'nothing is written before');
        $this->postAndFollow('/stores/places/C4/count', $this->sheet('37', more: 'used without a word'));
        self::assertStringContainsString('C4 is counted: 1 line of 3 put right in the log.', $this->text());
        self::assertSame(['C4' => 37, 'bought' => -40, 'counted' => 3], $this->balances($this->card));
        self::assertSame('counted: used without a word', $this->word('SELECT note FROM movement ORDER BY id DESC LIMIT 1'));
        self::assertSame(3, $this->number('SELECT quantity FROM use_of_item WHERE item_id = ?', [$this->card->id]), 'that is use');
        self::assertSame(1, $this->number('SELECT wrong FROM place_count'));
        self::assertSame(3, $this->number('SELECT expected FROM place_count'));
    }

    public function testWhatIsMissingIsLostAndLookedFor(): void
    {
        $fields = ['why-'.$this->gulls->id => 'lost'] + $this->sheet('40', '0');
        $this->postAndFollow('/stores/places/C4/count', $fields);
        self::assertSame(1, $this->balances($this->gulls)['lost']);
        $this->get('/upkeep/lost');
        self::assertStringContainsString('Gull dies', $this->text());
        self::assertStringContainsString('missing at a count', $this->text());
    }

    public function testACountIsUndoneWhole(): void
    {
        $this->postAndFollow('/stores/places/C4/count', $this->sheet('43', more: 'came in without a word'));
        self::assertSame(43, $this->balances($this->card)['C4']);
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT request_id FROM movement ORDER BY id DESC LIMIT 1'), 'back' => '/upkeep/counts']);
        self::assertSame(40, $this->balances($this->card)['C4']);
        self::assertSame(0, $this->number('SELECT count(*) FROM place_count'));
    }

    public function testAReasonThatDoesNotFitIsAskedForAgain(): void
    {
        foreach (['lost', 'used without a word', 'the cat'] as $why) {
            $this->post('/stores/places/C4/count', $this->sheet('43', more: $why));
            $this->assertCode(422, $why);
        }
        self::assertSame(0, $this->number('SELECT count(*) FROM place_count'));
    }

    public function testNothingIsLeftUncountedByMistake(): void
    {
        $fields = $this->sheet('40');
        unset($fields['same-'.$this->glue->id]);
        $this->post('/stores/places/C4/count', $fields);
        $this->assertCode(409);
        self::assertStringContainsString('One thing is not counted yet.', $this->text());
        self::assertSame('40', $this->browser->getCrawler()->filter('#count-'.$this->card->id)->attr('value'), 'what was typed is still there');
        $this->postAndFollow('/stores/places/C4/count', ['all' => '1'] + $fields);
        self::assertStringContainsString('all of it is as the log says', $this->text());
    }

    public function testAbsurdCountsAreRefusedBesideTheirLine(): void
    {
        foreach (['-3', 'a few', '99999999999999', '3.7'] as $count) {
            $this->post('/stores/places/C4/count', $this->sheet($count, more: 'came in without a word'));
            $this->assertCode(422, $count);
            self::assertCount(1, $this->browser->getCrawler()->filter('#sheet-count-'.$this->card->id.'-error'), $count);
        }
        $this->post('/stores/places/C4/count', ['count-'.$this->gulls->id => '2'] + $this->sheet('40'));
        $this->assertCode(422, 'one thing is there once');
        $this->get('/stores/places/Z9/count');
        $this->assertCode(404);
    }

    public function testTwoPeopleCountOneDrawer(): void
    {
        $mine = $this->sheet('37', more: 'used without a word');
        $this->postAndFollow('/stores/places/C4/count', $mine);
        $this->post('/stores/places/C4/count', $mine);
        $this->assertCode(409);
        self::assertStringContainsString('while you counted', $this->text());
        self::assertSame(37, $this->balances($this->card)['C4'], 'the second count takes nothing off again');
        $this->get('/stores/places/C4/count');
        self::assertStringContainsString('by Olive, 1 wrong', $this->text());
    }

    public function testPaperIsCountedByItsWeight(): void
    {
        [$paper] = $this->putInto('C2', 'Storm cardstock; Marrowlight Paper; 20');
        $this->database()->executeStatement(
            "UPDATE item SET sheet_width = 69088, sheet_height = 89408, grammage = 216000, direction = 'none' WHERE id = ?",
            [$paper->id],
        );
        $this->entities()->clear();
        $grams = 0.2159 * 0.2794 * 216.0;
        $scale = $this->service(SimulatedScale::class);
        $scale->be(ScaleMood::Steady);
        $scale->load(17 * $grams);
        $page = $this->post('/stores/places/C2/count', ['weigh' => (string) $paper->id, '_form' => 'sheet']);
        $this->assertCode(200);
        self::assertStringContainsString('on the scale:', $this->text());
        self::assertSame('17', $page->filter('#count-'.$paper->id)->attr('value'));
        self::assertStringContainsString('Less than the log says: why?', $this->text());
        $scale->be(ScaleMood::Drifting);
        $page = $this->post('/stores/places/C2/count', ['weigh' => (string) $paper->id, 'count-'.$paper->id => '12']);
        self::assertSame('12', $page->filter('#count-'.$paper->id)->attr('value'), 'trouble with the scale loses nothing');
        $scale->be(ScaleMood::Steady);
        $this->postAndFollow('/stores/places/C2/count', ['count-'.$paper->id => '17', 'why-'.$paper->id => 'counted wrongly before']);
        self::assertSame(17, $this->balances($paper)['C2']);
    }

    public function testACountRoundGoesFromPlaceToPlace(): void
    {
        $this->postAndFollow('/upkeep/counts', ['which' => 'next', 'many' => '3', '_form' => 'next']);
        $round = $this->number('SELECT max(id) FROM errand');
        self::assertSame(1, $this->number('SELECT count(*) FROM errand_task'), 'only one place has anything in it');
        self::assertStringContainsString('Count what is in C4', $this->text());
        $this->postAndFollow('/stores/places/C4/count', ['round' => (string) $round] + $this->sheet('40'));
        self::assertStringContainsString('The round is over', $this->text());
        $this->postAndFollow('/upkeep/counts', ['which' => 'unit', 'unit' => 'C']);
        self::assertSame(6, $this->number('SELECT count(*) FROM errand_task'), 'a whole unit, empty drawers too');
        $this->postAndFollow('/upkeep/counts', ['which' => 'room']);
        foreach ([['which' => 'next', 'many' => '0'], ['which' => 'next', 'many' => 'all']] as $bad) {
            $this->post('/upkeep/counts', $bad);
            $this->assertCode(422);
        }
        $this->post('/upkeep/counts', ['which' => 'unit', 'unit' => 'Q']);
        $this->assertCode(404);
        $this->post('/upkeep/counts', ['which' => 'stars']);
        $this->assertCode(409);
    }

    public function testAccuracyIsAFigureOverTime(): void
    {
        $this->get('/upkeep/counts');
        self::assertStringContainsString('Nothing was counted yet', $this->text());
        $this->postAndFollow('/stores/places/C4/count', $this->sheet('37', more: 'used without a word'));
        self::assertEqualsWithDelta(2 / 3, (float) $this->service(CountHistories::class)->accuracy()->share(), 1e-9);
        $this->get('/upkeep/counts');
        self::assertStringContainsString('the log was right about 67 % of 3 lines', $this->text());
        $this->step(fn (Step $step) => $this->service(KeepHomes::class)->giveHome($step, $this->item((int) $this->gulls->id), $this->place('C5')));
        $histories = array_values(array_filter(
            $this->service(CountHistories::class)->all(),
            fn (PlaceHistory $one): bool => $one->place === $this->place('C4')->id,
        ));
        self::assertSame([1, 0], [$histories[0]->wrong, $histories[0]->days]);
    }

    public function testAHelperDoesNotWriteACountDown(): void
    {
        self::assertGreaterThan(0, $this->get('/upkeep/counts')->filter('a[href$="/count"]')->count());
        $this->signIn('hank');
        self::assertCount(0, $this->get('/upkeep/counts')->filter('a[href$="/count"]'), 'what a helper may not write is not offered');
        $this->get('/stores/places/C4/count');
        $this->assertCode(200);
        $this->post('/stores/places/C4/count', $this->sheet('40'));
        $this->assertCode(403);
    }

    public function testOnlyWhatCameAndWentSinceTheCountTouchesAPlace(): void
    {
        $c4 = $this->place('C4')->id;
        $touched = fn (): array => array_map(
            static fn (PlaceHistory $one): int => $one->touchedSince,
            array_values(array_filter($this->service(CountHistories::class)->all(), static fn (PlaceHistory $one): bool => $one->place === $c4)),
        );
        $this->postAndFollow('/stores/places/C4/count', $this->sheet('40'));
        $this->database()->executeStatement("UPDATE place_count SET at = datetime(at, '+1 minutes')");
        self::assertSame([0, 0], [$touched()[0], $this->service(CountHistories::class)->touchedSinceCount((int) $c4)]);
        $real = Clock::get();
        Clock::set(new MockClock($real->now()->modify('+1 hour')));
        try {
            [$came] = $this->putInto('C4', 'New card;;2');
            self::assertSame([1, 1], [$touched()[0], $this->service(CountHistories::class)->touchedSinceCount((int) $c4)]);
            $homes = $this->service(KeepHomes::class);
            $this->step(fn (Step $step) => $homes->moveTo($step, $this->item((int) $came->id), $this->place('C5'), $this->place('C4')));
            self::assertSame([2, 2], [$touched()[0], $this->service(CountHistories::class)->touchedSinceCount((int) $c4)]);
        } finally {
            Clock::set($real);
        }
    }
}
