<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Kit;

use Lottel\Core\Kit\Bench;
use Lottel\Core\Kit\BenchLine;
use Lottel\Core\Kit\Makes;
use Lottel\Core\Kit\PiecesAlike;
use Lottel\Core\Kit\Readiness;
use Lottel\Core\Log\Tracking;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BenchTest extends TestCase
{
    private static function line(int $item, string $name, int $wanted, int $used, int $onTray, Tracking $tracking = Tracking::Count): BenchLine
    {
        return new BenchLine($item, $name, $tracking, $wanted, $used, $onTray);
    }

    public function testTheNextPieceTakesWhatTheListSaysForOneLessWhatWasUsedAhead(): void
    {
        $bench = new Bench(12, 4, [
            self::line(1, 'foam', 36, 12, 24),
            self::line(2, 'mats', 12, 6, 6),
            self::line(3, 'gulls', 6, 2, 4),
            self::line(4, 'ink', 1, 1, 4, Tracking::Level),
        ]);
        self::assertSame([1 => 3], $bench->takes(), 'mats for two more are used; half a gull each nobody can say; ink is booked by hand');
        self::assertSame([1 => 12, 2 => 2], $bench->takes(4));
        self::assertSame([1 => 24, 2 => 6], $bench->takes(8));
        self::assertSame(8, $bench->left());
        self::assertSame([3, 1, 0, 0], array_map($bench->each(...), [
            self::line(1, '', 36, 0, 0),
            self::line(2, '', 12, 0, 0),
            self::line(3, '', 6, 0, 0),
            self::line(4, '', 12, 0, 0, Tracking::Level),
        ]));
    }

    public function testNoMoreIsTakenThanIsOnTheTrayAndThatIsSaid(): void
    {
        $bench = new Bench(4, 0, [self::line(1, 'foam', 16, 0, 3), self::line(2, 'mats', 4, 0, 4)]);
        self::assertSame([1 => 3, 2 => 1], $bench->takes());
        self::assertSame(['foam'], $bench->missing());
    }

    public function testThePiecesStandInARowAsFarAsTheyAre(): void
    {
        $bench = new Bench(12, 4, [self::line(1, 'foam', 36, 12, 24), self::line(2, 'mats', 12, 7, 5), self::line(3, 'panels', 12, 9, 3)]);
        self::assertSame(
            ['1–4 done', '5–7 begun wants foam', '8–9 begun wants foam, mats', '10–12 wants foam, mats, panels'],
            array_map(self::told(...), $bench->row()),
        );
        self::assertSame([], (new Bench(null, 0, []))->row(), 'nobody has said how many');
        self::assertSame(['1–3 done'], array_map(self::told(...), (new Bench(2, 3, []))->row()), 'more than were planned');
    }

    private static function told(PiecesAlike $alike): string
    {
        $wants = [] === $alike->wants ? '' : ' wants '.implode(', ', $alike->wants);

        return \sprintf('%d–%d', $alike->first, $alike->last()).($alike->isDone ? ' done' : ($alike->isBegun ? ' begun' : '')).$wants;
    }

    public function testTapsAreUsualAmountsAndNeverMoreThanIsThere(): void
    {
        $bench = new Bench(12, 0, []);
        self::assertSame([3, 6], $bench->taps(self::line(1, '', 36, 0, 36)));
        self::assertSame([3], $bench->taps(self::line(1, '', 36, 0, 5)));
        self::assertSame([1, 2], $bench->taps(self::line(1, '', 12, 0, 12)));
        self::assertSame([1], $bench->taps(self::line(1, '', 0, 0, 1, Tracking::Level)));
        self::assertSame([1], $bench->taps(self::line(1, '', 1, 0, 1, Tracking::One)));
        self::assertSame([], $bench->taps(self::line(1, '', 0, 0, 100, Tracking::Length)), 'less than a hand’s breadth');
    }

    public function testAllPiecesOneByOneTakeWhatTheListSaysWhateverWasUsedAhead(): void
    {
        mt_srand(20261126);
        for ($round = 0; $round < 300; ++$round) {
            $pieces = mt_rand(1, 15);
            $lines = [];
            foreach (range(1, mt_rand(1, 5)) as $item) {
                $wanted = $pieces * mt_rand(1, 4);
                $ahead = mt_rand(0, $wanted);
                $lines[$item] = self::line($item, "thing {$item}", $wanted, $ahead, $wanted - $ahead);
            }
            for ($done = 0; $done < $pieces; ++$done) {
                foreach ((new Bench($pieces, $done, array_values($lines)))->takes() as $item => $quantity) {
                    $line = $lines[$item];
                    $lines[$item] = self::line($item, $line->name, $line->wanted, $line->used + $quantity, $line->onTray - $quantity);
                }
            }
            foreach ($lines as $line) {
                self::assertSame([$line->wanted, 0], [$line->used, $line->onTray]);
            }
        }
    }

    #[DataProvider('written')]
    public function testWhatAKitMakesIsRead(string $text, ?int $pieces, string $piece, string $title): void
    {
        $makes = Makes::read($text);
        self::assertSame([$pieces, $piece, $title], [$makes->pieces, $makes->piece, Makes::title($text)]);
    }

    /** @return iterable<string, array{string, int|null, string, string}> */
    public static function written(): iterable
    {
        yield 'a number, a size, a fold' => ['12 cards, A2, top fold', 12, 'card', 'Cards'];
        yield 'an adjective' => ['8 birthday cards, A2', 8, 'card', 'Birthday cards'];
        yield 'with something' => ['6 cards with bunting', 6, 'card', 'Cards with bunting'];
        yield 'a word for the number' => ['one 12 × 12 page', 1, 'page', '12 × 12 page'];
        yield 'boxes' => ['4 boxes', 4, 'box', 'Boxes'];
        yield 'strawberries' => ['3 strawberries', 3, 'strawberry', 'Strawberries'];
        yield 'a size is no number of pieces' => ['12 × 12 layout', null, 'piece', '12 × 12 layout'];
        yield 'no number' => ['Condolence, blue', null, 'piece', 'Condolence, blue'];
        yield 'a hyphen' => ['two-page spread', null, 'piece', 'two-page spread'];
        yield 'too many' => ['99999 tags', null, 'piece', '99999 tags'];
        yield 'nothing' => ['', null, 'piece', ''];
        yield 'only a number' => ['12', null, 'piece', '12'];
        yield 'another script' => ['3 كروت', 3, 'كروت', 'كروت'];
    }

    public function testReadinessSaysWhatStandsInTheWay(): void
    {
        self::assertSame('all 5 are here', (new Readiness(5, []))->inWords());
        self::assertTrue((new Readiness(5, []))->isReady());
        self::assertSame('the one thing is here', (new Readiness(1, []))->inWords());
        self::assertSame('its list is empty', (new Readiness(0, []))->inWords());
        self::assertFalse((new Readiness(0, []))->isReady());
        self::assertSame('3 of 5 are here; short of foam and mats', (new Readiness(5, ['foam', 'mats']))->inWords());
        $out = ['Terns' => 'with “Gulls”', 'Heat tool' => 'lent to Pelle', 'Punch' => 'lent to Maren'];
        $said = '1 of 5 is here; Terns is with “Gulls”; Heat tool is lent to Pelle; 1 more is out; short of ink';
        self::assertSame($said, (new Readiness(5, ['ink'], $out))->inWords());
        self::assertSame('4 of 5 are here; Terns is with “Gulls”', (new Readiness(5, [], ['Terns' => 'with “Gulls”']))->inWords());
        self::assertFalse((new Readiness(1, [], ['Terns' => 'with “Gulls”']))->isReady());
        self::assertSame('2 of 5 are here; short of foam, mats and 1 more', (new Readiness(5, ['foam', 'mats', 'ink']))->inWords());
    }

    public function testAKitWithoutPaperIsNotReady(): void
    {
        $kit = new Readiness(1, [], [], ['base', 'mat', 'panel']);
        self::assertFalse($kit->isReady());
        self::assertSame('the one thing is here; no paper yet for base, mat and 1 more', $kit->inWords());
        self::assertSame('no paper yet for base', (new Readiness(0, [], [], ['base']))->inWords());
    }
}
