<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Log;

use Lottel\Core\Log\Audit;
use Lottel\Core\Log\Balances;
use Lottel\Core\Log\LoggedPlace;
use Lottel\Core\Log\Movement;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\RefusedRetracking;
use Lottel\Core\Log\Retracking;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthUnit;
use PHPUnit\Framework\TestCase;

final class LawsTest extends TestCase
{
    /** Why a thing may go from where to where; the list of the trade, kept apart from the code that is tested. */
    private const LINKS = [
        'bought > store' => [Reason::TakeIn],
        'store > tray' => [Reason::Pull],
        'tray > store' => [Reason::PutBack],
        'store > store' => [Reason::Move],
        'store > lost' => [Reason::Lose],
        'tray > lost' => [Reason::Lose],
        'lost > store' => [Reason::FindAgain],
        'store > person' => [Reason::Lend],
        'person > store' => [Reason::PutBack],
        'person > lost' => [Reason::Lose],
        'borrowed > store' => [Reason::TakeIn],
        'store > borrowed' => [Reason::GiveBack],
    ];

    private LoggedPlace $drawer;
    private LoggedPlace $tray;
    private LoggedPlace $bought;
    private LoggedPlace $lost;

    protected function setUp(): void
    {
        $this->drawer = new LoggedPlace(1, PlaceNature::Storage, 'C3');
        $this->tray = new LoggedPlace(2, PlaceNature::Tray, 'tray 1');
        $this->bought = new LoggedPlace(3, PlaceNature::Outside, 'bought');
        $this->lost = new LoggedPlace(4, PlaceNature::Outside, 'lost');
    }

    public function testABalanceIsWhatCameInLessWhatWentOut(): void
    {
        $balances = new Balances();
        $balances->post($this->move(12, $this->bought, $this->drawer));
        $balances->post($this->move(5, $this->drawer, $this->tray));
        self::assertSame([7, 5, -12], [$balances->of(1, 1), $balances->of(1, 2), $balances->of(1, 3)]);
    }

    public function testMoreThanThereIsCannotLeave(): void
    {
        $text = new QuantityText(LengthUnit::Inch);
        foreach (
            [
                [Tracking::Count, 3, 'There are only 3 in C3.'],
                [Tracking::Count, 1, 'There is only 1 in C3.'],
                [Tracking::Length, 3 * 8128, 'There is only so much in C3: 3 in.'],
                [Tracking::Level, 3, 'There is only so much in C3: ⅜ full.'],
            ] as [$tracking, $there, $said]
        ) {
            $balances = new Balances();
            $balances->post($this->move($there, $this->bought, $this->drawer, $tracking));
            try {
                $balances->post($this->move($there + 1, $this->drawer, $this->tray, $tracking));
                self::fail('It left.');
            } catch (RefusedMovement $refused) {
                self::assertSame($said, $refused->inWords($text));
                self::assertStringNotContainsString((string) (3 * 8128), $refused->getMessage(), 'nobody thinks in ticks');
            }
        }
    }

    public function testASingleThingIsInOnePlace(): void
    {
        $balances = new Balances();
        $balances->post($this->move(1, $this->bought, $this->drawer, Tracking::One));
        $this->expectException(RefusedMovement::class);
        $balances->post($this->move(1, $this->bought, $this->tray, Tracking::One));
    }

