<?php

declare(strict_types=1);

namespace App\Tests\Room\Log;

use App\Kits\Kits\Kits;
use App\Kits\Rounds\PullItem;
use App\Platform\Steps\Step;
use App\Room\Catalogue\CountThing;
use App\Room\Catalogue\Item;
use App\Room\Log\LogBook;
use App\Room\Stores\Place;
use App\Room\Stores\Places;
use App\Tests\RoomTestCase;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Upkeep\Counting\CountReason;

/** The views that all readings share, in a small room in which each of their conditions matters. */
final class StockViewsTest extends RoomTestCase
{
    private Item $petrel;
    private Item $gull;
    private int $kit;
    private int $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->petrel, $this->gull] = $this->putInto('C2', 'Petrel card;;24', 'Gull card;;10');
        $this->kit = $this->planKit('Terns', [[$this->petrel, 6], [$this->gull, 1]]);
        $this->other = $this->planKit('Boats', [[$this->petrel, 4]]);
    }

    public function testWhatIsHereLiesInDrawersOrIsNotFiledAndWhatIsOutIsOnTrays(): void
    {
        $this->pull($this->kit, 5);
        $this->move($this->petrel, 3, $this->place('C2'), $this->places()->heap(), Reason::Move);
        self::assertSame([19, 24], [$this->stock('here'), $this->stock('in_room')]);
        self::assertSame([10, 10], [$this->stock('here', $this->gull), $this->stock('in_room', $this->gull)], 'another thing’s');

        $tray = $this->tray($this->kit);
        $this->move($this->petrel, 2, $tray, $this->outside(Outside::UsedUp), Reason::Use, $this->kit);
        self::assertSame([19, 22], [$this->stock('here'), $this->stock('in_room')]);
        self::assertSame([[$this->kit, 3]], $this->rows('SELECT kit_id, quantity FROM lies_out WHERE item_id = ?', $this->petrel));
        $this->move($this->petrel, 3, $tray, $this->outside(Outside::Lost), Reason::Lose, $this->kit);
        self::assertSame([], $this->rows('SELECT kit_id, quantity FROM lies_out WHERE item_id = ?', $this->petrel));
        self::assertSame([19, 19], [$this->stock('here'), $this->stock('in_room')], 'lost is outside');
        self::assertSame([[16], [3]], $this->rows('SELECT quantity FROM lies_here WHERE item_id = ? ORDER BY quantity DESC', $this->petrel));
    }

    public function testOpenKitsWantWhatTheyHaveNotTaken(): void
    {
        self::assertSame(10, $this->stock('wanted'));
        self::assertSame(1, $this->stock('wanted', $this->gull));
        $this->pull($this->kit, 5);
        self::assertSame(5, $this->stock('wanted'), 'one is still to be taken, and four by the other');
        $this->database()->update('need', ['state' => 'fewer'], ['id' => $this->needId($this->kit, $this->petrel)]);
        self::assertSame(4, $this->stock('wanted'), 'a settled line wants nothing');
        $this->database()->update('need', ['taken' => 7], ['id' => $this->needId($this->other, $this->petrel)]);
        self::assertSame(0, $this->stock('wanted'), 'whoever took more wants nothing back');
    }

    public function testAClosedKitAndADeletedOneWantNothing(): void
    {
        $this->database()->update('kit', ['stage' => 'closed'], ['id' => $this->other]);
        self::assertSame(6, $this->stock('wanted'));
        $this->database()->update('kit', ['removed_at' => '2026-12-01 10:00:00'], ['id' => $this->kit]);
        self::assertSame(0, $this->stock('wanted'));
        self::assertSame([], $this->rows('SELECT need_id FROM open_want WHERE item_id = ?', $this->gull));
    }

    public function testUsedIsWhatWentForGoodAndWasNotPutRight(): void
    {
        $this->pull($this->kit, 5);
        [$tray, $usedUp] = [$this->tray($this->kit), $this->outside(Outside::UsedUp)];
        $this->move($this->petrel, 2, $tray, $usedUp, Reason::Use, $this->kit);
        $this->move($this->petrel, 1, $tray, $usedUp, Reason::Cut, $this->kit);
        $wrong = $this->move($this->petrel, 1, $tray, $usedUp, Reason::Use, $this->kit);
        $this->putRight($wrong);
        $this->move($this->gull, 4, $this->place('C2'), $this->outside(Outside::GivenAway), Reason::Discard);
        self::assertSame([['use', 2], ['cut', 1]], $this->uses($this->petrel), 'what is made of a cut is no use, nor what was put right');
        self::assertSame([], $this->uses($this->gull), 'given away is not used');

        $this->found($this->gull, 4, CountReason::UsedUnlogged);
        self::assertSame([['count', 2]], $this->uses($this->gull));
        $this->found($this->gull, 3, CountReason::Miscounted);
        $this->found($this->gull, 5, CountReason::CameUnlogged);
        self::assertSame([['count', 2]], $this->uses($this->gull), 'a count that was wrong is no use');
        $this->move($this->petrel, 2, $this->outside(Outside::MadeHere), $tray, Reason::Cut, $this->kit);
        self::assertSame([['use', 2], ['cut', 1]], $this->uses($this->petrel), 'what came out of a cut was not used');
    }

    public function testMadeIsWhatWasNotPutRight(): void
    {
        $this->pull($this->kit, 5);
        $wrong = $this->move($this->gull, 3, $this->outside(Outside::MadeHere), $this->tray($this->kit), Reason::Make, $this->kit);
        $this->move($this->gull, 2, $this->outside(Outside::MadeHere), $this->tray($this->kit), Reason::Make, $this->kit);
        $this->putRight($wrong);
        self::assertSame([[$this->kit, 2]], $this->rows('SELECT kit_id, quantity FROM piece_made WHERE item_id = ?', $this->gull));
    }

    public function testWhatCameAndWentIsToldApartAlsoWhereItWasPutRight(): void
    {
        $this->move($this->gull, 3, $this->place('C2'), $this->place('C3'), Reason::Move);
        $wrong = $this->move($this->gull, 4, $this->place('C2'), $this->outside(Outside::GivenAway), Reason::Discard);
        $this->move($this->gull, 2, $this->place('C2'), $this->outside(Outside::Sold), Reason::Discard);
        $this->putRight($wrong);
        $all = 'SELECT came, went, stands FROM came_and_went WHERE item_id = ? ORDER BY movement_id';
        self::assertSame([[10, 0, 1], [0, 4, 0], [0, 2, 1], [4, 0, 0]], $this->rows($all, $this->gull), 'what moved within the room is no part of it');
    }

    private function pull(int $kit, int $quantity): void
    {
        $this->postAndFollow("/kits/{$kit}/pull");
        $need = $this->needId($kit, $this->petrel);
        $this->step(function (Step $step) use ($kit, $need, $quantity): void {
            $this->service(PullItem::class)->take($step, $this->service(Kits::class)->need($kit, $need), $this->place('C2'), $quantity);
        });
        self::assertSame($quantity, $this->number('SELECT quantity FROM lies_out WHERE item_id = ? AND kit_id = ?', [$this->petrel->id, $kit]));
    }

    private function move(Item $item, int $quantity, Place $from, Place $to, Reason $reason, ?int $kit = null): int
    {
        $line = 0;
        $for = null === $kit ? null : $this->kit($kit)->inLog();
        $this->step(function (Step $step) use ($item, $quantity, $from, $to, $reason, $for, &$line): void {
            $line = $this->service(LogBook::class)->move($step, $item->moves($quantity, $from, $to, $reason), $for);
        });

        return $line;
    }

    private function putRight(int $line): void
    {
        $this->step(function (Step $step) use ($line): void {
            $this->service(LogBook::class)->reverse($step, $line);
        });
    }

    private function found(Item $item, int $there, CountReason $reason): void
    {
        $this->step(function (Step $step) use ($item, $there, $reason): void {
            ($this->service(CountThing::class))($step, $this->item((int) $item->id), $this->place('C2'), $there, $reason->value, $reason->why());
        });
    }

    private function stock(string $column, ?Item $item = null): int
    {
        return $this->number("SELECT {$column} FROM stock_of_item WHERE item_id = ?", [($item ?? $this->petrel)->id]);
    }

    /** @return list<list<mixed>> */
    private function uses(Item $item): array
    {
        return $this->rows('SELECT reason, quantity FROM use_of_item WHERE item_id = ? ORDER BY movement_id', $item);
    }

    /** @return list<list<mixed>> */
    private function rows(string $sql, Item $item): array
    {
        return $this->database()->fetchAllNumeric($sql, [$item->id]);
    }

    private function tray(int $kit): Place
    {
        return $this->kit($kit)->trayInUse();
    }

    private function outside(Outside $outside): Place
    {
        return $this->places()->outside($outside);
    }

    private function places(): Places
    {
        return $this->service(Places::class);
    }
}
