<?php

declare(strict_types=1);

namespace App\Tests\Kits\Kits;

use App\Kits\Design\Designs;
use App\Platform\Database\Row;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;

final class KitAgainTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
    }

    /** @return array<string, int> what a kit's list wants, by name */
    private function list(int $kit): array
    {
        $list = [];
        foreach ($this->database()->fetchAllAssociative(
            'SELECT i.name, n.quantity FROM need n JOIN item i ON i.id = n.item_id WHERE n.kit_id = ? ORDER BY i.name',
            [$kit],
        ) as $columns) {
            $list[(new Row($columns))->text('name')] = (new Row($columns))->int('quantity');
        }

        return $list;
    }

    private function said(int $kit, string $pieces): string
    {
        return $this->postAndFollow("/kits/{$kit}/again", ['pieces' => $pieces])->filter('.said')->text();
    }

    public function testAClosedKitIsMadeAgainInAnotherNumberWithWhatIsThereNow(): void
    {
        [$card, $mat, $tape] = $this->putInto('C2', 'White card; ; 30', 'Petrel mats; ; 8', 'Washi; ; 2');
        [$stamps] = $this->putInto('C1', 'Gull stamps; ; 1');
        $kit = $this->planKit('Gulls', [[$card, 12], [$mat, 6], [$stamps, 1], [$tape, 1]]);
        $described = ['name' => 'Gulls', 'makes' => '6 cards, A2', 'due_on' => '2020-01-01', 'for_whom' => 'kiosk', 'occasion' => 'thanks', 'note' => ''];
        $this->postAndFollow("/kits/{$kit}", $described);
        $this->database()->executeStatement("UPDATE item SET removed_at = '2027-01-01 00:00:00' WHERE id = ?", [$tape->id]);
        $this->entities()->clear();
        $said = $this->said($kit, '10');
        $again = $this->number('SELECT max(id) FROM kit');
        self::assertSame(['Gull stamps' => 1, 'Petrel mats' => 10, 'White card' => 20], $this->list($again));
        self::assertSame(['10 cards, A2', 'kiosk', 'thanks', null], [
            $this->kit($again)->makes, $this->kit($again)->forWhom, $this->kit($again)->occasion, $this->kit($again)->dueOn,
        ]);
        self::assertStringContainsString('Washi is gone from the catalogue', $said);
        self::assertStringContainsString('too little now', $said, '6 and 10 mats, and two kits for one set of stamps');
        self::assertStringContainsString('Petrel mats', $said);
        $this->said($kit, '');
        $same = $this->list($this->number('SELECT max(id) FROM kit'));
        self::assertSame(['Gull stamps' => 1, 'Petrel mats' => 6, 'White card' => 12], $same, 'as many as before');
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testItsDesignAndItsPiecesComeAlong(): void
    {
        $this->papers();
        $this->postAndFollow('/kits', ['name' => '6 cards A2, top fold, mat 1/16, panel 4 × 5 1/4']);
        $kit = $this->number('SELECT max(id) FROM kit');
        $revision = (string) $this->number('SELECT revision FROM design WHERE kit_id = ?', [$kit]);
        $this->postAndFollow("/kits/{$kit}/design/parts/L2", ['size' => '4 × 5 1/4', 'paper' => 'White card', 'wish' => 'this', 'revision' => $revision]);
        $this->postAndFollow("/kits/{$kit}/pieces", ['pieces' => '3 tags 2 × 4 White card']);
        $this->said($kit, '24');
        $again = $this->number('SELECT max(id) FROM kit');
        self::assertSame(24, $this->service(Designs::class)->one($this->kit($again))->design()->quantity);
        $pieces = $this->database()->fetchAllKeyValue('SELECT name, quantity FROM piece WHERE kit_id = ? ORDER BY name', [$again]);
        self::assertSame(['panel' => 24, 'tag' => 12], $pieces);
        self::assertSame(
            $this->number('SELECT count(*) FROM sheet_in_work WHERE kit_id = ?', [$again]),
            $this->list($again)['White card'],
            'the list wants as many sheets as the plan cuts',
        );
    }

    public function testWhatCannotBeIsToldBesideItsField(): void
    {
        $kit = $this->planKit('Gulls', [[$this->papers()[0], 4]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        foreach (['0', '10001', 'x', '-1', '1.5'] as $pieces) {
            $page = $this->post("/kits/{$kit}/again", ['_form' => 'again', 'pieces' => $pieces]);
            $this->assertCode(422, $pieces);
            self::assertSame($pieces, $page->filter('#again-pieces')->attr('value'));
        }
        $this->post('/kits/99/again', ['pieces' => '3']);
        $this->assertCode(404);
        self::assertSame(1, $this->number('SELECT count(*) FROM kit'));
    }

    /** @return list<Item> */
    private function papers(): array
    {
        return $this->putInto('C2', 'White card; ; 60; ; #f4f1ea; 8 1/2 × 11; 110 lb cover');
    }
}
