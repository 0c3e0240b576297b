<?php

declare(strict_types=1);

namespace App\Tests\Kits\Workshop;

use App\Kits\Cutting\AskForPieces;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Cutting\AskedPiece;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use Lottel\Core\Paper\Grammage;
use Lottel\Core\Paper\Sheet;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\DomCrawler\Crawler;

final class WorkshopTest extends RoomTestCase
{
    private Item $gems;
    private Item $punch;
    private Item $stamps;
    private int $kit;

    protected function setUp(): void
    {
        parent::setUp();
        Clock::set(new MockClock('2027-03-03 10:00:00'));
        $this->furnish();
        [$this->gems] = $this->putInto('C4', 'Gull gems; ; 100');
        $this->gems->describe($this->gems->record()->with(kind: Kind::Embellishment));
        [$this->stamps] = $this->putInto('C1', 'Gull stamps; ; 1');
        [$this->punch] = $this->putInto('C5', 'Corner punch; ; 2');
        $this->punch->describe($this->punch->record()->with(kind: Kind::Tool, grams: 210));
        $this->entities()->flush();
        $this->kit = $this->planKit('Gull cards for beginners', [[$this->gems, 1], [$this->punch, 1], [$this->stamps, 1]]);
    }

    protected function tearDown(): void
    {
        Clock::set(new NativeClock());
        parent::tearDown();
    }

    /** @param array<string, string> $fields */
    private function plan(array $fields = []): Crawler
    {
        $usual = ['persons' => '12', 'spares' => '2', 'each_makes' => '', 'bring' => "scissors\nglue\n", 'names' => "Ines\nOdd", 'also' => 'Samples'];

        return $this->post("/kits/{$this->kit}/class", $fields + $usual + ['_form' => 'class']);
    }

    private function key(Item $item): string
    {
        return 'need-'.$this->needId($this->kit, $item);
    }

    /** @param array<string, string> $other */
    private function dealOut(array $other = []): Crawler
    {
        return $this->post("/kits/{$this->kit}/class/shares", $other + [
            '_form' => 'shares',
            $this->key($this->gems) => '5',
            $this->key($this->gems).'-among' => '1',
            $this->key($this->punch) => '1',
            $this->key($this->punch).'-among' => '4',
            $this->key($this->stamps) => '1',
            $this->key($this->stamps).'-among' => '12',
        ]);
    }

    /** @return list<int> what the list wants of gems, punches and stamps */
    private function wanted(): array
    {
        return array_map(fn (Item $item): int => $this->number('SELECT quantity FROM need WHERE kit_id = ? AND item_id = ?', [$this->kit, $item->id]), [
            $this->gems, $this->punch, $this->stamps,
        ]);
    }

    private function pull(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        foreach (['C1' => $this->stamps, 'C4' => $this->gems, 'C5' => $this->punch] as $place => $item) {
            $need = $this->needId($this->kit, $item);
            $left = $this->balances($item)[$place];
            $this->post("/kits/{$this->kit}/pull/fewer", ['place' => $place, 'need' => (string) $need, 'quantity' => (string) min($left, $this->number(
                'SELECT quantity FROM need WHERE id = ?',
                [$need],
            ))]);
        }
    }

    public function testTheListFollowsWhoComesAndWhatEachGets(): void
    {
        $this->plan();
        $this->assertCode(303);
        $this->dealOut();
        $this->assertCode(303);
        self::assertSame([70, 3, 1], $this->wanted(), 'five for each of fourteen bags, a punch for every four, the stamps for all');
        $page = $this->get("/kits/{$this->kit}/class");
        self::assertCount(14, $page->filter('.bag'));
        self::assertSame(['Ines', 'Odd'], $page->filter('.bag span')->slice(0, 2)->each(static fn (Crawler $one): string => $one->text()));
        self::assertStringContainsString('spare 2', $page->filter('.bag')->last()->text());
        self::assertStringContainsString('1 short', $page->filter('.shares')->text(), 'two punches are there');
        $this->plan(['persons' => '8', 'spares' => '0', 'names' => '']);
        self::assertSame([40, 2, 1], $this->wanted(), 'fewer come');
        self::assertStringContainsString('A class for 8 persons', $this->get("/kits/{$this->kit}")->filter('.to-class')->text());
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1'), 'back' => '/plan']);
        self::assertSame([70, 3, 1], $this->wanted());
        self::assertSame(12, $this->number('SELECT persons FROM workshop'));
    }

