<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Log;

use Lottel\Core\Log\BrokenLaw;
use Lottel\Core\Log\LoggedPlace;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RecordedLine;
use Lottel\Core\Log\Replay;
use Lottel\Core\Log\Retracking;
use Lottel\Core\Log\Tracking;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReplayTest extends TestCase
{
    private const BOUGHT = 1;
    private const USED_UP = 2;
    private const DRAWER = 3;
    private const SHELF = 4;
    private const TRAY = 5;
    private const STAMP = 10;
    private const PAPER = 11;

    public function testTheBalancesAreWhatCameInLessWhatWentOut(): void
    {
        $replay = $this->replay();
        $this->play($replay, [
            $this->line(1, self::PAPER, 20, self::BOUGHT, self::DRAWER, Reason::TakeIn),
            $this->line(2, self::PAPER, 6, self::DRAWER, self::TRAY, Reason::Pull, true),
            $this->line(3, self::PAPER, 4, self::TRAY, self::USED_UP, Reason::Use, true),
            $this->line(4, self::PAPER, 2, self::TRAY, self::DRAWER, Reason::PutBack, true),
        ]);
        self::assertSame([self::PAPER => [self::BOUGHT => -20, self::DRAWER => 16, self::USED_UP => 4]], $replay->balances());
    }

    public function testALineThatIsPutRightLeavesNothing(): void
    {
        $replay = $this->replay();
        $in = $this->line(1, self::STAMP, 1, self::BOUGHT, self::DRAWER, Reason::TakeIn);
        $replay->add($in);
        $replay->add($this->line(2, self::STAMP, 1, self::DRAWER, self::BOUGHT, Reason::Reverse, false, 1), $in);
        self::assertSame([], $replay->balances());
    }

    public function testFromALineOnAThingIsCountedOtherwise(): void
    {
        $replay = $this->replay([self::PAPER => [1 => [
            Retracking::of(Tracking::Count, Tracking::Length, 1, 100),
            Retracking::of(Tracking::Length, Tracking::Count, 50, 1),
        ]]]);
        $this->play($replay, [
            $this->line(1, self::PAPER, 3, self::BOUGHT, self::DRAWER, Reason::TakeIn),
            $this->line(2, self::PAPER, 6, self::DRAWER, self::SHELF, Reason::Move),
        ]);
        self::assertSame([self::BOUGHT => -6, self::SHELF => 6], $replay->balances()[self::PAPER]);
        self::assertSame(Tracking::Count, $replay->tracking(self::PAPER));
    }

    /** @return iterable<string, array{list<array{int, int, int, int, Reason, bool, int|null}>, int, string}> lines, the law that the last breaks, why */
    public static function broken(): iterable
    {
        $in = [self::PAPER, 5, self::BOUGHT, self::DRAWER, Reason::TakeIn, false, null];
        $stamp = [self::STAMP, 1, self::BOUGHT, self::DRAWER, Reason::TakeIn, false, null];
        yield 'nowhere' => [[[self::PAPER, 5, self::DRAWER, self::DRAWER, Reason::Move, false, null]], 1, 'already'];
        yield 'outside' => [[[self::PAPER, 5, self::BOUGHT, self::USED_UP, Reason::Discard, false, null]], 1, 'touch a place'];
        yield 'wrong reason' => [[[self::PAPER, 5, self::BOUGHT, self::DRAWER, Reason::Pull, true, null]], 1, 'Nothing goes'];
        yield 'a tray without a kit' => [[$in, [self::PAPER, 5, self::DRAWER, self::TRAY, Reason::Pull, false, null]], 1, 'no kit is named'];
        yield 'reverses nothing' => [[$in, [self::PAPER, 5, self::DRAWER, self::BOUGHT, Reason::Reverse, false, null]], 2, 'nothing right'];
        yield 'reverses half' => [[$in, [self::PAPER, 4, self::DRAWER, self::BOUGHT, Reason::Reverse, false, 1]], 2, 'mirror'];
        yield 'reverses what is not there' => [[$in, [self::PAPER, 5, self::DRAWER, self::BOUGHT, Reason::Reverse, false, 7]], 2, 'mirror'];
        yield 'reverses without saying so' => [[$in, [self::PAPER, 5, self::DRAWER, self::SHELF, Reason::Move, false, 1]], 2, 'does not say so'];
        yield 'nothing moves' => [[[self::PAPER, 0, self::BOUGHT, self::DRAWER, Reason::TakeIn, false, null]], 3, 'whole number'];
        yield 'more than is there' => [[$in, [self::PAPER, 6, self::DRAWER, self::SHELF, Reason::Move, false, null]], 4, 'not so much'];
        yield 'one thing twice' => [[$stamp, [self::STAMP, 1, self::BOUGHT, self::SHELF, Reason::TakeIn, false, null]], 4, 'single thing'];
        yield 'two of one thing' => [[[self::STAMP, 2, self::BOUGHT, self::DRAWER, Reason::TakeIn, false, null]], 4, 'only one'];
    }

    /** @param list<array{int, int, int, int, Reason, bool, int|null}> $lines */
    #[DataProvider('broken')]
    public function testALineThatBreaksALawIsRefusedWithTheLawAndTheLine(array $lines, int $law, string $why): void
    {
        $replay = $this->replay();
        try {
            $this->play($replay, array_map(
                fn (array $line, int $nth): RecordedLine => $this->line($nth + 1, ...$line),
                $lines,
                array_keys($lines),
            ));
            self::fail('No law was broken.');
        } catch (BrokenLaw $broken) {
            self::assertSame([$law, \count($lines)], [$broken->law, $broken->inLine]);
            self::assertStringStartsWith(\sprintf('Line %d of the log breaks law %d: ', \count($lines), $law), $broken->getMessage());
            self::assertStringContainsString($why, $broken->getMessage());
        }
    }

    public function testAThingBecomesOneThingOnlyWhereThereIsOne(): void
    {
        $replay = $this->replay([self::PAPER => [1 => [Retracking::of(Tracking::Count, Tracking::One, 1, 1)]]]);
        $this->expectException(BrokenLaw::class);
        $this->expectExceptionMessage('there is more than one');
        $replay->add($this->line(1, self::PAPER, 3, self::BOUGHT, self::DRAWER, Reason::TakeIn));
    }

    /** @param array<int, array<int, list<Retracking>>> $retrackings */
    private function replay(array $retrackings = []): Replay
    {
        return new Replay([
            self::BOUGHT => new LoggedPlace(self::BOUGHT, PlaceNature::Outside, 'bought'),
            self::USED_UP => new LoggedPlace(self::USED_UP, PlaceNature::Outside, 'used up'),
            self::DRAWER => new LoggedPlace(self::DRAWER, PlaceNature::Storage, 'C1'),
            self::SHELF => new LoggedPlace(self::SHELF, PlaceNature::Storage, 'A1', true),
            self::TRAY => new LoggedPlace(self::TRAY, PlaceNature::Tray, 'tray 1'),
        ], [self::STAMP => Tracking::One, self::PAPER => Tracking::Count], $retrackings);
    }

    private function line(int $line, int $item, int $quantity, int $from, int $to, Reason $reason, bool $hasKit = false, ?int $reverses = null): RecordedLine
    {
        return new RecordedLine($line, $item, $quantity, $from, $to, $reason, $hasKit, $reverses);
    }

    /** @param list<RecordedLine> $lines */
    private function play(Replay $replay, array $lines): void
    {
        $byLine = [];
        foreach ($lines as $line) {
            $replay->add($line, $byLine[$line->reverses ?? 0] ?? null);
            $byLine[$line->line] = $line;
        }
    }
}
