<?php

declare(strict_types=1);

namespace App\Tests\Kits\Kits;

use App\Calendar\Shelf\ShelfReading;
use App\Tests\RoomTestCase;

/** Trays that go home take nothing more, folders stand somewhere, and finished pieces are what they were made for, in the colours of their papers. */
final class TrayAndShelfTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
    }

    public function testWhatGoesHomeOrWaitsTakesNothingMore(): void
    {
        [$gulls, $terns] = $this->putInto('C1', 'Gulls', 'Terns');
        $kit = $this->planKit('Kiosk', [[$gulls, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $gulls)]]);
        $take = ['kit' => (string) $kit, 'now' => '1'];
        self::assertStringContainsString('Kiosk', $this->get("/items/{$terns->id}")->filter('select[name=kit]')->text());

        $this->postAndFollow("/kits/{$kit}/park", ['home' => 'C4']);
        $this->post("/items/{$terns->id}/into-kit", $take);
        $this->assertCode(409);
        self::assertStringContainsString('“Kiosk” waits in its folder: take it up first', $this->text());
        $select = $this->get("/items/{$terns->id}")->filter('select[name=kit]');
        self::assertStringNotContainsString('Kiosk', 0 === $select->count() ? '' : $select->text());

        $this->postAndFollow("/kits/{$kit}/take-up");
        $this->database()->executeStatement("UPDATE kit SET stage = 'returning' WHERE id = ?", [$kit]);
        $this->entities()->clear();
        $this->post('/things/into-kit', $take + ['items' => [(string) $terns->id], 'from' => 'place:C1', '_form' => 'several']);
        $this->assertCode(409);
        self::assertStringContainsString('“Kiosk” is going home', $this->text());
        self::assertSame(['C1' => 1, 'bought' => -1], $this->balances($terns));
        $this->database()->executeStatement("UPDATE kit SET stage = 'making' WHERE id = ?", [$kit]);
        $this->entities()->clear();
        $this->postAndFollow("/items/{$terns->id}/into-kit", $take);
        self::assertSame(['bought' => -1, 'tray 1' => 1], $this->balances($terns));
    }

    public function testAPlaceInWhichAFolderStandsIsNotTakenOutOfUse(): void
    {
        [$gulls] = $this->putInto('C1', 'Gulls');
        $kit = $this->planKit('Kiosk', [[$gulls, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $gulls)]]);
        $this->postAndFollow("/kits/{$kit}/park", ['home' => 'C4']);
        self::assertStringContainsString('Folder 1 with “Kiosk” stands here', $this->get('/stores/places/C4')->filter('#main')->text());
        $this->post('/stores/places/C4/retire');
        $this->assertCode(409);
        self::assertStringContainsString('Folder 1 with “Kiosk” stands in C4.', $this->text());
        $this->postAndFollow("/kits/{$kit}/take-up");
        self::assertStringNotContainsString('stands here', $this->get('/stores/places/C4')->filter('#main')->text());
        $this->postAndFollow('/stores/places/C4/retire');
    }

    public function testAPieceIsWhatItsKitWasForInTheColoursOfItsPapers(): void
    {
        [$cream, $kraft] = $this->putInto('C2', 'Cream card; ; 10; ; #f3ead2', 'Kraft card; ; 10; ; #b08d57');
        [$ribbon] = $this->putInto('C4', 'Buoy ribbon; ; 9 in; ; #c02020');
        $kit = $this->planKit('For the aunts', [[$cream, 2], [$kraft, 2], [$ribbon, 2 * 8128]]);
        $this->database()->executeStatement("UPDATE kit SET occasion = 'Thank you', makes = '2 cards' WHERE id = ?", [$kit]);
        $this->database()->executeStatement("UPDATE place SET name = 'Finished cards', says_kind = 'finished piece' WHERE address = 'C5'");
        $this->entities()->clear();
        $this->postAndFollow("/kits/{$kit}/pull");
        foreach ([['C2', $cream], ['C2', $kraft], ['C4', $ribbon]] as [$place, $item]) {
            $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => $place, 'needs' => [$this->needId($kit, $item)]]);
        }
        $fields = [
            'name' => 'Aunts',
            'quantity' => '2',
            'address' => 'C5',
            'of' => array_map(static fn ($item): string => (string) $item->id, [$cream, $kraft, $ribbon]),
        ];
        foreach ([$cream, $kraft, $ribbon] as $item) {
            $fields['used_'.$item->id] = $item === $ribbon ? '2 in' : '2';
        }
        $this->postAndFollow("/kits/{$kit}/make/finish", $fields);
        $this->postAndFollow("/kits/{$kit}/return");
        $made = $this->number("SELECT id FROM item WHERE name = 'Aunts'");
        $this->postAndFollow("/kits/{$kit}/return/home", ['items' => [(string) $made]]);
        $piece = $this->service(ShelfReading::class)->finished()[0] ?? self::fail($this->text());
        self::assertSame('thank you', $piece->word);
        self::assertContains('#c02020', $piece->colours);
        self::assertSame('#b08d57', $piece->face()->colour, 'not that of its ribbon');
    }
}
