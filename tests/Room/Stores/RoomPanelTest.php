<?php

declare(strict_types=1);

namespace App\Tests\Room\Stores;

use App\Platform\Database\RoomMark;
use App\Room\Catalogue\FullPlaces;
use App\Room\Catalogue\Item;
use App\Room\Stores\Fullness;
use App\Room\Stores\PlaceReading;
use App\Tests\RoomTestCase;
use Symfony\Component\Cache\Adapter\ArrayAdapter;
use Symfony\Component\DomCrawler\Crawler;

/** The room as it stands beside each page: what is to be seen on its fronts, and how more of it is shown than fits. */
final class RoomPanelTest extends RoomTestCase
{
    /** @return list<string> addresses of fronts with a shape */
    private static function with(Crawler $page, string $shape): array
    {
        return array_column(self::shaped($page, $shape), 0);
    }

    /** @return list<array{string, string}> address and what is said of it */
    private static function shaped(Crawler $page, string $shape): array
    {
        $shaped = [];
        foreach ($page->filter('.beside a.place')->each(static fn (Crawler $place): Crawler => $place) as $place) {
            if ($place->filter(".{$shape}")->count() > 0) {
                $shaped[] = [(string) $place->attr('data-address'), $place->filter('title')->text()];
            }
        }

        return $shaped;
    }

