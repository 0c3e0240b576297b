<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\PutAway;

use App\Kits\Kits\Kits;
use App\Kits\Kits\StartPull;
use App\Kits\Rounds\PullItem;
use App\Platform\Database\Row;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Log\LogBook;
use App\Room\Stores\Places;
use App\Tests\RoomTestCase;
use App\Upkeep\PutAway\LeftOutReading;
use Lottel\Core\Kit\Stage;
use Lottel\Core\Log\Outside;
use Lottel\Core\Log\Reason;

/** What lies about on several trays goes home in one round. */
final class PutAwayTest extends RoomTestCase
{
    private Item $gulls;
    private Item $ink;
    private Item $card;
    private int $one;
    private int $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->gulls] = $this->putInto('C1', 'Gulls');
        [$this->card] = $this->putInto('C2', 'Petrel card;;24');
        [$this->ink] = $this->putInto('C3', 'Petrel ink');
        $this->one = $this->pull('Storm cards', [[$this->gulls, 1, 'C1'], [$this->card, 4, 'C2']]);
        $this->other = $this->pull('Tern notes', [[$this->ink, 8, 'C3']]);
    }

    /** @param list<array{Item, int, string}> $things */
    private function pull(string $name, array $things): int
    {
        $id = $this->planKit($name, array_map(static fn (array $thing): array => [$thing[0], $thing[1]], $things));
        $this->step(function (Step $step) use ($id, $things): void {
            ($this->service(StartPull::class))($step, $this->kit($id));
            foreach ($things as [$item, $quantity, $from]) {
                $need = $this->service(Kits::class)->need($id, $this->needId($id, $item));
                $this->service(PullItem::class)->take($step, $need, $this->place($from), $quantity);
            }
            $this->kit($id)->goTo(Stage::Making);
        });

        return $id;
    }

    /** @return list<int> tasks in order */
    private function tasks(int $errand): array
    {
        return array_map(Row::number(...), $this->database()->fetchFirstColumn('SELECT id FROM errand_task WHERE errand_id = ? ORDER BY nth, id', [$errand]));
    }

    private function begin(): int
    {
        $this->postAndFollow('/upkeep/lying', ['kit' => [$this->one, $this->other]]);

        return $this->number('SELECT max(id) FROM errand');
    }

    public function testTwoTraysGoHomeInOneRound(): void
    {
        $this->get('/upkeep/lying');
        self::assertStringContainsString('2 kits out', $this->text());
        $errand = $this->begin();
        self::assertSame(['returning', 'returning'], [$this->stage($this->one), $this->stage($this->other)]);
        [$gulls, $card, $ink] = $this->tasks($errand);
        self::assertStringContainsString('from Storm cards', $this->text());
        $this->post("/upkeep/rounds/{$errand}/done", ['tasks' => [$gulls]]);
        $this->assertCode(409, 'stamps are cleaned first');
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$gulls], 'cared' => ['inky']]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$card]]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$ink]]);
        self::assertSame([1, 24, 8], [$this->balances($this->gulls)['C1'], $this->balances($this->card)['C2'], $this->balances($this->ink)['C3']]);
        self::assertSame('return', $this->word('SELECT reason FROM movement ORDER BY id DESC LIMIT 1'));
        self::assertStringContainsString('The round is over', $this->text());
        self::assertStringContainsString('Storm cards: what is left on its tray, or close it', $this->text());
    }

    public function testAStepOfItIsUndone(): void
    {
        $errand = $this->begin();
        [, $card] = $this->tasks($errand);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$card]]);
        $this->postAndFollow('/log/undo', [
            'step' => $this->word('SELECT request_id FROM movement ORDER BY id DESC LIMIT 1'),
            'back' => "/upkeep/rounds/{$errand}",
        ]);
        self::assertSame(['C2' => 20, 'bought' => -24, 'tray 1' => 4], $this->balances($this->card));
        self::assertSame('open', $this->word('SELECT state FROM errand_task WHERE id = ?', [$card]));
    }

    public function testWhatWentHomeOtherwiseIsToldAndLeftOut(): void
    {
        $errand = $this->begin();
        [, $card] = $this->tasks($errand);
        $this->postAndFollow("/kits/{$this->one}/return/home", ['items' => [(string) $this->card->id]]);
        $this->get("/upkeep/rounds/{$errand}");
        $this->post("/upkeep/rounds/{$errand}/done", ['tasks' => [$card]]);
        $this->assertCode(422);
        $this->postAndFollow("/upkeep/rounds/{$errand}/leave", ['task' => $card]);
        self::assertSame(24, $this->balances($this->card)['C2']);
    }

    public function testNothingChosenOrNothingOutBeginsNoRound(): void
    {
        $this->post('/upkeep/lying');
        $this->assertCode(409);
        $this->post('/upkeep/lying', ['kit' => ['999']]);
        $this->assertCode(404);
        $planned = $this->planKit('Later', [[$this->gulls, 1]]);
        $this->post('/upkeep/lying', ['kit' => [(string) $planned]]);
        $this->assertCode(409);
        self::assertSame(0, $this->number('SELECT count(*) FROM errand'));
    }

    public function testWhatIsMovedAroundAsksForAHome(): void
    {
        $this->step(function (Step $step): void {
            $this->item((int) $this->card->id)->giveHome(null);
        });
        $this->get('/upkeep/lying');
        self::assertStringContainsString('1 thing has no home', $this->text());
        self::assertStringContainsString('Petrel card', $this->text());
    }

    public function testWhatIsGivenAwayAsksForNoHome(): void
    {
        [$gone] = $this->putInto('C2', 'Gone card;;1');
        $this->step(function (Step $step) use ($gone): void {
            $item = $this->item((int) $gone->id);
            $away = $this->service(Places::class)->outside(Outside::GivenAway);
            $this->service(LogBook::class)->move($step, $item->moves(1, $this->place('C2'), $away, Reason::Discard));
            $item->giveHome(null);
        });
        self::assertSame([], $this->service(LeftOutReading::class)->homeless());
    }
}