    public function testQuantitiesAreWholeAndInRange(): void
    {
        foreach (
            [[0, Tracking::Count], [-1, Tracking::Count], [Tracking::MOST + 1, Tracking::Count], [2, Tracking::One],
                [9, Tracking::Level]] as [$quantity, $tracking]
        ) {
            try {
                $this->move($quantity, $this->drawer, $this->tray, $tracking);
                self::fail("{$quantity} moved");
            } catch (RefusedMovement $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }

    public function testAMovementTouchesTheRoomAndGoesSomewhere(): void
    {
        foreach ([[$this->bought, $this->lost], [$this->drawer, $this->drawer]] as [$from, $to]) {
            try {
                $this->move(1, $from, $to);
                self::fail('moved');
            } catch (RefusedMovement $refused) {
                self::assertNotSame('', $refused->getMessage());
            }
        }
    }

    public function testAReversalPutsEverythingBack(): void
    {
        $balances = new Balances();
        $balances->post($this->move(9, $this->bought, $this->drawer));
        $before = $balances->all();
        $pull = $this->move(4, $this->drawer, $this->tray);
        $balances->post($pull);
        $balances->post($pull->reversed());
        self::assertSame($before, $balances->all());
    }

    /**
     * Twenty thousand random movements, most of them foolish. Against a plain list of all things as the model: what the
     * core lets through keeps every law, and what it refuses would have broken one.
     */
    public function testRandomMovementsNeverBreakALaw(): void
    {
        mt_srand(1931);
        $places = [
            $this->drawer,
            $this->tray,
            $this->bought,
            $this->lost,
            new LoggedPlace(5, PlaceNature::Storage, 'D1'),
            new LoggedPlace(6, PlaceNature::Unfiled, 'not filed'),
            new LoggedPlace(7, PlaceNature::Tray, 'lent to Maren', false, true),
            new LoggedPlace(8, PlaceNature::Outside, 'borrowed'),
        ];
        $trackings = [];
        foreach (range(1, 12) as $item) {
            $trackings[$item] = Tracking::cases()[$item % 4];
        }
        $balances = new Balances();
        $model = $posted = [];
        $refusals = 0;
        for ($i = 0; $i < 20000; ++$i) {
            $item = mt_rand(1, 12);
            [$from, $to] = [$places[mt_rand(0, 7)], $places[mt_rand(0, 7)]];
            $quantity = Tracking::One === $trackings[$item] ? mt_rand(0, 2) : mt_rand(-1, 9);
            $usual = self::LINKS[$this->sort($from).' > '.$this->sort($to)] ?? [];
            $reason = [] !== $usual && mt_rand(0, 9) > 0 ? $usual[array_rand($usual)] : Reason::cases()[mt_rand(0, \count(Reason::cases()) - 2)];
            $breaksLaw = !\in_array($reason, $usual, true) || $this->wouldBreak($model, $item, $quantity, $trackings[$item], $from, $to);
            try {
                $movement = Movement::of($item, $trackings[$item], $quantity, $from, $to, $reason);
                $balances->post($movement);
                self::assertFalse($breaksLaw, "movement {$i} was let through");
                $model[$item][$from->id] = ($model[$item][$from->id] ?? 0) - $quantity;
                $model[$item][$to->id] = ($model[$item][$to->id] ?? 0) + $quantity;
                $posted[] = $movement;
            } catch (RefusedMovement) {
                self::assertTrue($breaksLaw, "movement {$i} was refused for no reason");
                ++$refusals;
            }
        }
        self::assertGreaterThan(1000, \count($posted));
        self::assertGreaterThan(1000, $refusals);
        $again = new Balances();
        array_walk($posted, $again->apply(...));
        self::assertSame([], (new Audit())->differences($balances->all(), $again->all(), array_column($places, null, 'id'), $trackings));
    }

    public function testTheAuditFindsEachKindOfDifference(): void
    {
        $places = [1 => $this->drawer, 2 => $this->tray, 3 => $this->bought, 4 => new LoggedPlace(4, PlaceNature::Storage, 'D9', true)];
        $found = (new Audit())->differences(
            [1 => [1 => 5], 2 => [1 => -1, 3 => 1], 3 => [1 => 1, 2 => 1, 3 => -2], 4 => [4 => 7]],
            [1 => [1 => 4], 2 => [1 => -1, 3 => 1], 3 => [1 => 1, 2 => 1, 3 => -2], 4 => [4 => 7]],
            $places,
            [1 => Tracking::Count, 2 => Tracking::Count, 3 => Tracking::One],
        );
        self::assertSame(
            [
                'balance differs from the log',
                'negative balance',
                'a single thing in more than one place',
                'something in a place that is no longer in use',
            ],
            array_column($found, 'what'),
        );
    }

    public function testTheAuditFindsMovementsThatNoLawAllows(): void
    {
        $audit = new Audit();
        $pull = Movement::recorded(1, Tracking::Count, 900_000, new LoggedPlace(9, PlaceNature::Outside, 'given'), $this->tray, Reason::Pull);
        self::assertStringContainsString('does not lead from given', (string) $audit->unlawful($pull, true, false));
        self::assertStringContainsString(
            'without a kit',
            (string) $audit->unlawful($this->move(1, $this->drawer, $this->tray, Tracking::Count, Reason::Pull), false, false),
        );
        self::assertStringContainsString(
            'no longer in use',
            (string) $audit->unlawful($this->move(1, $this->drawer, $this->tray, Tracking::Count, Reason::Pull), true, true),
        );
        self::assertNull($audit->unlawful($this->move(1, $this->drawer, $this->tray, Tracking::Count, Reason::Pull), true, false));
    }

    public function testNothingMovesIntoOrOutOfAPlaceThatIsNoLongerInUse(): void
    {
        $gone = new LoggedPlace(8, PlaceNature::Storage, 'D4', true);
        $balances = new Balances();
        $balances->load(1, $this->drawer, 5);
        $balances->load(1, $gone, 5);
        foreach ([[$this->drawer, $gone], [$gone, $this->drawer]] as [$from, $to]) {
            try {
                $balances->post($this->move(1, $from, $to));
                self::fail('It moved.');
            } catch (RefusedMovement $refused) {
                self::assertSame('D4 is no longer in use; nothing goes into it or comes out of it.', $refused->getMessage());
            }
        }
    }

    public function testAnItemMayBeCountedInAnotherWayFromAPointOfTheLogOn(): void
    {
        $inTicks = Retracking::of(Tracking::Count, Tracking::Length, 2, 5 * 8128);
        $balances = new Balances();
        $balances->load(1, $this->bought, -12);
        $balances->load(1, $this->drawer, 12);
        $balances->convert(1, $inTicks);
        self::assertSame([3 => -30 * 8128, 1 => 30 * 8128], $balances->all()[1]);
        self::assertSame(20320, $inTicks->exactly(1, 'C2'), 'one piece is two and a half inches');
        $this->expectException(RefusedRetracking::class);
        Retracking::of(Tracking::Length, Tracking::Count, 8128, 1)->exactly(12192, 'C2');
    }

    private function move(int $quantity, LoggedPlace $from, LoggedPlace $to, Tracking $tracking = Tracking::Count, ?Reason $reason = null): Movement
    {
        return Movement::of(1, $tracking, $quantity, $from, $to, $reason ?? self::LINKS[$this->sort($from).' > '.$this->sort($to)][0] ?? Reason::Move);
    }

    private function sort(LoggedPlace $place): string
    {
        return match (true) {
            PlaceNature::Outside === $place->nature => $place->label,
            $place->isPerson => 'person',
            default => PlaceNature::Tray === $place->nature ? 'tray' : 'store',
        };
    }

    /** @param array<int, array<int, int>> $model */
    private function wouldBreak(array $model, int $item, int $quantity, Tracking $tracking, LoggedPlace $from, LoggedPlace $to): bool
    {
        $most = ['one' => 1, 'level' => 8][$tracking->value] ?? 1_000_000_000;
        if ($quantity < 1 || $quantity > $most || $from->id === $to->id || !$from->nature->isInside() && !$to->nature->isInside()) {
            return true;
        }
        if ($from->nature->isInside()) {
            return ($model[$item][$from->id] ?? 0) < $quantity;
        }
        $insideNow = array_sum(array_map(static fn (int $place): int => $model[$item][$place] ?? 0, [1, 2, 5, 6, 7]));

        return Tracking::One === $tracking && $insideNow > 0;
    }

    public function testWhatIsWantedIsOneAtTheLeastInTheNewWay(): void
    {
        $packs = Retracking::of(Tracking::Length, Tracking::Count, 50, 1);
        self::assertSame([1, 1, 2, 3], array_map($packs->wanted(...), [1, 50, 100, 149]));
        self::assertSame(1, Retracking::of(Tracking::Count, Tracking::One, 1, 1)->wanted(7), 'it is pulled whole');
    }
}