    public function testWhatIsOutOverdueAndLostIsSeenOnTheFronts(): void
    {
        $this->furnish();
        [$tern, $gull] = [...$this->putInto('C1', 'Tern'), ...$this->putInto('C2', 'Gull')];
        $kit = $this->planKit('A late one', [[$tern, 1], [$gull, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $tern)]]);
        $page = $this->get('/stores');
        self::assertSame(['C1'], self::with($page, 'gap'));
        self::assertSame([], self::with($page, 'pennant'));
        self::assertSame(['out'], $page->filter('.legend i')->each(static fn (Crawler $key): string => substr((string) $key->attr('class'), 4)));
        $this->database()->executeStatement("UPDATE kit SET due_on = '2020-01-01'");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($kit, $gull)]]);
        $this->postAndFollow("/kits/{$kit}/return");
        $this->postAndFollow("/kits/{$kit}/return/lost", ['item' => $gull->id]);
        $page = $this->get('/stores');
        self::assertSame([['C1', 'C1 · drawer, 1 out, overdue']], self::shaped($page, 'pennant'));
        self::assertSame([['C2', 'C2 · drawer, 1 thing lost']], self::shaped($page, 'lost'));
    }

    public function testInnerPlacesAreSeenAsBoxes(): void
    {
        $this->furnish();
        self::assertSame([], self::with($this->get('/stores'), 'boxes'));
        $this->postAndFollow('/stores/places/C3/inner', ['label' => 'a', 'kind' => 'box', 'inner_name' => 'box', 'layer' => '0']);
        self::assertSame(['C3'], self::with($this->get('/stores'), 'boxes'));
    }

    /** @return list<int> as it is found when nothing is known from before */
    private function overFullAnew(): array
    {
        $places = (new FullPlaces($this->database(), $this->service(PlaceReading::class), new ArrayAdapter(), new RoomMark($this->database())))->overFull();
        sort($places);

        return $places;
    }

    private function assertOverFull(string ...$addresses): void
    {
        $known = $this->service(Fullness::class)->overFull();
        sort($known);
        self::assertSame($this->overFullAnew(), $known);
        self::assertSame($addresses, array_map(fn (int $id): string => $this->word('SELECT address FROM place WHERE id = ?', [$id]), $known));
    }

    private function bulky(Item $item, string $depth): void
    {
        $this->step(function () use ($item, $depth): void {
            $this->database()->executeStatement(
                'UPDATE item SET width = 64000, height = 64000, depth = ? WHERE id = ?',
                [(int) $depth * 320, $item->id],
            );
        });
    }

    public function testOverFullPlacesAreKnownAfterEachWrite(): void
    {
        $this->furnish();
        [$tern, $gull] = $this->putInto('C1', 'Tern', 'Gull');
        $this->assertOverFull();
        $this->bulky($tern, '900');
        $this->assertOverFull('C1');
        self::assertSame(['C1'], self::with($this->get('/stores'), 'over-full'));
        $this->bulky($gull, '900');
        $this->assertOverFull('C1');
        $this->postAndFollow('/things/move', ['items' => [$tern->id], 'to' => 'C2']);
        $this->assertOverFull('C1', 'C2');
        $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT id FROM write_request ORDER BY id DESC LIMIT 1'), 'back' => '/stores']);
        $this->assertOverFull('C1');
        $this->step(function (): void {
            $this->database()->executeStatement("UPDATE place SET inner_depth = inner_depth * 30 WHERE address = 'C1'");
        });
        $this->assertOverFull();
    }

    public function testWhatIsKnownOfFullPlacesIsNotReckonedTwice(): void
    {
        $this->furnish();
        $this->putInto('C1', 'Tern');
        $this->database()->executeStatement('DELETE FROM step_change');
        $cache = new ArrayAdapter();
        $places = new FullPlaces($this->database(), $this->service(PlaceReading::class), $cache, new RoomMark($this->database()));
        self::assertSame([], $places->overFull());
        $this->database()->executeStatement('UPDATE item SET width = 64000, height = 64000, depth = 288000');
        self::assertSame([], $places->overFull(), 'nothing was written that it could know of');
        $this->assertOverFull('C1');
    }

    private function largeRoom(): void
    {
        $this->furnish();
        foreach (range(0, 29) as $nth) {
            $letters = 'X'.\chr(65 + intdiv($nth, 20)).\chr(65 + $nth % 20);
            $this->postAndFollow('/stores/new-unit', [
                'template' => 'cubes',
                'letters' => $letters,
                'unit_name' => 'shelf '.$nth,
                'wall' => ['west', 'north', 'east', 'south', 'hall'][intdiv($nth, 6)],
                'rows' => '4',
                'columns' => '4',
            ]);
        }
    }

    public function testALargeRoomIsShownWallByWallAndTheWallsSayWhatIsLit(): void
    {
        $this->largeRoom();
        self::assertSame(485, $this->number("SELECT count(*) FROM place WHERE nature = 'storage'"));
        $page = $this->get('/stores/places/XAH3');
        $tabs = $page->filter('.beside .wall-tabs a');
        self::assertSame(['north wall', 'west', 'north 1 lit', 'east', 'south', 'hall'], $tabs->each(static fn (Crawler $tab): string => $tab->text()));
        self::assertSame('north 1 lit', $page->filter('.beside .wall-tabs [aria-current]')->text());
        self::assertSame(6 * 16, $page->filter('.beside a.place')->count(), 'one wall is drawn, and the others are a press away');
        self::assertSame(['XAH3'], $page->filter('.beside a.place.lit')->extract(['data-address']));
        self::assertSame(31, $page->filter('.outlines a.block')->count());
        $panel = $this->get((string) $page->filter('.beside .wall-tabs a')->eq(4)->attr('hx-get'));
        self::assertSame('south', $panel->filter('.beside .wall-tabs [aria-current]')->text());
        self::assertStringContainsString('north 1 lit', $panel->filter('.beside .wall-tabs')->text());
        self::assertSame('east', $this->get('/stores?wall=east')->filter('.beside .wall-tabs [aria-current]')->text());
    }

    public function testTheNameOfAWallKeepsToItsWall(): void
    {
        $this->furnish();
        $cart = ['template' => 'cart', 'letters' => 'D', 'unit_name' => 'cart', 'wall' => 'between the window and the door', 'rows' => '3', 'columns' => '1'];
        $this->postAndFollow('/stores/new-unit', $cart);
        $names = $this->get('/plan')->filter('.above .elevation .wall');
        self::assertSame(2, $names->count());
        self::assertMatchesRegularExpression('/^Between the.*…$/u', (string) preg_replace('/^.*door/', '', $names->eq(1)->text()));
        self::assertSame('Between the window and the door', $names->eq(1)->filter('title')->text(), 'the whole of it is told');
    }

    public function testOneUnitIsShownLargeWithWhatIsLitInIt(): void
    {
        $this->furnish();
        $page = $this->get('/room/units/C?lit['.$this->place('C4')->id.']=7');
        self::assertSame(['C4'], $page->filter('a.place.lit')->extract(['data-address']));
        self::assertSame('7', $page->filter('.disc text')->text());
        self::assertSame(0, $page->filter('.small')->count(), 'each of its fronts is large enough for its address');
        $this->get('/room/units/Q');
        $this->assertCode(404);
        $this->get('/room/units/C?lit=7');
        $this->assertCode(400);
    }

    public function testStoresShowsOneWallAndWhatIsInItsPlaces(): void
    {
        $this->furnish();
        [$blue] = $this->putInto('C1', 'Blue paper');
        $this->database()->executeStatement("UPDATE item SET colour = '#2f6fa8', kind = 'paper' WHERE id = ?", [$blue->id]);
        $this->database()->executeStatement("UPDATE place SET name = 'blues' WHERE address = 'C1'");
        $this->postAndFollow('/stores/places/C3/inner', ['label' => 'a', 'kind' => 'box', 'inner_name' => 'box', 'layer' => '0']);
        $wall = $this->get('/stores')->filter('.wall-large');
        self::assertSame(['C1', 'C2', 'C3', 'C3.a', 'C4', 'C5'], $wall->filter('a.place')->extract(['data-address']));
        self::assertSame(['#2f6fa8'], $wall->filter('.thing-in')->extract(['fill']));
        self::assertSame(['1', 'free', 'free', 'free', 'free'], $wall->filter('.count')->extract(['_text']));
        self::assertSame(['blues'], $wall->filter('.front-name')->extract(['_text']), 'what has no name is not called by its sort');
        self::assertSame(0, $this->get('/stores')->filter('.wall-slip')->count(), 'nothing is late, and nothing is over-full');
    }

    public function testStoresSaysWhatComesFirstOnAWall(): void
    {
        $this->furnish();
        [$tern, $gull] = [...$this->putInto('C1', 'Tern'), ...$this->putInto('C2', 'Gull')];
        $this->bulky($gull, '900');
        $slip = $this->get('/stores')->filter('.wall-slip');
        self::assertSame('C2 no room left to grow Make room', trim((string) preg_replace('/\s+/', ' ', $slip->text())));
        $kit = $this->planKit('A late one', [[$tern, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $tern)]]);
        self::assertSame('Make room', $this->get('/stores')->filter('.wall-slip .button')->text(), 'it is not due yet');
        $this->database()->executeStatement("UPDATE kit SET due_on = '2020-01-01'");
        $slip = $this->get('/stores')->filter('.wall-slip');
        self::assertSame("/kits/{$kit}/return", $slip->filter('.button')->attr('href'));
        self::assertStringContainsString('Tern', $slip->filter('b')->text());
        self::assertSame('then C2, no room left to grow', $slip->filter('small')->text());
    }
}
