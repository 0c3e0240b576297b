<?php

declare(strict_types=1);

namespace App\Tests\Room\Stores;

use App\Room\Stores\ChangeFurniture;
use App\Tests\RoomTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** Rooms, units and places that are set up and changed while they are in use. */
final class FurnitureTest extends RoomTestCase
{
    /** @return list<string> the addresses in use, in natural order */
    private function addresses(): array
    {
        /** @var list<string> $addresses */
        $addresses = $this->database()->fetchFirstColumn("SELECT address FROM place WHERE nature = 'storage' AND retired_at IS NULL");
        natsort($addresses);

        return array_values($addresses);
    }

    /** @return list<string> the addresses of places whose labels wait */
    private function labelsWaiting(): array
    {
        /** @var list<string> $addresses */
        $addresses = $this->database()->fetchFirstColumn('SELECT p.address FROM label_wish w JOIN place p ON p.id = w.place_id');
        natsort($addresses);

        return array_values($addresses);
    }

    private function forgetLabels(): void
    {
        $this->database()->executeStatement('DELETE FROM label_wish');
    }

    public function testAChestWithDrawersOfDifferentHeightsIsBuiltTrueToSize(): void
    {
        $this->furnish();
        $page = $this->get('/stores/new-unit');
        $this->browser->submit(
            $page
                ->filter('form[action$="/new-unit"]')
                ->form(['template' => 'chest', 'letters' => 'd', 'name' => 'flat files', 'row_heights' => '2, 2, 3 1/2', 'width' => '20']),
        );
        $this->browser->followRedirect();
        self::assertStringContainsString('D stands in the room with 3 places', $this->text());
        $place = $this->place('D3');
        self::assertSame((int) (3.5 * 8128), $place->frontHeight);
        self::assertSame(20 * 8128 - 2 * 18 * 320 - 34 * 320, $place->innerWidth, '20 in less the sides and the runners');
        self::assertContains('D1', $this->labelsWaiting());
        self::assertNotNull($place->unit?->planX, 'it has a spot on the floor plan');
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function unitsThatCannotBe(): iterable
    {
        yield 'no drawers' => [['rows' => '0'], 'rows'];
        yield 'ten thousand drawers' => [['rows' => '10000'], 'rows'];
        yield 'a drawer taller than its unit' => [['row_heights' => '10, 10', 'height' => '15'], 'row_heights'];
        yield 'a length that is none' => [['width' => 'wide'], 'width'];
        yield 'a unit as large as a house' => [['height' => '900'], 'height'];
        yield 'drawers like paper' => [['rows' => '40', 'height' => '10'], 'rows'];
    }

    /** @param array<string, string> $fields */
    #[DataProvider('unitsThatCannotBe')]
    public function testUnitsThatCannotBeAreRefusedBesideTheField(array $fields, string $field): void
    {
        $this->furnish();
        $this->post('/stores/new-unit', $fields + ['_form' => 'unit', 'template' => 'chest', 'letters' => 'D', 'rows' => '3', 'name' => 'mine']);
        $this->assertCode(422);
        $page = $this->browser->getCrawler();
        self::assertCount(1, $page->filter("#unit-{$field}-error"));
        self::assertSame('mine', $page->filter('#unit-name')->attr('value'), 'nothing typed is lost');
        self::assertCount(5, $this->addresses());
    }

    public function testTwoPlacesNeverHaveOneAddress(): void
    {
        $this->furnish();
        $this->post('/stores/new-unit', ['template' => 'chest', 'letters' => 'C', 'rows' => '3']);
        $this->assertCode(409);
        $this->post('/stores/places/C1/address', ['new_address' => 'C2']);
        $this->assertCode(409);
        self::assertStringContainsString('There is a place C2 already.', $this->text());
        $this->post('/stores/places/C1/address', ['new_address' => 'D9']);
        $this->assertCode(409);
        $this->post('/stores/places/C1/address', ['new_address' => 'third drawer', '_form' => 'address']);
        $this->assertCode(422);
    }

    public function testDividingToAnyDepth(): void
    {
        $this->furnish();
        $this->postAndFollow('/stores/places/C1/divide', ['division' => 'front and back']);
        $this->postAndFollow('/stores/places/C1.a/divide', ['division' => 'grid', 'rows' => '2', 'columns' => '3']);
        $this->postAndFollow('/stores/places/C1.a.f/divide', ['division' => 'upper and lower layer']);
        self::assertContains('C1.a.f.b', $this->addresses());
        $lower = $this->place('C1.a.f.b');
        self::assertSame([1, 'lower layer', 'layer'], [$lower->layer, $lower->name, $lower->kind]);
        self::assertSame($this->place('C1')->saysKind, $lower->saysKind, 'it takes over what belongs there');
        $drawer = $this->place('C1')->inside();
        $cell = $this->place('C1.a.b')->inside();
        self::assertNotNull($drawer);
        self::assertNotNull($cell);
        self::assertEqualsWithDelta($drawer->width->ticks / 3, $cell->width->ticks, 400);
        self::assertEqualsWithDelta($drawer->depth->ticks / 4, $cell->depth->ticks, 400);
        $page = $this->get('/stores/places/C1.a');
        self::assertCount(6, $page->filter('svg.cells a'));
        $this->post('/stores/places/C1/divide', ['division' => 'grid', 'rows' => '0', 'columns' => '3', '_form' => 'divide']);
        $this->assertCode(422);
    }

    public function testSplittingKeepsWhatIsInside(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C2', 'Gulls');
        $this->forgetLabels();
        $this->postAndFollow('/stores/places/C2/split', ['parts' => '3', 'direction' => 'across']);
        self::assertSame(['C1', 'C2', 'C3', 'C4', 'C5', 'C6', 'C7'], $this->addresses());
        self::assertSame(['C2' => 1, 'bought' => -1], $this->balances($gulls));
        self::assertSame('C2', $this->item((int) $gulls->id)->home?->address);
        self::assertSame(['C6', 'C7'], $this->labelsWaiting());
        self::assertSame($this->place('C2')->frontY, $this->place('C7')->frontY);
    }

    public function testJoiningBringsTogetherAndRetires(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C2', 'Gulls');
        [$terns] = $this->putInto('C3', 'Terns; Oddling; 1');
        $this->postAndFollow('/stores/places/C3/inner', ['label' => 'x', 'kind' => 'box', 'inner_name' => 'small', 'layer' => '0']);
        [$puffin] = $this->putInto('C3.x', 'Puffin');
        $height = (int) $this->place('C2')->frontHeight + (int) $this->place('C3')->frontHeight;
        $this->post('/stores/places/C2/merge', ['with' => 'C4', '_form' => 'merge']);
        $this->assertCode(422, 'they are not neighbours');
        $this->postAndFollow('/stores/places/C2/merge', ['with' => 'C3']);
        self::assertSame(['C1', 'C2', 'C2.x', 'C4', 'C5'], $this->addresses());
        self::assertSame($height, $this->place('C2')->frontHeight);
        foreach ([$gulls, $terns] as $item) {
            self::assertSame('C2', $this->item((int) $item->id)->home?->address);
        }
        self::assertArrayHasKey('C2.x', $this->balances($puffin));
        self::assertSame(
            0,
            $this->number('SELECT count(*) FROM balance b JOIN place p ON p.id = b.place_id WHERE p.retired_at IS NOT NULL'),
        );
        $this->get('/find?q=C3');
        self::assertStringNotContainsString('C3~', $this->text());
        $this->get('/log?item='.$terns->id);
        $this->assertCode(200, 'its log is still there');
    }

    public function testAPlaceThatHoldsThingsIsNeverTakenAwaySilently(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C2', 'Gulls');
        $this->post('/stores/places/C2/retire');
        $this->assertCode(409);
        $page = $this->browser->getCrawler();
        self::assertCount(1, $page->filter('form[action$="/empty"]'), 'it offers to move them');
        $this->browser->submit($page->filter('form[action$="/empty"]')->form(['to' => 'C4']));
        $this->browser->followRedirect();
        self::assertSame('C4', $this->item((int) $gulls->id)->home?->address);
        $this->postAndFollow('/stores/places/C2/retire');
        self::assertNotContains('C2', $this->addresses());
        $this->get('/stores/places/C2');
        $this->assertCode(404);
        $this->postAndFollow('/stores/places/C1/address', ['new_address' => 'C2']);
        self::assertContains('C2', $this->addresses(), 'the address is free again');
    }

    public function testAPlaceDoesNotGoIntoItself(): void
    {
        $this->furnish();
        $this->postAndFollow('/stores/places/C1/inner', ['label' => 'b', 'kind' => 'box', 'inner_name' => '', 'layer' => '0']);
        $this->postAndFollow('/stores/places/C1.b/inner', ['label' => 'c', 'kind' => 'pouch', 'inner_name' => '', 'layer' => '0']);
        foreach (['C1.b', 'C1.b.c'] as $into) {
            $this->post('/stores/places/C1.b/into', ['outer' => $into]);
            $this->assertCode(409, $into);
        }
        $this->post('/stores/places/C1/empty', ['to' => 'C1.b']);
        $this->assertCode(409);
        [$gulls] = $this->putInto('C1.b.c', 'Gulls');
        $this->postAndFollow('/stores/places/C1.b/into', ['outer' => 'C4']);
        self::assertArrayHasKey('C4.b.c', $this->balances($gulls));
        $this->expectException(\DomainException::class);
        $this->service(ChangeFurniture::class)->moveInto($this->place('C1'), $this->place('C4'));
    }

    public function testRenumberingChangesAddressesAndAsksForLabels(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C4', 'Gulls');
        $this->postAndFollow('/stores/places/C4/inner', ['label' => 'b', 'kind' => 'box', 'inner_name' => '', 'layer' => '0']);
        $this->postAndFollow('/stores/places/C2/split', ['parts' => '2', 'direction' => 'down']);
        $this->forgetLabels();
        $this->postAndFollow('/stores/units/C/renumber');
        self::assertSame(['C1', 'C2', 'C3', 'C4', 'C5', 'C5.b', 'C6'], $this->addresses());
        self::assertSame('C5', $this->item((int) $gulls->id)->home?->address);
        self::assertSame(['C3', 'C4', 'C5', 'C5.b', 'C6'], $this->labelsWaiting());
        $this->get('/find?q=C5');
        self::assertStringContainsString('Gulls', $this->text());
        $this->postAndFollow('/stores/units/C/renumber');
        self::assertStringContainsString('All are in order already', $this->text());
    }

    public function testARowIsAddedAndAUnitTakenOut(): void
    {
        $this->furnish();
        $height = (int) $this->place('C1')->unit?->height;
        $this->postAndFollow('/stores/units/C/row', ['row_height' => '4']);
        self::assertContains('C6', $this->addresses());
        self::assertSame($height + 4 * 8128, $this->place('C6')->unit?->height);
        [$gulls] = $this->putInto('C6', 'Gulls');
        $this->post('/stores/units/C/retire');
        $this->assertCode(409);
        self::assertCount(6, $this->addresses(), 'nothing of it is gone');
        $this->postAndFollow('/stores/new-unit', ['template' => 'cubes', 'letters' => 'D', 'rows' => '1', 'columns' => '2']);
        $this->postAndFollow('/stores/places/C6/empty', ['to' => 'D1']);
        $this->postAndFollow('/stores/units/C/retire');
        self::assertSame(['D1', 'D2'], $this->addresses());
        self::assertArrayHasKey('D1', $this->balances($gulls));
        $unit = $this->database()->fetchAssociative("SELECT id, plan_x, plan_y, turn FROM unit WHERE letters = 'D'") ?: [];
        $this->postAndFollow('/stores/plan/'.$this->number('SELECT id FROM room'), [
            'unit' => [$unit['id']],
            'x' => ['0'],
            'y' => ['0'],
            'turn' => ['0'],
            'room_width' => '5 m',
            'room_depth' => '4 m',
        ]);
        self::assertStringContainsString('The plan is kept', $this->text(), 'what is gone stands in nobody’s way');
        foreach (['/stores', '/stores/plan', '/plan', '/log'] as $path) {
            $this->get($path);
            $this->assertCode(200, $path);
        }
    }

    public function testTheFloorPlanIsKeptAndOrdersTheRounds(): void
    {
        $this->furnish();
        $this->postAndFollow('/stores/new-unit', ['template' => 'chest', 'letters' => 'D', 'rows' => '2']);
        $this->postAndFollow('/stores/new-unit', ['template' => 'chest', 'letters' => 'E', 'rows' => '2']);
        $ids = $this->database()->fetchAllKeyValue('SELECT letters, id FROM unit');
        $room = $this->number('SELECT id FROM room');
        $fields = [
            'unit' => [$ids['C'], $ids['D'], $ids['E']],
            'x' => ['0', '4000 mm', '500 mm'],
            'y' => ['0', '0', '0'],
            'turn' => ['0', '0', '0'],
            'room_width' => '5 m',
            'room_depth' => '4 m',
            'door_at' => '10 mm',
            'door_width' => '800 mm',
            'fixture' => ['bench', ''],
            'fixture_x' => ['2 m', ''],
            'fixture_y' => ['1500 mm', ''],
            'fixture_width' => ['100 cm', ''],
            'fixture_depth' => ['600 mm', ''],
        ];
        $this->postAndFollow("/stores/plan/{$room}", $fields);
        self::assertSame(
            ['C', 'E', 'D'],
            $this->database()->fetchFirstColumn('SELECT letters FROM unit ORDER BY walk'),
            'the two that stand side by side follow each other',
        );
        foreach (
            [
                ['x' => ['0', '100 mm', '500 mm']],
                ['x' => ['0', '4900 mm', '500 mm']],
                ['x' => ['0', '-5', '500 mm']],
                ['x' => ['0', 'far', '500 mm']],
                ['x' => ['0', '4000', '500 mm']],
                ['turn' => ['0', '45', '0']],
                ['room_width' => '1 mm'],
                ['door_at' => '4.9 m'],
            ] as $wrong
        ) {
            $this->post("/stores/plan/{$room}", $wrong + $fields + ['_form' => 'plan']);
            $this->assertCode(422, (string) json_encode($wrong));
            self::assertEqualsCanonicalizing(
                ($wrong + $fields)['x'],
                $this->browser->getCrawler()->filter('input[name="x[]"]')->each(static fn ($field): string => (string) $field->attr('value')),
                'nothing typed is lost',
            );
        }
        $this->post(
            "/stores/plan/{$room}",
            [
                'fixture' => ['bench', 'table'],
                'fixture_x' => ['1', 'far'],
                'fixture_y' => ['2', '3'],
                'fixture_width' => ['4', '5'],
                'fixture_depth' => ['6', '7'],
                '_form' => 'plan',
            ] + $fields,
        );
        $this->assertCode(422);
        self::assertStringContainsString('Say of table where it stands', $this->text());
        self::assertSame(
            ['1', 'far'],
            $this->browser->getCrawler()->filter('input[name="fixture_x[]"]')->each(static fn ($field): string => (string) $field->attr('value')),
        );
        $this->get('/stores/plan');
        self::assertCount(3, $this->browser->getCrawler()->filter('.fp-unit'));
        $this->postAndFollow('/stores/rooms', ['room_name' => 'Garage']);
        self::assertStringContainsString('Garage', $this->text());
    }

    public function testAHelperDoesNotMoveFurniture(): void
    {
        $this->furnish();
        $this->signIn('hank');
        $this->get('/stores/plan');
        $this->assertCode(200);
        self::assertCount(0, $this->browser->getCrawler()->filter('input[name="x[]"]'));
        foreach (['/stores/places/C1/split', '/stores/units/C/renumber', '/stores/rooms'] as $path) {
            $this->post($path);
            $this->assertCode(403, $path);
        }
    }

    /** The drawing follows numbers that are typed, and writes nothing; only the owner moves units. */
    public function testTheDrawingOfAPlanFollowsTypedNumbers(): void
    {
        $this->furnish();
        $unit = $this->number("SELECT id FROM unit WHERE letters = 'C'");
        $room = $this->number('SELECT id FROM room');
        $before = $this->database()->fetchAllAssociative('SELECT * FROM unit');
        $asked = http_build_query(['unit' => [$unit], 'x' => ['1500 mm'], 'y' => ['10 in'], 'turn' => ['90']]);
        $svg = $this->get("/stores/plan/{$room}/drawing?{$asked}");
        $drawn = $svg->filter(".fp-unit[data-unit=\"{$unit}\"]");
        self::assertSame(['translate(1500 254)', '90'], [$drawn->attr('transform'), $drawn->attr('data-turn')]);
        self::assertSame('0', $drawn->attr('tabindex'));
        $this->get("/stores/plan/{$room}/drawing?".http_build_query(['unit' => [$unit], 'x' => ['nowhere'], 'y' => ['-3'], 'turn' => ['45']]));
        $this->assertCode(200, 'what cannot be read is drawn at the wall, and refused when it is kept');
        self::assertSame($before, $this->database()->fetchAllAssociative('SELECT * FROM unit'));
        $this->get('/stores/plan/99/drawing');
        $this->assertCode(404);
        $this->signIn('hank');
        $this->get("/stores/plan/{$room}/drawing?{$asked}");
        $this->assertCode(403);
        $plan = $this->get('/stores/plan');
        self::assertNull($plan->filter('.fp-unit')->attr('tabindex'), 'a helper sees it and moves nothing');
    }

    public function testAUnitStandsAtTheWallThatItIsSaidToStandAt(): void
    {
        $this->furnish();
        $this->database()->executeStatement("UPDATE unit SET wall = 'South wall', turn = 180 WHERE letters = 'C'");
        $this->entities()->clear();
        $build = ['template' => 'chest', 'rows' => '3', 'name' => 'chest', 'room' => (string) $this->number('SELECT id FROM room')];
        $this->postAndFollow('/stores/new-unit', $build + ['letters' => 'S', 'wall' => 'south wall']);
        $this->postAndFollow('/stores/new-unit', $build + ['letters' => 'T', 'wall' => 'by the window']);
        $turn = fn (string $letters): int => $this->number('SELECT turn FROM unit WHERE letters = ?', [$letters]);
        self::assertSame([180, 0], [$turn('S'), $turn('T')]);
        $this->postAndFollow('/stores/units/T/describe', ['name' => 'chest', 'wall' => 'South wall', 'room' => $build['room'], 'caution' => '']);
        self::assertSame(180, $turn('T'), 'it was said to stand elsewhere, and goes there');
    }

    public function testInnerPlacesAreDrawnFromAbove(): void
    {
        $this->furnish();
        $this->postAndFollow('/stores/places/C3/divide', ['division' => 'grid', 'rows' => '2', 'columns' => '3']);
        $page = $this->get('/stores/places/C3');
        self::assertCount(6, $page->filter('.cells a'));
        self::assertEqualsCanonicalizing(['a', 'b', 'c', 'd', 'e', 'f'], $page->filter('.cells text:not(.cell-name)')->extract(['_text']));
        $this->postAndFollow('/stores/places/C4/inner', ['label' => 'x', 'kind' => 'jar', 'inner_name' => 'beads', 'layer' => '0']);
        $page = $this->get('/stores/places/C4');
        self::assertStringContainsString('Where x lies is assumed.', $page->filter('.cells-frame')->text());
        self::assertStringContainsString('C4.x', $this->text());
        $this->post('/stores/places/C4/inner', ['label' => 'y', 'kind' => 'rucksack', 'layer' => '0']);
        $this->assertCode(422, 'there is no such thing to put inside');
    }
}
