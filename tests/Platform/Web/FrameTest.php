<?php

declare(strict_types=1);

namespace App\Tests\Platform\Web;

use App\Platform\Database\Row;
use App\Platform\Web\RoomClock;
use App\Room\Stores\RoomDrawing;
use App\Tests\RoomTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\DomCrawler\Crawler;

/** What stands around every page: when things are due, the trays, the room. */
final class FrameTest extends RoomTestCase
{
    protected function tearDown(): void
    {
        Clock::set(new \Symfony\Component\Clock\NativeClock());
        parent::tearDown();
    }

    /** @return iterable<array{string|null, string, bool}> on Wednesday, 25 November 2026 */
    public static function days(): iterable
    {
        yield [null, 'no date', false];
        yield ['2026-11-25', 'due today', false];
        yield ['2026-11-26', 'due tomorrow', false];
        yield ['2026-11-27', 'due Friday', false];
        yield ['2026-12-01', 'due Tuesday', false];
        yield ['2026-12-02', 'due 2 Dec', false];
        yield ['2026-11-24', 'overdue 1 day', true];
        yield ['2026-11-20', 'overdue 5 days', true];
    }

    #[DataProvider('days')]
    public function testWhenAKitIsDue(?string $day, string $text, bool $isLate): void
    {
        $this->furnish();
        Clock::set(new MockClock('2026-11-25 15:00:00 UTC'));
        $due = $this->service(RoomClock::class)->due($day);
        self::assertSame([$text, $isLate], [$due->text, $due->isLate]);
    }

    public function testTheDayIsThatOfTheRoom(): void
    {
        $this->furnish();
        $this->database()->executeStatement("UPDATE room SET time_zone = 'Pacific/Auckland'");
        Clock::set(new MockClock('2026-11-25 15:00:00 UTC'));
        self::assertSame('due today', $this->service(RoomClock::class)->due('2026-11-26')->text, 'it is the 26th there already');
    }

    public function testATrayTellsSinceWhenItIsOutAndHowMuchIsOnIt(): void
    {
        $this->furnish();
        [$tern, $gull] = $this->putInto('C1', 'Tern', 'Gull');
        $kit = $this->planKit('A kit with a very long name that runs on and on', [[$tern, 1], [$gull, 1]]);
        $clock = new MockClock('2026-11-25 09:40:00 UTC');
        Clock::set($clock);
        $this->postAndFollow("/kits/{$kit}/pull");
        $page = $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $tern), $this->needId($kit, $gull)]]);
        self::assertSame('2 out · since 9:40', $page->filter('.tray-facts')->text());
        self::assertStringContainsString('Tern and Gull are on tray 1.', $this->text());
        $clock->modify('+2 days');
        $page = $this->get('/plan');
        self::assertSame('2 out · 2 days', $page->filter('.tray-facts')->text());
        self::assertStringContainsString('2 things out', $page->filter('.rail-end')->text());
    }

    public function testTraysAreNumberedFromTheLowestFreeOne(): void
    {
        $this->furnish();
        $items = $this->putInto('C1', 'Tern', 'Gull', 'Eider');
        $kits = [];
        foreach ($items as $item) {
            $kits[] = $kit = $this->planKit('Kit of '.$item->name, [[$item, 1]]);
            $this->postAndFollow("/kits/{$kit}/pull");
        }
        self::assertSame(['1', '2', '3'], $this->get('/plan')->filter('[data-tray]')->extract(['data-tray']));
        $this->postAndFollow("/kits/{$kits[1]}/close");
        $next = $this->planKit('The next', [[$items[1], 1]]);
        $this->postAndFollow("/kits/{$next}/pull");
        self::assertSame('tray 2', $this->kit($next)->trayInUse()->address);
    }

    public function testTheRoomIsDrawnFromItsData(): void
    {
        $this->furnish();
        $room = new Crawler($this->service(RoomDrawing::class)->room([(int) $this->place('C2')->id => '1', (int) $this->place('C4')->id => '']));
        self::assertSame(
            ['beside', 'above', 'outlines'],
            $room->filter('.room-view')->each(static fn (Crawler $view): string => substr((string) $view->attr('class'), 10)),
        );
        $svg = $room->filter('.beside');
        self::assertSame(['C1', 'C2', 'C3', 'C4', 'C5'], $svg->filter('a.place')->extract(['data-address']));
        self::assertSame(['C2', 'C4'], $svg->filter('a.place.lit')->extract(['data-address']));
        self::assertSame(['1'], $svg->filter('.disc text')->extract(['_text']), 'what is only lit has no disc');
        self::assertSame(['-1', '0', '-1', '0', '-1'], $svg->filter('a.place')->extract(['tabindex']), 'only what is lit is a stop of the Tab key');
        $heights = $svg->filter('.front')->extract(['height']);
        self::assertCount(1, array_flip(array_map(Row::word(...), $heights)), 'five equal drawers');
        self::assertSame('North wall', $svg->filter('.wall')->text());
        self::assertSame('1 unit · 5 places', $svg->filter('.wall-count')->text());
    }

    public function testNamesInTheDrawingAreHarmless(): void
    {
        $this->furnish();
        $this->database()->executeStatement("UPDATE unit SET name = '<script>alert(1)</script>', wall = '\"><img src=x>'");
        $this->database()->executeStatement("UPDATE place SET name = '\"onmouseover=\"x' WHERE address = 'C1'");
        $html = $this->service(RoomDrawing::class)->room();
        self::assertStringNotContainsString('<script', $html);
        self::assertStringNotContainsString('<img', $html);
        self::assertStringNotContainsString('"onmouseover="', $html);
    }

    public function testAnInnerPlaceLightsUpTheFrontAroundIt(): void
    {
        $this->furnish();
        $this->postAndFollow('/stores/places/C3/inner', ['label' => 'a', 'kind' => 'box', 'inner_name' => 'box', 'layer' => '0']);
        $this->postAndFollow('/stores/places/C3.a/inner', ['label' => 'b', 'kind' => 'pouch', 'inner_name' => 'pouch', 'layer' => '1']);
        [$item] = $this->putInto('C3.a.b', 'Hidden thing');
        $page = $this->get("/items/{$item->id}");
        self::assertSame(['C3'], $page->filter('.beside a.place.lit')->extract(['data-address']));
        $kit = $this->planKit('Hidden', [[$item, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $page = $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C3.a.b', 'needs' => [$this->needId($kit, $item)]]);
        self::assertSame(['C3'], $page->filter('.beside a.place.out')->extract(['data-address']), 'what is out of an inner place shows on its front');
    }
}
