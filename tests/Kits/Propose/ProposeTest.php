<?php

declare(strict_types=1);

namespace App\Tests\Kits\Propose;

use App\Kits\Design\Designs;
use App\Kits\Propose\TakeProposal;
use App\Platform\Steps\Step;
use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Log\Tracking;
use Symfony\Component\DomCrawler\Crawler;

final class ProposeTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
    }

    private function fill(): void
    {
        $this->putInto(
            'C2',
            'White card; ; 12; ; #f4f1ea; 8 1/2 × 11; 80 lb cover',
            'Petrel card; ; 12; ; #1f5c6b; 8 1/2 × 11; 80 lb cover',
            'Buoy card; ; 12; ; #c8372d; 8 1/2 × 11; 80 lb cover',
            'Fog card; ; 12; ; #c9cbc7; 8 1/2 × 11; 80 lb cover',
        );
        [$gulls, $cake] = $this->putInto('C1', 'Gull thanks; ; 1', 'Cake; ; 1');
        $gulls->describe($gulls->record()->with(sentiments: 'thank you, skipper'));
        $cake->describe($cake->record()->with(sentiments: 'happy birthday'));
        $this->putInto('C3', 'Petrel ink; ; half; ; #1f5c6b');
        $this->entities()->flush();
    }

    /** @return list<list<string>> the names in each proposal */
    private function proposed(string $query): array
    {
        return $this->get('/propose?'.$query)->filter('.proposal')->each(
            static fn (Crawler $one): array => $one->filter('.name')->each(static fn (Crawler $name): string => $name->text()),
        );
    }

    public function testWhatLiesIdleIsLaidOutAndTakenAsAKitInOnePress(): void
    {
        $this->fill();
        $three = $this->proposed('many=4');
        self::assertCount(2, $three, 'two sets of stamps, so two');
        $all = array_merge(...$three);
        self::assertSame(array_values(array_unique($all)), $all, 'nothing is in both');
        self::assertSame($three, $this->proposed('many=4'), 'the same day gives the same');
        $form = $this->browser->getCrawler()->filter('.proposal form')->first();
        $values = $form->filter('input')->each(static fn (Crawler $one): array => [(string) $one->attr('name'), (string) $one->attr('value')]);
        $fields = array_column(array_filter($values, static fn (array $one): bool => 'things[]' !== $one[0] && !str_starts_with($one[0], '_')), 1, 0);
        $fields['things'] = array_column(array_filter($values, static fn (array $one): bool => 'things[]' === $one[0]), 1);
        $page = $this->postAndFollow('/propose', $fields);
        self::assertStringContainsString('Of which paper is the base?', $page->filter('.said')->text());
        $kit = $this->number('SELECT max(id) FROM kit');
        $design = $this->service(Designs::class)->one($this->kit($kit))->design();
        self::assertSame([4, 2], [$design->quantity, \count($design->papers())]);
        self::assertCount(0, $page->filter('#part-L1 .part-short, #part-L2 .part-short'), 'the papers are enough, as was said');
        $again = array_merge([], ...$this->proposed('many=4'));
        self::assertNotContains($three[0][0], $again, 'a set that is on a list is not proposed again');
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testTheSentimentFitsAndAnotherIsAskedFor(): void
    {
        $this->fill();
        $birthday = $this->proposed('many=4&wants=birthday');
        self::assertCount(1, $birthday);
        self::assertSame('Cake', $birthday[0][0]);
        self::assertSame([], $this->proposed('many=4&wants=condolence'));
        self::assertStringContainsString('Nothing can be laid out', $this->browser->getCrawler()->text());
    }

    public function testAPartIsSwappedForTheNextBestAndTheOthersStay(): void
    {
        $this->fill();
        $this->putInto('C2', 'Lamp card; ; 12; ; #e0aa4e; 8 1/2 × 11; 80 lb cover');
        $before = $this->proposed('many=4');
        $another = $this->browser->getCrawler()->filter('.proposal')->first()->filter('a.link')->eq(1);
        self::assertStringContainsString('another instead of '.$before[0][1], $another->text());
        $after = $this->proposed((string) parse_url((string) $another->attr('href'), \PHP_URL_QUERY));
        self::assertNotSame($before[0][1], $after[0][1]);
        self::assertSame([$before[0][0], \array_slice($before[0], 2), $before[1]], [$after[0][0], \array_slice($after[0], 2), $after[1]]);
        self::assertNotContains($after[0][1], $before[1], 'nothing that the other one has');
        $none = $this->get('/propose?many=4&swap=1-stamps');
        self::assertStringContainsString('Nothing else that could be the stamps lies idle.', $none->filter('.year-warning')->text());
        self::assertSame($before, $this->proposed('many=4&swap=9-panel,x,1-,0-mat,1-unheard'), 'what is no part is passed over');
    }

    public function testATimeSaysHowManyItIsEnoughFor(): void
    {
        $this->fill();
        $page = $this->get('/propose?many=12&time=1+h');
        self::assertMatchesRegularExpression('/^1 h is enough for \d cards? of 12, about/', $page->filter('.year-warning')->text());
        $fewer = $this->get((string) $page->filter('.year-warning a')->attr('href'));
        self::assertCount(0, $fewer->filter('.year-warning'), 'so many are done in that time');
        self::assertStringContainsString('too short for one card', $this->get('/propose?many=4&time=1+min')->filter('.year-warning')->text());
        self::assertStringContainsString('Write a time', $this->get('/propose?many=4&time=soon')->filter('.field-error')->text());
        self::assertStringContainsString('to fetch', $page->filter('.proposal')->text());
        self::assertStringContainsString('takes 3 sheets', $page->filter('.proposal')->text(), 'twelve panels, four out of a sheet');
    }

    public function testMoreThanThePapersHoldIsNotProposed(): void
    {
        $this->fill();
        self::assertSame([], $this->proposed('many=60'), 'twelve sheets of each give 48 panels');
        foreach (['many=0', 'many=x', 'many=99999', 'without=1,x,,2', 'wants='.str_repeat('y', 500)] as $query) {
            $this->get('/propose?'.$query);
            $this->assertCode(200, $query);
        }
        self::assertStringContainsString('A number from 1 to 100', $this->get('/propose?many=x')->filter('#propose-many-error')->text());
        foreach ([['many' => '0'], ['many' => '5000'], ['many' => 'x']] as $wrong) {
            $this->post('/propose', $wrong + ['wants' => '', 'panel' => '', 'mat' => '', 'things' => []]);
            $this->assertCode(422);
        }
        $this->post('/propose', ['many' => '4', 'wants' => '', 'panel' => '999', 'mat' => '', 'things' => []]);
        $this->assertCode(404, 'a paper that is none');
        $stamps = (string) $this->number("SELECT id FROM item WHERE name = 'Cake'");
        $this->post('/propose', ['many' => '4', 'wants' => '', 'panel' => $stamps, 'mat' => '', 'things' => []]);
        $this->assertCode(409, 'stamps are no paper');
        self::assertSame(0, $this->number('SELECT count(*) FROM kit'));
    }

    public function testWhatWasUsedLatelyLiesIdleSinceThen(): void
    {
        $this->fill();
        $this->database()->executeStatement("UPDATE item SET since = '2026-01-01 10:00:00', used_at = '2026-11-20 10:00:00' WHERE name = 'Gull thanks'");
        $this->database()->executeStatement("UPDATE item SET since = '2026-06-01 10:00:00' WHERE name = 'Cake'");
        self::assertContains('Cake', $this->proposed('many=4')[0], 'it was here for less long, and has lain for longer');
        $this->database()->executeStatement("UPDATE item SET used_at = '2026-03-01 10:00:00' WHERE name = 'Gull thanks'");
        self::assertContains('Gull thanks', $this->proposed('many=4')[0]);
    }

    public function testOfPadsThatAreCountedOneIsTaken(): void
    {
        [$pads, $dots] = $this->putInto('C3', 'Tern ink; ; 3; ; #1f5c6b', 'Dots; ; 40; ; #1f5c6b');
        $pads->describe($pads->record()->with(kind: Kind::Ink));
        $pads->countAs(Tracking::Count);
        $dots->describe($dots->record()->with(kind: Kind::Embellishment));
        $dots->countAs(Tracking::Count);
        $this->entities()->flush();
        $kit = 0;
        $this->step(function (Step $step) use ($pads, $dots, &$kit): void {
            $kit = (int) ($this->service(TakeProposal::class))($step, 6, 'birthday', null, null, [$pads, $dots])->id;
        });
        $wanted = $this->database()->fetchAllKeyValue('SELECT i.name, n.quantity FROM need n JOIN item i ON i.id = n.item_id WHERE n.kit_id = ?', [$kit]);
        self::assertSame([1, 6], [$wanted['Tern ink'] ?? 0, $wanted['Dots'] ?? 0]);
    }

    public function testAPaperOfWhichNobodyKnowsHowLargeItIsIsNotProposed(): void
    {
        $this->fill();
        $this->putInto('C2', 'Vellum of no size; ; 12; ; #c8372d');
        $this->database()->executeStatement("UPDATE item SET sheet_width = NULL, sheet_height = NULL, since = '2020-01-01' WHERE name = 'Vellum of no size'");
        self::assertNotEmpty($this->proposed('pieces=2'));
        self::assertNotContains('Vellum of no size', array_merge(...$this->proposed('pieces=2')));
    }
}
