<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Lost;

use App\Kits\Kits\Kits;
use App\Kits\Kits\StartPull;
use App\Kits\Rounds\BringHome;
use App\Kits\Rounds\PullItem;
use App\Kits\Rounds\ReturnItem;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\KeepHomes;
use App\Room\Log\LogBook;
use App\Room\Stores\Places;
use App\Tests\RoomTestCase;
use App\Upkeep\Lost\LearnClues;
use App\Upkeep\Lost\LikelySpot;
use App\Upkeep\Lost\LostReading;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;
use Lottel\Core\Log\Why;
use Lottel\Core\Upkeep\Lost\Clue;
use Lottel\Core\Upkeep\Lost\Trail;

/** A lost thing is looked for where the log points, and what was found teaches where to look. */
final class LostTest extends RoomTestCase
{
    private Item $washi;
    private Item $gulls;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->washi] = $this->putInto('C4', 'Tide line dies');
        [$this->gulls] = $this->putInto('C1', 'Gulls');
    }

    /** The dies were on a tray with the gulls, which went home; they did not. */
    private function lose(): void
    {
        $id = $this->planKit('Storm cards', [[$this->washi, 1], [$this->gulls, 1]]);
        $this->step(function (Step $step) use ($id): void {
            ($this->service(StartPull::class))($step, $this->kit($id));
            foreach ([[$this->washi, 'C4'], [$this->gulls, 'C1']] as [$item, $from]) {
                $need = $this->service(Kits::class)->need($id, $this->needId($id, $item));
                $this->service(PullItem::class)->take($step, $need, $this->place($from), 1);
            }
        });
        $this->step(function (Step $step) use ($id): void {
            $kit = $this->kit($id);
            $this->service(BringHome::class)->begin($kit);
            $this->service(ReturnItem::class)->home($step, $kit, $this->item((int) $this->gulls->id), $this->place('C1'), ['inky']);
            $this->service(ReturnItem::class)->notHere($step, $kit, $this->item((int) $this->washi->id));
            $this->service(ReturnItem::class)->close($step, $kit);
        });
    }

    /** @return array<string, int> chance in percent by address */
    private function likely(): array
    {
        $chances = [];
        foreach ($this->service(LostReading::class)->search((int) $this->washi->id)->spots ?? [] as $spot) {
            $chances[$spot->address] = $spot->percent();
        }

        return $chances;
    }

    private function begin(): int
    {
        $this->lose();
        $this->postAndFollow('/upkeep/lost/'.$this->washi->id);

        return $this->number('SELECT max(id) FROM errand');
    }

    private function taskAt(int $errand, string $address): int
    {
        return $this->number('SELECT t.id FROM errand_task t JOIN place p ON p.id = t.place_id WHERE t.errand_id = ? AND p.address = ?', [$errand, $address]);
    }

    public function testTheLogPointsToWhereALostThingMayBe(): void
    {
        $this->lose();
        $chances = $this->likely();
        self::assertSame(['C1', 'C4', 'tray 1', 'C3', 'C5', ''], array_keys($chances));
        $page = $this->get('/upkeep/lost');
        self::assertStringContainsString('its last round went on there', $this->text());
        $shown = $page->filter('.likely-chance b')->each(static fn ($b): int => (int) $b->text());
        self::assertSame(100, array_sum($shown), 'what is shown adds up');
        self::assertStringContainsString('Tide line dies', $this->text());
    }

    public function testItIsFoundOnTheRoundAndGoesHome(): void
    {
        $errand = $this->begin();
        $this->postAndFollow("/upkeep/rounds/{$errand}/not-there", ['task' => $this->taskAt($errand, 'C4')]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/found", ['task' => $this->taskAt($errand, 'C1')]);
        self::assertStringContainsString('Tide line dies is found, in C1.', $this->text());
        self::assertSame(['basket 1' => 1, 'bought' => -1], $this->balances($this->washi));
        self::assertStringContainsString('Put Tide line dies', $this->text());
        $carry = $this->number("SELECT id FROM errand_task WHERE errand_id = ? AND what = 'carry'", [$errand]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$carry]]);
        self::assertSame(['C4' => 1, 'bought' => -1], $this->balances($this->washi));
        self::assertStringContainsString('The round is over', $this->text());
        self::assertSame(1, $this->number("SELECT count(*) FROM errand_task WHERE state = 'missed'"));
    }

    public function testFoundOnTheTableItGoesHomeAtOnce(): void
    {
        $errand = $this->begin();
        $this->postAndFollow("/upkeep/rounds/{$errand}/found", ['task' => $this->taskAt($errand, 'tray 1')]);
        self::assertSame(['C4' => 1, 'bought' => -1], $this->balances($this->washi));
    }

    public function testALookInVainCountsNextTime(): void
    {
        $errand = $this->begin();
        $before = $this->likely();
        $this->postAndFollow("/upkeep/rounds/{$errand}/not-there", ['task' => $this->taskAt($errand, 'C1')]);
        $after = $this->likely();
        self::assertLessThan($before['C1'] / 3, $after['C1']);
        self::assertGreaterThan($before['C4'], $after['C4']);
        $this->get('/upkeep/lost/'.$this->washi->id);
        self::assertStringContainsString('looked once', $this->text());
    }

    public function testWhatWasFoundTeachesWhereToLook(): void
    {
        $trail = new Trail([Clue::Round->value => [7], Clue::Table->value => [8]]);
        $before = $this->service(LearnClues::class)->weights()->chances($trail);
        for ($times = 0; $times < 3; ++$times) {
            $this->lose();
            $this->postAndFollow("/items/{$this->washi->id}/found", ['address' => 'C1']);
            $this->step(fn (Step $step) => $this->service(KeepHomes::class)->moveTo(
                $step,
                $this->item((int) $this->washi->id),
                $this->place('C4'),
                $this->place('C1'),
            ));
        }
        $after = $this->service(LearnClues::class)->weights()->chances($trail);
        self::assertGreaterThan($before[7], $after[7]);
        self::assertLessThan($before[8], $after[8]);
    }

    public function testOnlyWhatIsLostIsLookedFor(): void
    {
        $this->post('/upkeep/lost/'.$this->washi->id);
        $this->assertCode(409);
        self::assertStringContainsString('Nothing is left to do', $this->text());
        $this->get('/upkeep/lost/'.$this->washi->id);
        $this->assertCode(302);
        $this->get('/upkeep/lost');
        self::assertStringContainsString('Nothing is lost.', $this->text());
        $this->post('/upkeep/lost/999');
        $this->assertCode(404);
    }

    public function testAThingWithoutAHomeOrALogIsAnywhere(): void
    {
        $this->step(function (Step $step): void {
            $item = $this->item((int) $this->washi->id);
            $outside = $this->service(Places::class)->outside(Outside::Lost);
            $this->service(LogBook::class)->move($step, $item->moves(1, $this->place('C4'), $outside, Reason::Lose));
            $item->giveHome(null);
        });
        $spots = $this->service(LostReading::class)->search((int) $this->washi->id)->spots ?? [];
        self::assertSame([''], array_map(static fn (LikelySpot $spot): string => $spot->address, $spots));
        $this->get('/upkeep/lost');
        self::assertStringContainsString('Nothing in the log points anywhere', $this->text());
    }

    public function testALookInVainBeforeItWasFoundCountsNoMoreWhenItIsLostOnceMore(): void
    {
        $errand = $this->begin();
        $fresh = $this->likely();
        $this->postAndFollow("/upkeep/rounds/{$errand}/not-there", ['task' => $this->taskAt($errand, 'C1')]);
        self::assertLessThan($fresh['C1'], $this->likely()['C1']);
        $this->database()->executeStatement("UPDATE errand SET begun_at = '2026-01-01 10:00:00' WHERE id = ?", [$errand]);
        self::assertSame($fresh['C1'], $this->likely()['C1'], 'that look was for another loss');
    }

    public function testWhereTheLogDidNotBelieveItIsAClue(): void
    {
        $clues = function (?Why $why): array {
            $this->step(function (Step $step) use ($why): void {
                $item = $this->item((int) $this->washi->id);
                $log = $this->service(LogBook::class);
                $from = null === $why ? 'C4' : 'C3';
                $log->move($step, $item->moves(1, $this->place($from), $this->place('C5'), Reason::Move), null, 'was found here', $why);
                $lost = $log->move($step, $item->moves(1, $this->place('C5'), $this->service(Places::class)->outside(Outside::Lost), Reason::Lose));
                self::assertGreaterThan(0, $lost);
            });
            $spots = $this->service(LostReading::class)->search((int) $this->washi->id)->spots ?? [];
            $this->postAndFollow("/items/{$this->washi->id}/found", ['address' => 'C3']);

            return array_merge([], ...array_map(static fn (LikelySpot $spot): array => 'C5' === $spot->address ? $spot->likely->clues : [], $spots));
        };
        self::assertNotContains(Clue::Confused, $clues(null), 'it was carried there');
        self::assertContains(Clue::Confused, $clues(Why::FoundHere), 'it lay there');
    }

    public function testAFindThatWasPutRightIsNoClue(): void
    {
        $this->lose();
        $this->postAndFollow("/items/{$this->washi->id}/found", ['address' => 'C5']);
        $find = $this->number("SELECT max(id) FROM movement WHERE reason = 'found'");
        $this->step(function (Step $step): void {
            $lost = $this->service(Places::class)->outside(Outside::Lost);
            $this->service(LogBook::class)->move($step, $this->item((int) $this->washi->id)->moves(1, $this->place('C5'), $lost, Reason::Lose));
        });
        $clues = fn (): array => array_merge([], ...array_map(
            static fn (LikelySpot $spot): array => 'C5' === $spot->address ? $spot->likely->clues : [],
            $this->service(LostReading::class)->search((int) $this->washi->id)->spots ?? [],
        ));
        self::assertContains(Clue::Confused, $clues());
        $this->database()->executeStatement('DROP TRIGGER log_reversal_mirrors');
        $this->database()->executeStatement("INSERT INTO movement (item_id, from_id, to_id, account_id, reverses_id, quantity, at, reason, request_id)
            SELECT item_id, to_id, from_id, account_id, id, quantity, at, 'reverse', request_id FROM movement WHERE id = ?", [$find]);
        self::assertNotContains(Clue::Confused, $clues());
    }

    public function testAFindTeachesByTheLossBeforeItAndNotByItself(): void
    {
        $trail = new Trail([Clue::Round->value => [7], Clue::Confused->value => [8]]);
        $usual = $this->service(LearnClues::class)->weights()->chances($trail);
        $this->lose();
        $this->postAndFollow("/items/{$this->washi->id}/found", ['address' => 'C1']);
        $learnt = $this->service(LearnClues::class)->weights()->chances($trail);
        self::assertGreaterThan($usual[7], $learnt[7]);
        self::assertLessThan($usual[8], $learnt[8], 'that it was found there was no clue before it was');
        $this->step(function (Step $step): void {
            $lost = $this->service(Places::class)->outside(Outside::Lost);
            $this->service(LogBook::class)->move($step, $this->item((int) $this->washi->id)->moves(1, $this->place('C1'), $lost, Reason::Lose));
        });
        self::assertSame($learnt, $this->service(LearnClues::class)->weights()->chances($trail), 'lost once more, nothing is learnt before it is found');
    }
}