    public function testWhatNobodyGetsIsOpenAgainAndTheSameTwiceChangesNothing(): void
    {
        $this->plan(['persons' => '2', 'spares' => '0', 'names' => '']);
        $this->dealOut();
        $this->pull();
        $this->postAndFollow("/kits/{$this->kit}/class/bags", ['bag' => '1']);
        $this->dealOut();
        self::assertSame(1, $this->number('SELECT count(*) FROM bag'), 'what was said again is no change, so the bag stays packed');
        $page = $this->postAndFollow("/kits/{$this->kit}/class/shares", [$this->key($this->punch) => '']);
        self::assertStringContainsString('Of 1 line nobody has said who gets how much', $page->filter('.said')->text());
        self::assertSame([2, 0], [$this->number('SELECT count(*) FROM share'), $this->number('SELECT count(*) FROM bag')]);
    }

    public function testPiecesAreCutForEachBag(): void
    {
        [$card] = $this->putInto('C2', 'White card; ; 30');
        $card->sheet->put(new Sheet(Size::ofTicks(17 * 4064, 11 * 8128), Grammage::of(200_000)));
        $this->entities()->flush();
        $this->step(function (Step $step) use ($card): void {
            ($this->service(AskForPieces::class))($this->kit($this->kit), AskedPiece::lines('1 card base 4 1/4 x 5 1/2', LengthUnit::Inch), $card);
        });
        $this->plan();
        $piece = $this->number('SELECT id FROM piece');
        $this->dealOut(["piece-{$piece}" => '2', "piece-{$piece}-among" => '1']);
        $this->assertCode(303);
        self::assertSame(28, $this->number('SELECT quantity FROM piece'));
        self::assertSame(7, $this->number('SELECT quantity FROM need WHERE item_id = ?', [$card->id]), 'four of them out of a sheet');
        $text = $this->list('pack-out.txt');
        self::assertStringContainsString('[ ] 2 × card base', $text);
        self::assertStringContainsString('14 bags', $text);
        // 4.25 × 5.5 in of 200 g/m² is 3.016 g; two of them, and five gems of which only the usual weight is known (15 g).
        self::assertStringContainsString('each 0.7 oz', $text);
    }

    private function list(string $which): string
    {
        $this->get("/kits/{$this->kit}/class/{$which}");
        $this->assertCode(200);

        return $this->browser->getInternalResponse()->getContent();
    }

    public function testTheListsSayWhatIsCarriedAndWhatIsBrought(): void
    {
        $this->plan();
        $this->dealOut();
        $packed = $this->list('pack-out.txt');
        // Three at 210 g and one at the usual 90 g are 25.4 oz.
        self::assertStringContainsString("Box of what is shared, 1 lb 9 oz:\n  [ ] 3 × Corner punch\n  [ ] 1 × Gull stamps", $packed);
        self::assertStringContainsString("Also:\n  [ ] Samples", $packed);
        self::assertStringContainsString('an estimate: of 1 thing only the usual weight is known', $packed);
        $brought = $this->list('participants.txt');
        self::assertStringContainsString("Please bring:\n  [ ] scissors\n  [ ] glue", $brought);
        self::assertStringContainsString('- 5 × Gull gems', $brought);
        self::assertStringStartsWith('%PDF', $this->list('pack-out.pdf'));
        $table = $this->list('pack-out.csv');
        self::assertStringContainsString("in,what,\"each bag\",together\n", $table);
        self::assertMatchesRegularExpression('/^bag,"Gull gems",5,\d+$/m', $table);
        self::assertMatchesRegularExpression('/^box,"Corner punch",,3$/m', $table);
        self::assertStringContainsString('also,Samples,,', $table);
        self::assertStringStartsWith('PK', $this->list('pack-out.xlsx'));
        self::assertStringStartsWith('%PDF', $this->list('participants.pdf'));
    }

