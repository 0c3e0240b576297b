<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Log;

use Lottel\Core\Log\Life;
use Lottel\Core\Log\LifeEvent;
use Lottel\Core\Log\LifeLine;
use Lottel\Core\Log\LoggedPlace;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use PHPUnit\Framework\TestCase;

final class LifeTest extends TestCase
{
    private static function line(string $day, Reason $reason, int $quantity, LoggedPlace $from, LoggedPlace $to, ?int $kit = null): LifeLine
    {
        return new LifeLine(new \DateTimeImmutable($day), $reason, $quantity, $from, $to, $kit);
    }

    private static function outside(string $label): LoggedPlace
    {
        return new LoggedPlace(1, PlaceNature::Outside, $label);
    }

    private static function drawer(string $label = 'C3'): LoggedPlace
    {
        return new LoggedPlace(2, PlaceNature::Storage, $label);
    }

    private static function tray(): LoggedPlace
    {
        return new LoggedPlace(3, PlaceNature::Tray, 'tray 1');
    }

    /**
     * @param list<LifeEvent> $events
     *
     * @return list<string>
     */
    private static function told(array $events): array
    {
        return array_map(static fn (LifeEvent $event): string => trim(\sprintf(
            '%s %s %s–%s %s',
            $event->what,
            $event->kit ?? '',
            $event->from->format('j'),
            $event->until?->format('j') ?? '',
            $event->where,
        )), $events);
    }

    public function testAThingComesInIsOutIsLostAndFoundAgain(): void
    {
        $events = Life::of([
            self::line('2026-03-01', Reason::TakeIn, 1, self::outside('bought'), self::drawer()),
            self::line('2026-03-02', Reason::Pull, 1, self::drawer(), self::tray(), 7),
            self::line('2026-03-05', Reason::PutBack, 1, self::tray(), self::drawer(), 7),
            self::line('2026-03-06', Reason::Move, 1, self::drawer(), self::drawer('C4')),
            self::line('2026-03-08', Reason::Lose, 1, self::drawer('C4'), self::outside('lost')),
            self::line('2026-03-20', Reason::FindAgain, 1, self::outside('lost'), self::drawer('D1')),
            self::line('2026-03-21', Reason::Pull, 1, self::drawer('D1'), self::tray(), 8),
        ]);
        self::assertSame(['came in  1–1', 'with a kit 7 2–5', 'lost  8–20 D1', 'with a kit 8 21–'], self::told($events));
        self::assertTrue($events[3]->isOpen());
    }

    public function testAStayLastsUntilTheLastOfItHasLeftTheTrayAndGoesOnWhereMoreIsPulled(): void
    {
        $lines = [
            self::line('2026-03-02', Reason::Pull, 5, self::drawer(), self::tray(), 7),
            self::line('2026-03-03', Reason::Use, 2, self::tray(), self::outside('used up'), 7),
        ];
        self::assertSame(['with a kit 7 2–'], self::told(Life::of($lines)));
        $lines[] = self::line('2026-03-04', Reason::PutBack, 3, self::tray(), self::drawer(), 7);
        self::assertSame(['with a kit 7 2–4'], self::told(Life::of($lines)));
        $lines[] = self::line('2026-03-06', Reason::Pull, 1, self::drawer(), self::tray(), 7);
        self::assertSame(['with a kit 7 2–'], self::told(Life::of($lines)), 'one stay, not two');
    }

    public function testWhatIsLostOffATrayIsLostAndNotOutAnyMore(): void
    {
        $events = Life::of([
            self::line('2026-03-02', Reason::Pull, 1, self::drawer(), self::tray(), 7),
            self::line('2026-03-05', Reason::Lose, 1, self::tray(), self::outside('lost'), 7),
        ]);
        self::assertSame(['with a kit 7 2–5', 'lost  5–'], self::told($events));
        self::assertSame('3 days', $events[0]->length(new \DateTimeImmutable('2026-04-05')));
        self::assertSame('4 weeks', $events[1]->length(new \DateTimeImmutable('2026-04-04')), 'so far');
        self::assertSame('1 day', $events[1]->length(new \DateTimeImmutable('2026-03-06')));
        self::assertSame('less than a day', $events[1]->length(new \DateTimeImmutable('2026-03-05 12:00')));
    }

    public function testWhatWasMadeHereBeginsOnTheTrayOfItsKit(): void
    {
        $events = Life::of([self::line('2026-03-02', Reason::Make, 12, self::outside('made here'), self::tray(), 7)]);
        self::assertSame(['with a kit 7 2–'], self::told($events));
        self::assertSame([], Life::of([]));
    }
}
