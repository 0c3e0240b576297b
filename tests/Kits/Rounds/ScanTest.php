<?php

declare(strict_types=1);

namespace App\Tests\Kits\Rounds;

use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;
use Lottel\Core\Label\ScanCode;

/** Labels that are scanned: on their own, on a pull, on a return. */
final class ScanTest extends RoomTestCase
{
    private function codeOf(string $address): string
    {
        return (string) ScanCode::ofPlace((int) $this->place($address)->id);
    }

    private function codeOfItem(Item $item): string
    {
        return (string) ScanCode::ofItem((int) $item->id);
    }

    public function testAPlaceAndAThingOpen(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C2', 'Gulls');
        foreach (
            [
                $this->codeOf('C2') => '/stores/places/C2',
                strtolower($this->codeOf('C3'))."\n" => '/stores/places/C3',
                'c4' => '/stores/places/C4',
                $this->codeOfItem($gulls) => '/items/'.$gulls->id,
            ] as $code => $path
        ) {
            $this->post('/scan', ['code' => $code]);
            $this->assertCode(303, $code);
            self::assertSame($path, parse_url((string) $this->browser->getResponse()->headers->get('Location'), \PHP_URL_PATH));
            $this->get('/find?q='.urlencode($code));
            self::assertContains($this->code(), [200, 302], 'typed into the find box it does no harm');
        }
    }

    public function testForeignAndHostileCodesAreNamedAsSuch(): void
    {
        $this->furnish();
        foreach (
            [
                '4006381333931',
                'LOTTEL:P99999-9',
                $this->codeOf('C1').'1',
                '<script>alert(1)</script>',
                "LOTTEL:P1-7'; DROP TABLE place; --",
                'C99',
                '{{7*7}}',
                "\u{202e}3C",
            ] as $code
        ) {
            $this->post('/scan', ['code' => $code, '_form' => 'scan']);
            $this->assertCode(422, $code);
            self::assertStringContainsString('is no label of this room', $this->text());
            self::assertStringNotContainsString('<script>alert', (string) $this->browser->getResponse()->getContent());
            self::assertStringNotContainsString('“49”', $this->text());
        }
        foreach (['', str_repeat('x', 5000), "\xff\xfe"] as $code) {
            $this->post('/scan', ['code' => $code, '_form' => 'scan']);
            $this->assertCode(422);
        }
        self::assertSame(5, $this->number("SELECT count(*) FROM place WHERE nature = 'storage'"));
    }

    public function testAPullIsConfirmedByScanning(): void
    {
        $this->furnish();
        [$gulls, $terns] = $this->putInto('C1', 'Gulls', 'Terns');
        [$card] = $this->putInto('C2', 'Petrel card;;24');
        [$other] = $this->putInto('C3', 'Ink of another kit');
        $kit = $this->planKit('Gulls', [[$gulls, 1], [$terns, 1], [$card, 6]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        self::assertSame("pull:{$kit}", $this->browser->getCrawler()->filter('#scan-form [name=on]')->attr('value'));

        $this->post('/scan', ['on' => "pull:{$kit}", 'code' => $this->codeOf('C5')]);
        $this->assertCode(409);
        self::assertStringContainsString('Wrong drawer: this is C5. Gulls is in C1.', $this->text());
        self::assertStringContainsString('Pull for tray 1', $this->text(), 'the round is still there');
        $this->post('/scan', ['on' => "pull:{$kit}", 'code' => $this->codeOfItem($other)]);
        self::assertStringContainsString('Ink of another kit is not on the list', $this->text());

        $this->postAndFollow('/scan', ['on' => "pull:{$kit}", 'code' => $this->codeOfItem($gulls)]);
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->balances($gulls));
        self::assertArrayHasKey('C1', $this->balances($terns));
        $this->postAndFollow('/scan', ['on' => "pull:{$kit}", 'code' => $this->codeOf('C1')]);
        self::assertArrayHasKey('tray 1', $this->balances($terns));
        $this->postAndFollow('/scan', ['on' => "pull:{$kit}", 'code' => $this->codeOf('C2')]);
        self::assertSame(6, $this->balances($card)['tray 1']);
        $this->post('/scan', ['on' => "pull:{$kit}", 'code' => $this->codeOf('C2')]);
        $this->assertCode(409);
        self::assertStringContainsString('Nothing of this round is left', $this->text());
    }

    public function testAReturnIsConfirmedByScanning(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C4', 'Gulls');
        [$stamp] = $this->putInto('C1', 'Inky stamp');
        $kit = $this->planKit('Gulls', [[$gulls, 1], [$stamp, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        foreach (['C1', 'C4'] as $address) {
            $this->postAndFollow('/scan', ['on' => "pull:{$kit}", 'code' => $this->codeOf($address)]);
        }
        $this->postAndFollow("/kits/{$kit}/pull/end");
        $this->postAndFollow("/kits/{$kit}/return");
        $this->post('/scan', ['on' => "return:{$kit}", 'code' => $this->codeOf('C5')]);
        $this->assertCode(409);
        self::assertStringContainsString('Wrong drawer: this is C5. Inky stamp goes into C1.', $this->text());
        $this->post('/scan', ['on' => "return:{$kit}", 'code' => $this->codeOf('C1')]);
        $this->assertCode(409, 'a stamp is cleaned first');
        self::assertStringContainsString('Tick what has been done first', $this->text());
        $this->postAndFollow('/scan', ['on' => "return:{$kit}", 'code' => $this->codeOf('C1'), 'cared' => 'inky']);
        self::assertArrayHasKey('C1', $this->balances($stamp));
        $this->postAndFollow('/scan', ['on' => "return:{$kit}", 'code' => $this->codeOfItem($gulls)]);
        self::assertSame(['C4' => 1, 'bought' => -1], $this->balances($gulls));
        $this->post('/scan', ['on' => "return:{$kit}", 'code' => $this->codeOfItem($gulls)]);
        self::assertStringContainsString('Gulls is not on this tray', $this->text());
    }

    public function testTheSameScanTwiceCountsOnce(): void
    {
        $this->furnish();
        [$card] = $this->putInto('C2', 'Petrel card;;24');
        $kit = $this->planKit('Gulls', [[$card, 6]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $id = (string) \Symfony\Component\Uid\Uuid::v7();
        foreach ([1, 2] as $_) {
            $this->post('/scan', ['on' => "pull:{$kit}", 'code' => $this->codeOf('C2')], $id);
            $this->assertCode(303);
        }
        self::assertSame(6, $this->balances($card)['tray 1']);
    }

    public function testAThingIsFiledByScanningItsPlace(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('not filed', 'Gulls');
        $this->get('/scan?on=file:'.$gulls->id);
        self::assertStringContainsString('Scan the place where it is to live', $this->text());
        $this->postAndFollow('/scan', ['on' => 'file:'.$gulls->id, 'code' => $this->codeOf('C3')]);
        self::assertSame('C3', $this->item((int) $gulls->id)->home?->address);
        self::assertSame(['C3' => 1, 'bought' => -1], $this->balances($gulls));
    }
}