    public function testTheBagsAreCheckedOneByOne(): void
    {
        $this->plan(['persons' => '3', 'spares' => '0', 'names' => '']);
        $this->dealOut();
        $refused = $this->post("/kits/{$this->kit}/class/bags", ['bag' => '1']);
        $this->assertCode(409);
        self::assertStringContainsString('is on no tray; pull it first', $refused->text());
        $this->pull();
        self::assertStringContainsString('Bag 1', $this->get("/kits/{$this->kit}/class/bags")->filter('.round-head')->text());
        $this->postAndFollow("/kits/{$this->kit}/class/bags", ['bag' => '1']);
        $this->post("/kits/{$this->kit}/class/bags", ['bag' => '1']);
        $this->assertCode(409, 'a second device');
        $this->post("/kits/{$this->kit}/class/bags", ['bag' => '4']);
        $this->assertCode(409, 'there is none');
        $this->postAndFollow("/kits/{$this->kit}/class/bags", ['bag' => '2']);
        $this->postAndFollow("/kits/{$this->kit}/class/bags", ['bag' => '1', 'unpack' => '1']);
        self::assertStringContainsString('Bag 1', $this->get("/kits/{$this->kit}/class/bags")->filter('.round-head')->text(), 'it is looked at again');
        $this->postAndFollow("/kits/{$this->kit}/class/bags", ['bag' => '1']);
        $done = $this->postAndFollow("/kits/{$this->kit}/class/bags", ['bag' => '3']);
        self::assertStringContainsString('All bags are packed', $done->filter('.finish-line')->text());
        $this->dealOut([$this->key($this->gems) => '6']);
        self::assertSame(0, $this->number('SELECT count(*) FROM bag'), 'what is in them is another thing now');
    }

