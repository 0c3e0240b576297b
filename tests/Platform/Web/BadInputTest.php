<?php

declare(strict_types=1);

namespace App\Tests\Platform\Web;

use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

final class BadInputTest extends RoomTestCase
{
    private Item $tern;
    private Item $card;
    private int $kit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->tern] = $this->putInto('C1', 'Tern and tide');
        [$this->card] = $this->putInto('C2', 'Petrel card;;24');
        $this->kit = $this->planKit('Terns', [[$this->tern, 1], [$this->card, 10]]);
    }

    /** @return iterable<array{string, string}> */
    public static function unknown(): iterable
    {
        yield ['/items/99999', 'no item number 99999'];
        yield ['/kits/99999', 'no kit number 99999'];
        yield ['/kits/99999/pull', 'no kit number 99999'];
        yield ['/stores/places/Z9', 'no place “Z9”'];
        yield ['/stores/places/%F0%9F%90%A6', 'no place “🐦”'];
        yield ['/stores/places/bought', 'no place “bought”'];
        yield ['/stores/units/Q', 'no unit “Q”'];
        yield ['/nowhere', 'no such page'];
        yield ['/kits/abc', 'no such page'];
        yield ['/kits/999999999999999999999999', 'no such page'];
    }

    #[DataProvider('unknown')]
    public function testUnknownIdsAreSaidSo(string $path, string $message): void
    {
        $this->get($path);
        $this->assertCode(404);
        self::assertStringContainsString($message, $this->text());
    }

    /** @return iterable<array{string}> */
    public static function quantities(): iterable
    {
        foreach (['', '0', '-3', '1.5', 'many', '99999999999999999999', '1e9', '🐦', "1'; DROP TABLE item; --"] as $quantity) {
            yield [$quantity];
        }
    }

    #[DataProvider('quantities')]
    public function testQuantitiesThatAreNoneAreRefusedBesideTheirField(string $quantity): void
    {
        $before = $this->movements();
        $page = $this->post("/kits/{$this->kit}/needs", ['item' => $this->card->id, 'quantity' => $quantity, 'q' => 'petrel', '_form' => 'add']);
        $this->assertCode(422);
        self::assertStringContainsString('whole number', $page->filter('.field-error')->text());
        self::assertSame($quantity, $page->filter("#qty-{$this->card->id}")->attr('value'), 'what was typed is still there');

        $this->postAndFollow("/kits/{$this->kit}/pull");
        $page = $this->post("/kits/{$this->kit}/pull/fewer", [
            'place' => 'C2',
            'need' => $this->needId($this->kit, $this->card),
            'quantity' => $quantity,
            '_form' => 'fewer-'.$this->needId($this->kit, $this->card),
        ]);
        $this->assertCode(422);
        self::assertSame($before, $this->movements());
    }

    public function testMoreThanThereIsCannotBePulledOrUsed(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->post("/kits/{$this->kit}/pull/fewer", ['place' => 'C2', 'need' => $this->needId($this->kit, $this->card), 'quantity' => '25']);
        $this->assertCode(422);
        self::assertStringContainsString('only 24 in C2', $this->text());
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($this->kit, $this->card)]]);
        $page = $this->post("/kits/{$this->kit}/make/use", ['item' => $this->card->id, 'quantity' => '11', '_form' => "use-{$this->card->id}"]);
        $this->assertCode(422);
        self::assertStringContainsString('only 10 in tray 1', $page->filter('.field-error')->text());
    }

    /** @return iterable<string, array{string, string}> */
    public static function names(): iterable
    {
        yield 'empty' => ['', 'Please fill this in.'];
        yield 'blank' => [" \u{00a0}\u{2003}\u{200b}\n", 'Please fill this in.'];
        yield 'ten thousand' => [str_repeat('x', 10000), '10,000 characters are too many'];
        yield 'control' => ["bell\x07", 'cannot be printed'];
        yield 'not utf-8' => ["\xff\xfe", 'not readable text'];
    }

    #[DataProvider('names')]
    public function testNamesThatAreNoneAreRefused(string $name, string $message): void
    {
        $page = $this->post('/kits', ['name' => $name, '_form' => 'kit']);
        $this->assertCode(422);
        self::assertStringContainsString($message, $page->filter('#kit-name-error')->text());
        $page = $this->post("/kits/{$this->kit}", ['name' => $name, 'makes' => '12 cards', 'note' => "line one\nline two", '_form' => 'kit']);
        $this->assertCode(422);
        self::assertStringContainsString($message, $page->filter('#kit-name-error')->text());
        self::assertSame('12 cards', $page->filter('#kit-makes')->attr('value'));
        self::assertSame("line one\nline two", $page->filter('#kit-note')->text(normalizeWhitespace: false));
    }

    public function testEmojiAndRightToLeftTextAreKept(): void
    {
        $odd = ['🐦‍⬛ gulls ×12', 'كرت عيد ميلاد', 'כרטיס תודה', 'e&#x301; <b>bold</b> "quoted"', "'; DROP TABLE kit; --"];
        foreach ($odd as $name) {
            $this->postAndFollow('/kits', ['name' => $name]);
            self::assertSame($name, $this->browser->getCrawler()->filter('h1')->text());
        }
    }

    public function testDatesThatAreNoneAreRefused(): void
    {
        foreach (['2026-02-30', 'soon', '12/24/2026', '2026-13-01'] as $date) {
            $page = $this->post("/kits/{$this->kit}", ['name' => 'A kit', 'due_on' => $date, '_form' => 'kit']);
            $this->assertCode(422, $date);
            self::assertSame($date, $page->filter('#kit-due_on')->attr('value'));
        }
    }

    public function testWrongFractionsAreRefused(): void
    {
        $this->database()->executeStatement(
            "INSERT INTO item (name, kind, tracking, themes, hazards, home_id) SELECT 'Rope ribbon', 'ribbon', 'length', '[]', '[]', home_id
                FROM item WHERE id = ?",
            [$this->tern->id],
        );
        $id = $this->number("SELECT id FROM item WHERE name = 'Rope ribbon'");
        foreach (['4 1/0', '1/0', 'a yard', '-2', '4 1 4'] as $length) {
            $page = $this->post("/items/{$id}/stock", ['quantity' => $length, 'address' => 'C4', 'from' => 'bought', '_form' => 'stock']);
            $this->assertCode(422, $length);
            self::assertSame($length, $page->filter('#stock-quantity')->attr('value'));
        }
        $this->postAndFollow("/items/{$id}/stock", ['quantity' => '36 1/2', 'address' => 'C4', 'from' => 'bought', '_form' => 'stock']);
        self::assertStringContainsString('36½ in', $this->text());
    }

    public function testAFormSentTwiceIsWrittenOnce(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $id = (string) Uuid::v7();
        $fields = ['place' => 'C2', 'needs' => [$this->needId($this->kit, $this->card)]];
        $this->post("/kits/{$this->kit}/pull/take", $fields, $id);
        $first = $this->browser->getResponse()->headers->get('Location');
        $after = $this->movements();
        $this->post("/kits/{$this->kit}/pull/take", $fields, $id);
        $this->assertCode(303);
        self::assertSame($first, $this->browser->getResponse()->headers->get('Location'));
        self::assertSame($after, $this->movements());
    }

    public function testARefusedFormCanBeMendedAndSentAgainUnderItsId(): void
    {
        $id = (string) Uuid::v7();
        $this->post('/kits', ['name' => ''], $id);
        $this->assertCode(422);
        $this->post('/kits', ['name' => 'Mended'], $id);
        $this->assertCode(303);
    }

    public function testAFormWithoutItsRequestIdIsRefused(): void
    {
        foreach (['', 'nonsense', '0190aaaa-0000-7000-8000'] as $id) {
            $this->browser->request('POST', '/kits', ['name' => 'A kit', '_request' => $id]);
            $this->assertCode(422);
        }
        self::assertSame(1, $this->number('SELECT count(*) FROM kit'));
    }

    public function testASingleThingThatSomebodyElseHasIsSaidSo(): void
    {
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $other = $this->planKit('Other terns', [[$this->tern, 1]]);
        $this->postAndFollow("/kits/{$other}/pull");
        $this->signIn('hank');
        $this->postAndFollow("/kits/{$other}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($other, $this->tern)]]);
        $this->signIn('olive');
        $this->post("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->tern)]]);
        $this->assertCode(409);
        self::assertStringContainsString('Tern and tide is out already: Hank took it, it is on tray 2 (Other terns).', $this->text());
        self::assertSame(['bought' => -1, 'tray 2' => 1], $this->balances($this->tern));
    }

    public function testStepsThatMakeNoSenseAreRefusedWithAReason(): void
    {
        $empty = $this->planKit('Empty', []);
        $this->post("/kits/{$empty}/pull");
        $this->assertCode(409);
        self::assertStringContainsString('nothing on its list', $this->text());
        $this->post("/kits/{$this->kit}/return/home", ['items' => []]);
        $this->assertCode(409);
        $this->post("/kits/{$this->kit}/make/use", ['item' => $this->card->id, 'quantity' => '1']);
        $this->assertCode(409);
        $this->post("/kits/{$empty}/close");
        $this->assertCode(303, 'a kit that never had a tray can be put aside');
        $this->post("/kits/{$empty}/pull");
        $this->assertCode(409);
        self::assertStringContainsString('closed', $this->text());
    }

    public function testFieldsOfTheWrongShapeAreRefused(): void
    {
        $this->post('/kits', ['name' => ['a' => 'b'], '_form' => ['x']]);
        $this->assertCode(422);
        $this->post("/kits/{$this->kit}/needs", ['item' => ['1'], 'quantity' => ['2']]);
        $this->assertCode(404);
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $this->post("/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [['deep']]]);
        $this->assertCode(409);
        $this->get('/find?q[]=a');
        self::assertContains($this->code(), [200, 400]);
        $this->get('/log?item[]=1&older=x&person=abc&reason=nonsense');
        $this->assertCode(200);
    }
}
