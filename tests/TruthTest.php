<?php

declare(strict_types=1);

namespace App\Tests;

use App\Platform\Database\Row;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use PHPUnit\Framework\Attributes\DataProvider;

/** What the pages say is so, and what was typed is not lost. */
final class TruthTest extends RoomTestCase
{
    private Item $gulls;
    private Item $card;
    private int $kit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->gulls] = $this->putInto('C1', 'Gulls');
        [$this->card] = $this->putInto('C2', 'Petrel card;;24');
        $this->kit = $this->planKit('Mine', [[$this->gulls, 1], [$this->card, 6]]);
        $this->postAndFollow("/kits/{$this->kit}/pull");
    }

    public function testAPageThatHasGrownOldTakesNoMoreThanIsStillOpen(): void
    {
        $take = ['place' => 'C2', 'needs' => [$this->needId($this->kit, $this->card)]];
        $this->signIn('hank');
        $this->postAndFollow("/kits/{$this->kit}/pull/take", $take);
        $this->signIn('olive');
        $this->post("/kits/{$this->kit}/pull/take", $take);
        $this->assertCode(409);
        self::assertStringContainsString('Hank has taken Petrel card already; it is on tray 1.', $this->text());
        $this->post("/kits/{$this->kit}/pull/fewer", ['place' => 'C2', 'need' => $take['needs'][0], 'quantity' => '2']);
        $this->assertCode(409);
        $this->post("/kits/{$this->kit}/pull/not-here", ['place' => 'C2', 'need' => $take['needs'][0]]);
        $this->assertCode(409, 'nor does it lose what another has taken from');
        self::assertSame(['C2' => 18, 'bought' => -24, 'tray 1' => 6], $this->balances($this->card));
    }

    public function testOnlyTheRestIsTakenWhereSomebodyHasTakenAPart(): void
    {
        $need = $this->needId($this->kit, $this->card);
        $this->putInto('C4', 'unused');
        $this->postAndFollow("/items/{$this->card->id}/stock", ['quantity' => '5', 'address' => 'C4', 'from' => 'bought']);
        $this->database()->executeStatement('UPDATE need SET quantity = 26 WHERE id = ?', [$need]);
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C2', 'needs' => [$need]]);
        $this->post("/kits/{$this->kit}/pull/fewer", ['place' => 'C4', 'need' => $need, 'quantity' => '3']);
        $this->assertCode(409);
        self::assertStringContainsString('Only 2 of Petrel card is still wanted', $this->text());
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C4', 'needs' => [$need]]);
        self::assertSame(['C4' => 3, 'bought' => -29, 'tray 1' => 26], $this->balances($this->card));
    }

    public function testARoundTellsWhetherAnotherDeviceHasDoneSomething(): void
    {
        $page = $this->get("/kits/{$this->kit}/pull");
        $seen = (string) $page->filter('#main')->attr('data-seen');
        $url = (string) $page->filter('#main')->attr('data-follow');
        $this->get($url.'?seen='.$seen);
        $this->assertCode(204);
        $this->signIn('hank');
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->gulls)]]);
        $this->signIn('olive');
        $this->get($url.'?seen='.$seen);
        $this->assertCode(200);
        self::assertNotSame($seen, $this->browser->getResponse()->getContent());
        foreach (['make', 'return', 'pull'] as $round) {
            self::assertCount(1, $this->get("/kits/{$this->kit}/{$round}")->filter('#main[data-follow]'), $round);
        }
    }

    public function testIntoAKitThatCannotHaveItIsToldOnTheThingsPageWithWhatWasTyped(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->gulls)]]);
        $other = $this->planKit('Other', []);
        $this->post("/items/{$this->gulls->id}/into-kit", ['kit' => $other, 'now' => '1', '_form' => 'into']);
        $this->assertCode(409);
        self::assertStringContainsString('Gulls is out already: Olive took it, it is on tray 1 (Mine).', $this->text());
        $page = $this->post("/items/{$this->card->id}/into-kit", ['kit' => $other, 'now' => '1', 'quantity' => '900', '_form' => 'into']);
        $this->assertCode(422);
        self::assertStringContainsString('There are only 24 in the drawers.', $this->text());
        self::assertSame('900', $page->filter('#into-quantity')->attr('value'));
        self::assertSame((string) $other, $page->filter('#into-kit option[selected]')->attr('value'));
        $page = $this->post("/items/{$this->card->id}/into-kit", ['kit' => $other, 'quantity' => 'many', '_form' => 'into']);
        $this->assertCode(422);
        self::assertStringContainsString('whole number', $page->filter('#into-quantity-error')->text());
        $this->post("/items/{$this->card->id}/into-kit", ['kit' => '99', 'quantity' => '1', '_form' => 'into']);
        $this->assertCode(404);
    }

    public function testAKitWithoutATrayIsToldSoOnItsPage(): void
    {
        $planned = $this->planKit('Only planned', [[$this->card, 1]]);
        foreach (
            [
                'make/finish' => ['name' => 'Card', 'quantity' => '1'],
                'pull/unknown' => ['name' => 'Odd', 'address' => 'C1', 'quantity' => '1'],
                'make/more' => ['item' => $this->card->id, 'quantity' => '1'],
                'return/lost' => ['item' => $this->card->id],
            ] as $step => $fields
        ) {
            $this->post("/kits/{$planned}/{$step}", $fields);
            $this->assertCode(409, $step);
            self::assertStringNotContainsString('Redirecting to', $this->text());
            self::assertStringContainsString('Start the pull first', $this->text());
            self::assertStringContainsString('Only planned', $this->text());
        }
    }

    public function testQuantitiesAreReadAndSaidAsTheThingIsCounted(): void
    {
        [$ribbon, $roll] = $this->putInto('C4', 'Velvet ribbon; ; 12', 'Satin ribbon');
        [$ink] = $this->putInto('C3', 'Buoy ink;;half');
        self::assertSame(['length', 'one', 'level'], [$ribbon->tracking->value, $roll->tracking->value, $ink->tracking->value]);
        $this->get("/items/{$ribbon->id}");
        self::assertStringContainsString('in C4 12 in', $this->text());
        foreach (['5 m' => 'about 16 ft 5 in', '10 yd' => '10 yd', '2 1/2 yd' => '90 in', '3 ft' => '36 in', "1' 6\"" => '18 in'] as $typed => $said) {
            $this->postAndFollow("/items/{$ribbon->id}/stock", ['quantity' => $typed, 'address' => 'C4', 'from' => 'bought']);
            self::assertStringContainsString($said, $this->text(), $typed);
        }
        $kit = $this->planKit('Ribbons', [[$ribbon, 9_000_000]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->post("/kits/{$kit}/pull/fewer", ['place' => 'C4', 'need' => $this->needId($kit, $ribbon), 'quantity' => '20 m']);
        $this->assertCode(422);
        self::assertStringContainsString('There is only so much in C4: ', $this->text());
        self::assertDoesNotMatchRegularExpression(
            '/\d{3},\d{3}|\d{6}/',
            (string) preg_replace('/[0-9a-f]{8}-[0-9a-f-]{27}/', '', $this->text()),
            'nobody thinks in ticks',
        );
        foreach (['half' => '½ full', 'full' => 'full', '3/4' => '¾ full'] as $typed => $said) {
            $this->postAndFollow("/items/{$ink->id}/counted", ['quantity' => $typed, 'place' => 'C3']);
            self::assertStringContainsString($said, $this->text());
        }
        $this->post("/items/{$ink->id}/stock", ['quantity' => 'much', 'address' => 'C3', 'from' => 'bought', '_form' => 'stock']);
        $this->assertCode(422);
        self::assertStringContainsString('full, half, 3/4', $this->text());
    }

    public function testWhatSomebodyCountedIsAMovementWithItsReason(): void
    {
        $this->postAndFollow("/items/{$this->card->id}/counted", ['quantity' => '20', 'place' => 'C2', 'why' => 'four were bent']);
        self::assertStringContainsString('20 as counted, 4 less than the log believed', $this->text());
        self::assertSame(['C2' => 20, 'bought' => -24, 'counted' => 4], $this->balances($this->card));
        self::assertSame('counted: four were bent', $this->database()->fetchOne("SELECT note FROM movement WHERE reason = 'count'"));
        $this->postAndFollow("/items/{$this->card->id}/counted", ['quantity' => '20', 'place' => 'C2']);
        self::assertStringContainsString('agrees with the log', $this->text());
        $this->postAndFollow("/items/{$this->card->id}/counted", ['quantity' => '2', 'place' => 'C4']);
        $this->postAndFollow("/items/{$this->card->id}/counted", ['quantity' => '0', 'place' => 'C2']);
        self::assertSame(['C4' => 2, 'bought' => -24, 'counted' => 22], $this->balances($this->card));
        $this->post("/items/{$this->gulls->id}/counted", ['quantity' => '1', 'place' => 'C4']);
        $this->assertCode(422, 'a single thing is in one place');
        $this->signIn('hank');
        $this->post("/items/{$this->card->id}/counted", ['quantity' => '900000', 'place' => 'C2']);
        $this->assertCode(403);
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testAThingIsCountedInAnotherWayByAStatedFactor(): void
    {
        [$ribbon] = $this->putInto('C4', 'Elastic;;12');
        self::assertSame('count', $ribbon->tracking->value);
        $kit = $this->planKit('Elastic', [[$ribbon, 2]]);
        $page = $this->get("/items/{$ribbon->id}/edit");
        self::assertCount(0, $page->filter('#item-tracking'), 'it has moved');
        $this->post("/items/{$ribbon->id}/tracking", ['was' => '1', 'becomes' => 'long', 'tracking' => 'length', '_form' => 'retrack']);
        $this->assertCode(422);
        $this->postAndFollow("/items/{$ribbon->id}/tracking", ['was' => '1', 'becomes' => '1 yd', 'tracking' => 'length', '_form' => 'retrack']);
        $ticks = 36 * 8128;
        self::assertSame(['C4' => 12 * $ticks, 'bought' => -12 * $ticks], $this->balances($ribbon));
        self::assertSame(2 * $ticks, $this->number('SELECT quantity FROM need WHERE kit_id = ?', [$kit]), 'lists say it in the new way');
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C4', 'needs' => [$this->needId($kit, $ribbon)]]);
        self::assertSame(['C4' => 10 * $ticks, 'bought' => -12 * $ticks, 'tray 2' => 2 * $ticks], $this->balances($ribbon));
        $page = $this->get("/log?item={$ribbon->id}");
        self::assertSame(
            ['72 in', '12'],
            $page->filter('.log-line b')->each(static fn ($cell): string => $cell->text()),
            'each line as it was counted then',
        );
        self::assertCount(
            0,
            $page
                ->filter('form[action$="/reverse"]')
                ->reduce(fn ($form): bool => str_contains((string) $form->attr('action'), '/'.$this->firstMovement($ribbon).'/')),
        );
        $this->post('/log/'.$this->firstMovement($ribbon).'/reverse');
        $this->assertCode(422);
        self::assertStringContainsString('counted in another way since', $this->text());
        $this->post("/items/{$ribbon->id}/tracking", ['was' => '1 in', 'becomes' => '1', 'tracking' => 'count', '_form' => 'retrack']);
        $this->assertCode(409, 'some of it is on a tray');
        $this->postAndFollow("/kits/{$kit}/return");
        $this->postAndFollow("/kits/{$kit}/return/home", ['items' => [$ribbon->id]]);
        $this->post("/items/{$ribbon->id}/tracking", ['was' => '7 in', 'becomes' => '1', 'tracking' => 'count', '_form' => 'retrack']);
        $this->assertCode(422);
        self::assertStringContainsString('does not come out even', $this->text());
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testSentencesAreTrueAndAgreeInNumber(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->gulls)]]);
        $this->get('/plan');
        self::assertStringContainsString('1 thing out', $this->text());
        $this->get('/stores');
        self::assertStringContainsString('1 unit ', $this->text());
        $this->postAndFollow("/kits/{$this->kit}/pull/end");
        self::assertStringContainsString('What was found is on tray 1; 1 line is still open.', $this->text());
        self::assertStringNotContainsString('Everything is on', $this->text());
        $other = $this->planKit('Other', [[$this->gulls, 1]]);
        $this->postAndFollow("/kits/{$other}/pull");
        $this->postAndFollow("/kits/{$other}/pull/not-here", ['place' => 'C1', 'need' => $this->needId($other, $this->gulls)]);
        self::assertStringContainsString('The kit does without Gulls.', $this->text(), 'it is on another tray, not “not here”');
        $this->get("/kits/{$other}");
        self::assertStringContainsString('done without', $this->text());
        self::assertStringNotContainsString('not here', $this->text());
        $this->postAndFollow("/kits/{$this->kit}/return/lost", ['item' => $this->gulls->id]);
        $this->postAndFollow("/kits/{$this->kit}/close");
        self::assertStringContainsString('“Mine” is closed. 1 is lost.', $this->text());
        self::assertStringNotContainsString('Everything is back', $this->text());
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function searches(): iterable
    {
        yield 'a colour by its word' => ['q=yellow', ['Gorse card']];
        yield 'a colour and another word' => ['q=navy+ribbon', ['Deep ribbon']];
        yield 'kraft' => ['q=kraft', ['Brown bag']];
        yield 'the filter by a word' => ['colour=coral', ['Sunrise card']];
        yield 'the filter by a shade' => ['colour=light+green', ['Mint card']];
        yield 'the filter by a family' => ['colour=blue', ['Deep ribbon', 'Sea card']];
        yield 'the room’s own colour' => ['colour=gorse', ['Gorse card']];
        yield 'a size written together' => ['q=12x12', ['Old charts 12 × 12', 'Map 12 by 12']];
        yield 'a size with a times sign' => ['q=12+%C3%97+12', ['Old charts 12 × 12', 'Map 12 by 12']];
        yield 'a size in fractions' => ['q=4.25x5.5', ['Panels 4¼ × 5½']];
    }

    /** @param list<string> $names */
    #[DataProvider('searches')]
    public function testColoursAndSizesAreFoundHoweverTheyAreWritten(string $query, array $names): void
    {
        $this->putInto(
            'C5',
            'Gorse card;;5;;#f0cf4e',
            'Deep ribbon;;3 ft;;navy',
            'Brown bag;;5;;kraft',
            'Sunrise card;;2;;coral',
            'Mint card;;2;;light green',
            'Sea card;;2;;#0000ff',
            'Old charts 12 × 12;;4',
            'Map 12 by 12',
            'Panels 4¼ × 5½;;6',
            'Twelve dozen',
        );
        $this->database()->executeStatement("UPDATE item SET colour_name = 'Gorse' WHERE name = 'Gorse card'");
        self::assertEqualsCanonicalizing($names, $this->get('/find?'.$query)->filter('main .rows .name')->each(static fn ($node): string => $node->text()));
    }

    public function testAColourIsChosenByItsWordInARecord(): void
    {
        $page = $this->get("/items/{$this->gulls->id}/edit");
        self::assertGreaterThanOrEqual(30, $page->filter('.colour-chip')->count());
        $this->postAndFollow("/items/{$this->gulls->id}/edit", [
            'name' => 'Gulls',
            'kind' => 'stamp set',
            'tracking' => 'one',
            'themes' => '',
            'colour' => 'navy',
        ]);
        self::assertSame('#1b2a55', $this->database()->fetchOne('SELECT colour FROM item WHERE id = ?', [$this->gulls->id]));
        $this->post("/items/{$this->gulls->id}/edit", [
            'name' => 'Gulls',
            'kind' => 'stamp set',
            'tracking' => 'one',
            'themes' => '',
            'colour' => 'greyish something',
            '_form' => 'item',
        ]);
        $this->assertCode(422);
        self::assertStringContainsString('is no colour that is known here', $this->text());
    }

    public function testThePreviewIsWhatIsWritten(): void
    {
        $this->postAndFollow('/stores/places/C5', [
            'name' => 'mixed',
            'scheme' => 'name',
            'says_maker' => 'Oddling, Two Bollards',
            'says_theme' => 'sea, seabirds',
            'season' => 'winter',
        ]);
        $lines = "Hot glue gun\nPuffin die;;3\nSquare card; Kelp & Comma; 12; knots; mustard\nVelvet ribbon;;2 yd\nBuoy ink;;half";
        $page = $this->post('/stores/places/C5/preview', ['things' => $lines]);
        $shown = $page
            ->filter('.preview tbody tr')
            ->each(
                static fn ($row): array => $row
                    ->filter('td')
                    ->each(static fn ($cell): string => trim((string) preg_replace('/\s+/', ' ', $cell->text()))),
            );
        $this->browser->submit($page->filter('#preview form')->form());
        $this->assertCode(303);
        $kinds = [
            'machine' => 'machine (by its name)',
            'die' => 'die (by its name)',
            'paper' => 'paper (by its name)',
            'ribbon' => 'ribbon (by its name)',
            'ink' => 'ink (by its name)',
        ];
        $quantities = $this->service(\App\Platform\Web\Measures::class)->quantities();
        $written = [];
        foreach (
            $this->database()->fetchAllAssociative(
                'SELECT i.*, b.quantity FROM item i JOIN balance b ON b.item_id = i.id JOIN place p ON p.id = b.place_id AND p.address = ? ORDER BY i.id',
                ['C5'],
            ) as $columns
        ) {
            $row = new Row($columns);
            $written[] = [
                $row->text('name'),
                $kinds[$row->text('kind')].implode(', ', $row->texts('hazards')),
                $row->text('maker'),
                $quantities->print($row->int('quantity'), $row->one('tracking', \Lottel\Core\Log\Tracking::class)),
                implode(', ', $row->texts('themes')),
                $row->text('colour_name'),
            ];
        }
        self::assertSame($written, $shown);
        self::assertSame('machine (by its name)heavy, hot', $shown[0][1]);
    }

    public function testWhatIsDangerousToChildrenIsWarnedOfWithinTheirReach(): void
    {
        [$knife] = $this->putInto('C5', 'Craft knife');
        self::assertSame(['blade'], $knife->hazards);
        $this->postAndFollow("/items/{$knife->id}/home", ['address' => 'C4']);
        self::assertStringContainsString('Small children can reach C4; Craft knife (blade) is better out of their reach.', $this->text());
        $this->get('/stores/places/C4');
        self::assertStringContainsString('Small children can reach C4', $this->text());
        $this->postAndFollow('/stores/places/C4', ['name' => '', 'scheme' => 'name', 'is_child_safe' => '1']);
        $this->get("/items/{$knife->id}");
        self::assertStringNotContainsString('Small children', $this->text());
        $this->postAndFollow('/stores/new-unit', [
            'template' => 'rail',
            'letters' => 'R',
            'rows' => '1',
            'columns' => '3',
            'above_floor' => '1600 mm',
            'height' => '200 mm',
        ]);
        $this->postAndFollow("/items/{$knife->id}/home", ['address' => 'R1']);
        self::assertStringNotContainsString('Small children', $this->text(), 'it hangs too high for them');
    }

    public function testFullnessOfUnmeasuredThingsIsCalledAGuessAndIsPlausible(): void
    {
        $this->putInto('C5', ...array_map(static fn (int $n): string => "Thing {$n};;".($n % 5 * 8 + 1), range(1, 40)));
        $this->get('/stores/places/C5');
        self::assertStringContainsString('a guess: nobody has measured these things', $this->text());
        preg_match('/load\s*([\d.]+) (lb|oz)/', $this->text(), $m);
        [, $size, $unit] = $m + ['', '', ''];
        self::assertGreaterThan(0, (float) $size, 'its load is said');
        self::assertLessThan(10 * 16, (float) $size * ('lb' === $unit ? 16 : 1), 'forty lines of small things are no sack of stones');
        $this->postAndFollow("/items/{$this->card->id}/edit", [
            'name' => 'Petrel card',
            'kind' => 'paper',
            'tracking' => 'count',
            'themes' => '',
            'colour' => '',
            'width' => '8 1/2',
            'height' => '11',
            'depth' => '1/32',
            'grams' => '1/2 oz',
        ]);
        $this->get('/stores/places/C2');
        self::assertStringNotContainsString('a guess', $this->text(), 'this one has been measured');
    }

    public function testARoomShowsItsOwnMeasuresAndTimesAndMayChangeThem(): void
    {
        $this->postAndFollow("/items/{$this->card->id}/edit", [
            'name' => 'Petrel card',
            'kind' => 'paper',
            'tracking' => 'count',
            'themes' => '',
            'colour' => '',
            'width' => '8 1/2',
            'height' => '11',
            'depth' => '1/32',
            'grams' => '0.5 oz',
        ]);
        self::assertStringContainsString('0.5 oz', $this->text());
        $this->get('/stores/places/C2');
        self::assertStringNotContainsString(' kg', $this->text());
        self::assertStringNotContainsString(' mm', $this->text());
        $plan = $this->get('/stores/plan');
        self::assertStringEndsWith(' in', (string) $plan->filter('input[name="x[]"]')->attr('value'));
        $this->database()->executeStatement("UPDATE room SET time_zone = 'UTC'");
        $page = $this->postAndFollow('/upkeep/room', ['room' => 'Loft by the sea', 'measure' => 'mm', 'time_zone' => 'Asia/Tokyo']);
        self::assertStringContainsString('Loft by the sea', $page->filter('.brand')->text());
        $this->get("/items/{$this->card->id}");
        self::assertStringContainsString('215.9 × 279.4', $this->text());
        self::assertStringContainsString('14 g', $this->text());
        $at = new \DateTimeImmutable($this->word('SELECT max(at) FROM movement'), new \DateTimeZone('UTC'));
        self::assertStringContainsString($at->setTimezone(new \DateTimeZone('Asia/Tokyo'))->format('j M, G:i'), $this->text());
        $this->post('/upkeep/room', ['room' => '', 'measure' => 'ells', 'time_zone' => 'Mars/Base', '_form' => 'room']);
        $this->assertCode(422);
        self::assertCount(3, $this->browser->getCrawler()->filter('.field-error'));
    }

    public function testAUseIsAPullThatWasNotUndone(): void
    {
        $this->postAndFollow('/stores/places/C1', ['name' => 'new things', 'scheme' => 'name', 'file_after_uses' => '1']);
        $page = $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->gulls)]]);
        self::assertNotNull($this->database()->fetchOne('SELECT used_at FROM item WHERE id = ?', [$this->gulls->id]));
        $this->browser->submit($page->filter('.said form')->form());
        self::assertNull($this->database()->fetchOne('SELECT used_at FROM item WHERE id = ?', [$this->gulls->id]));
        self::assertSame(0, $this->number('SELECT count(*) FROM item_use WHERE item_id = ?', [$this->gulls->id]));
        $this->get('/stores/queue');
        self::assertStringNotContainsString('New no longer', $this->text());
    }

    public function testAForeignCodeIsToldOnThePageThatStays(): void
    {
        $this->browser->request(
            'POST',
            '/scan',
            ['_request' => '0190aaaa-0000-7000-8000-000000000005', '_form' => 'scan-here', 'on' => '', 'code' => '4006381333931'],
            [],
            ['HTTP_HX_REQUEST' => 'true'],
        );
        $this->assertCode(422);
        self::assertSame('#scan-said', $this->browser->getResponse()->headers->get('HX-Retarget'));
        self::assertSame('“4006381333931” is no label of this room.', trim($this->text()));
        $this->post('/scan', ['on' => '', 'code' => '4006381333931', '_form' => 'scan']);
        $this->assertCode(422);
        self::assertStringContainsString('Scan a label', $this->text());
    }

    private function firstMovement(Item $item): int
    {
        return $this->number('SELECT min(id) FROM movement WHERE item_id = ?', [$item->id]);
    }
}