    public function testAfterwardsWhatDidNotComeBackIsHandedOutOrMissing(): void
    {
        $this->plan(['spares' => '0']);
        $this->dealOut();
        $this->pull();
        self::assertSame(['C4' => 40, 'bought' => -100, 'tray 1' => 60], $this->balances($this->gems));
        $page = $this->get("/kits/{$this->kit}/class/back");
        self::assertSame('0', $page->filter("input[name=back-{$this->gems->id}]")->attr('value'), 'what went into the bags is handed out');
        self::assertSame('2', $page->filter("input[name=back-{$this->punch->id}]")->attr('value'), 'tools come back');
        $was = static fn (Item $item): array => ["was-{$item->id}" => '1'];
        $all = $was($this->gems) + $was($this->punch) + $was($this->stamps) + ['_form' => 'back', "back-{$this->stamps->id}" => '1'];
        $bad = $this->post("/kits/{$this->kit}/class/back", ["back-{$this->gems->id}" => '61', "back-{$this->punch->id}" => '2'] + $all);
        $this->assertCode(422);
        self::assertStringContainsString('Only 60 went', $bad->filter('.came-back .field-error')->text());
        $after = $this->postAndFollow("/kits/{$this->kit}/class/back", ["back-{$this->gems->id}" => '7', "back-{$this->punch->id}" => '1'] + $all);
        self::assertStringContainsString(
            'Of 1 thing what did not come back is handed out. Corner punch is missing and marked lost.',
            $after->filter('.said')->text(),
        );
        self::assertSame(['C4' => 40, 'bought' => -100, 'tray 1' => 7, 'used up' => 53], $this->balances($this->gems));
        self::assertSame(1, $this->balances($this->punch)['lost'] ?? 0);
        self::assertSame('returning', $this->stage($this->kit));
        foreach ([$this->gems, $this->punch, $this->stamps] as $item) {
            $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [(string) $item->id], 'cared' => ['inky', 'heavy']]);
        }
        $this->postAndFollow("/kits/{$this->kit}/close");
        self::assertSame('closed', $this->stage($this->kit));
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        $this->plan();
        $this->assertCode(409, 'it is over');
    }

    public function testASingleThingThatIsNotTickedIsMissing(): void
    {
        $this->plan();
        $this->dealOut();
        $this->pull();
        $this->postAndFollow("/kits/{$this->kit}/class/back", ["was-{$this->stamps->id}" => '1']);
        self::assertSame(1, $this->balances($this->stamps)['lost'] ?? 0);
        self::assertSame(70, $this->balances($this->gems)['tray 1'], 'what the form did not speak of stays');
    }

    public function testWhatIsDealtOutIsCountedOtherwiseToo(): void
    {
        $this->plan(['spares' => '0']);
        $this->dealOut();
        $this->postAndFollow("/items/{$this->gems->id}/tracking", ['tracking' => 'length', 'was' => '100', 'becomes' => '50 in']);
        $page = $this->get("/kits/{$this->kit}/class");
        self::assertSame('2 1/2 in', $page->filter('[name='.$this->key($this->gems).']')->attr('value'), 'five gems are two and a half inches');
        $this->plan(['persons' => '6', 'spares' => '0']);
        self::assertSame(15 * 8128, $this->wanted()[0], 'fifteen inches for six');
    }

    public function testADesignSaysWhatEachOneGets(): void
    {
        $this->putInto('C2', 'White card; ; 30; ; #f4f1ea; 8 1/2 × 11; 80 lb cover');
        $this->postAndFollow('/kits', ['name' => '3 cards, A2, top fold, panel 4 × 5 1/4']);
        $this->kit = $this->number('SELECT max(id) FROM kit');
        foreach (['' => ['size' => '4 1/4 × 5 1/2', 'fold' => 'top', 'quantity' => '3'], '/parts/L1' => ['size' => '4 × 5 1/4']] as $part => $fields) {
            $revision = $this->word('SELECT revision FROM design WHERE kit_id = ?', [$this->kit]);
            $this->postAndFollow("/kits/{$this->kit}/design".$part, $fields + ['paper' => 'White', 'wish' => 'this', 'revision' => $revision]);
            $this->assertCode(200, $part.$this->text());
        }
        $this->plan(['persons' => '4', 'spares' => '1', 'each_makes' => '2', 'names' => '']);
        $this->assertCode(303);
        self::assertStringStartsWith('10 cards', $this->word('SELECT makes FROM kit WHERE id = ?', [$this->kit]), 'two for each of five');
        $page = $this->get("/kits/{$this->kit}/class");
        $rows = $page->filter('.shares tbody tr')->each(static fn (Crawler $row): string => $row->text());
        self::assertCount(2, $rows, 'a base and a panel; the sheets that they are cut from are dealt out to nobody');
        foreach ($rows as $row) {
            self::assertStringContainsString('2 each, its design says', $row);
            self::assertStringContainsString('10 in the bags', $row);
        }
        $this->plan(['persons' => '6', 'spares' => '0', 'each_makes' => '1', 'names' => '']);
        self::assertSame(6, $this->number('SELECT min(quantity) FROM piece WHERE kit_id = ?', [$this->kit]));
        $this->post("/kits/{$this->kit}/class/shares", []);
        $this->assertCode(303, 'what the design says is not asked for');
    }

    public function testBadInputIsToldBesideItsField(): void
    {
        foreach ([
            ['persons' => '0'], ['persons' => '5000'], ['persons' => 'a dozen'], ['spares' => '-1'], ['spares' => '21'], ['each_makes' => '0'],
            ['names' => implode("\n", range(1, 13))],
        ] as $bad) {
            $page = $this->plan($bad);
            $this->assertCode(422, json_encode($bad, \JSON_THROW_ON_ERROR));
            self::assertNotSame('', $page->filter('.field-error')->text());
        }
        self::assertSame(0, $this->number('SELECT count(*) FROM workshop'));
        foreach (['/class/shares', '/class/bags', '/class/back'] as $without) {
            $this->post("/kits/{$this->kit}{$without}", ['bag' => '1']);
            $this->assertCode(404, $without.' of a kit that is for no class');
        }
        $this->plan();
        foreach (['0', '-2', 'some', '99999999'] as $each) {
            $page = $this->dealOut([$this->key($this->gems) => $each]);
            $this->assertCode(422, $each);
            self::assertCount(1, $page->filter('.shares .field-error'), $each);
            self::assertSame($each, $page->filter('[name='.$this->key($this->gems).']')->attr('value'), 'it stays typed');
        }
        $this->dealOut([$this->key($this->punch).'-among' => '0']);
        $this->assertCode(422);
        self::assertSame([1, 1, 1], $this->wanted());
    }

    public function testAKitThatIsNotPlannedAnyMoreTakesItsClassAlong(): void
    {
        $this->plan();
        $this->dealOut();
        $this->postAndFollow("/kits/{$this->kit}/delete");
        foreach (['workshop', 'share', 'kit'] as $table) {
            self::assertSame(0, $this->number("SELECT count(*) FROM $table"), $table);
        }
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1'), 'back' => '/plan']);
        self::assertSame([1, 3], [$this->number('SELECT count(*) FROM workshop'), $this->number('SELECT count(*) FROM share')]);
        self::assertSame([70, 3, 1], $this->wanted());
    }
}
