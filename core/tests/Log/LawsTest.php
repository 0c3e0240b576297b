<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Log;

use Lottel\Core\Log\Audit;
use Lottel\Core\Log\Balances;
use Lottel\Core\Log\Movement;
use Lottel\Core\Log\Place;
use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\RefusedMovement;
use Lottel\Core\Log\Tracking;
use PHPUnit\Framework\TestCase;

final class LawsTest extends TestCase
{
    private Place $drawer;
    private Place $tray;
    private Place $bought;
    private Place $lost;

    protected function setUp(): void
    {
        $this->drawer = new Place(1, PlaceNature::Storage, 'C3');
        $this->tray = new Place(2, PlaceNature::Tray, 'tray 1');
        $this->bought = new Place(3, PlaceNature::Outside, 'bought');
        $this->lost = new Place(4, PlaceNature::Outside, 'lost');
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
        $balances = new Balances();
        $balances->post($this->move(3, $this->bought, $this->drawer));
        $this->expectException(RefusedMovement::class);
        $this->expectExceptionMessage('only 3 in C3');
        $balances->post($this->move(4, $this->drawer, $this->tray));
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
        foreach ([[0, Tracking::Count], [-1, Tracking::Count], [Tracking::MOST + 1, Tracking::Count], [2, Tracking::One], [9, Tracking::Level]] as [$quantity, $tracking]) {
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
        $places = [$this->drawer, $this->tray, $this->bought, $this->lost, new Place(5, PlaceNature::Storage, 'D1'), new Place(6, PlaceNature::Unfiled, 'not filed')];
        $trackings = [];
        foreach (range(1, 12) as $item) {
            $trackings[$item] = Tracking::cases()[$item % 4];
        }
        $balances = new Balances();
        $model = $posted = [];
        $refusals = 0;
        for ($i = 0; $i < 20000; ++$i) {
            $item = mt_rand(1, 12);
            [$from, $to] = [$places[mt_rand(0, 5)], $places[mt_rand(0, 5)]];
            $quantity = Tracking::One === $trackings[$item] ? mt_rand(0, 2) : mt_rand(-1, 9);
            $breaksLaw = $this->wouldBreak($model, $item, $quantity, $trackings[$item], $from, $to);
            try {
                $movement = Movement::of($item, $trackings[$item], $quantity, $from, $to, Reason::Move);
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
        $inside = array_combine(array_column($places, 'id'), array_map(static fn (Place $place): bool => $place->nature->isInside(), $places));
        self::assertSame([], (new Audit())->differences($balances->all(), $again->all(), $inside, $trackings));
    }

    public function testTheAuditFindsEachKindOfDifference(): void
    {
        $inside = [1 => true, 2 => true, 3 => false];
        $found = (new Audit())->differences(
            [1 => [1 => 5], 2 => [1 => -1, 3 => 1], 3 => [1 => 1, 2 => 1, 3 => -2]],
            [1 => [1 => 4], 2 => [1 => -1, 3 => 1], 3 => [1 => 1, 2 => 1, 3 => -2]],
            $inside,
            [1 => Tracking::Count, 2 => Tracking::Count, 3 => Tracking::One],
        );
        self::assertSame(['balance differs from the log', 'negative balance', 'a single thing in more than one place'], array_column($found, 'what'));
    }

    private function move(int $quantity, Place $from, Place $to, Tracking $tracking = Tracking::Count): Movement
    {
        return Movement::of(1, $tracking, $quantity, $from, $to, Reason::Move);
    }

    /** @param array<int, array<int, int>> $model */
    private function wouldBreak(array $model, int $item, int $quantity, Tracking $tracking, Place $from, Place $to): bool
    {
        $most = ['one' => 1, 'level' => 8][$tracking->value] ?? 1_000_000_000;
        if ($quantity < 1 || $quantity > $most || $from->id === $to->id || !$from->nature->isInside() && !$to->nature->isInside()) {
            return true;
        }
        if ($from->nature->isInside()) {
            return ($model[$item][$from->id] ?? 0) < $quantity;
        }
        $insideNow = array_sum(array_map(static fn (int $place): int => $model[$item][$place] ?? 0, [1, 2, 5, 6]));

        return Tracking::One === $tracking && $insideNow > 0;
    }
}
