<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Rounds;

use App\Kits\Kits\Kits;
use App\Kits\Kits\StartPull;
use App\Kits\Rounds\BringHome;
use App\Kits\Rounds\PullItem;
use App\Kits\Rounds\ReturnItem;
use App\Platform\Steps\Step;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\KeepHomes;
use App\Room\Stores\BuildUnit;
use App\Room\Stores\Room;
use App\Tests\RoomTestCase;
use App\Upkeep\Rehoming\FindBetterHomes;
use Lottel\Core\Furniture\UnitTemplate;
use Lottel\Core\Upkeep\Better\BetterHome;
use PHPUnit\Framework\Attributes\DataProvider;

/** Rounds of upkeep: things move to better homes, by way of a basket, and every step can be undone. */
final class UpkeepRoundTest extends RoomTestCase
{
    private Item $foam;
    private Item $lamp;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        $room = $this->entities()->getRepository(Room::class)->findOneBy([]) ?? throw new \LogicException();
        ($this->service(BuildUnit::class))($room, UnitTemplate::Cubes, 'F', 'cubes', 'north wall', 4, 1);
        $this->entities()->flush();
        $this->foam = $this->putInto('F4', 'Foam squares;;90')[0];
        $this->lamp = $this->putInto('F1', 'Foam strips;;12')[0];
    }

    private function fetch(Item $item, int $times): void
    {
        for (; $times > 0; --$times) {
            $id = $this->planKit('Evening '.$times, [[$item, 3]]);
            $this->step(function (Step $step) use ($id, $item): void {
                $kit = $this->kit($id);
                ($this->service(StartPull::class))($step, $kit);
                $need = $this->service(Kits::class)->need($id, $this->needId($id, $item));
                $this->service(PullItem::class)->take($step, $need, $this->place('F4'), 3);
            });
            $this->step(function (Step $step) use ($id, $item): void {
                $kit = $this->kit($id);
                $this->service(BringHome::class)->begin($kit);
                $this->service(ReturnItem::class)->home($step, $kit, $this->item((int) $item->id), $this->place('F4'), []);
                $this->service(ReturnItem::class)->close($step, $kit);
            });
        }
    }

    /** @return array{int, string} the round, and where the foam squares go */
    private function begin(): array
    {
        $this->fetch($this->foam, 8);
        $page = $this->get('/upkeep/homes?look=1&most=5');
        $this->assertCode(200);
        $key = (string) $page->filter('input[name="exchange[]"]')->attr('value');
        $moves = array_values(array_filter(
            $this->service(FindBetterHomes::class)->find(5)->plan->moves(),
            fn (BetterHome $move): bool => $move->household->things[0]->id === $this->foam->id,
        ));
        $this->postAndFollow('/upkeep/homes', ['most' => '5', 'exchange' => [$key]]);

        return [$this->number('SELECT max(id) FROM errand'), $moves[0]->to->address];
    }

    private function task(int $errand): int
    {
        return $this->number('SELECT min(id) FROM errand_task WHERE errand_id = ? AND item_id = ?', [$errand, $this->foam->id]);
    }

    public function testWhatIsFetchedOftenMovesNearerByWayOfABasket(): void
    {
        [$errand, $to] = $this->begin();
        self::assertNotSame('F4', $to);
        $task = $this->task($errand);
        self::assertStringContainsString('Take Foam squares', $this->text());
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        self::assertStringContainsString('Foam squares is in basket 1.', $this->text());
        self::assertSame(90, $this->balances($this->foam)['basket 1']);
        self::assertSame('F4', $this->item((int) $this->foam->id)->home?->address, 'its home is the old one until it is put down');
        $this->get('/items/'.$this->foam->id);
        self::assertStringContainsString('out: basket 1', $this->text());
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        self::assertStringContainsString('Foam squares is home.', $this->text());
        self::assertSame(90, $this->balances($this->foam)[$to]);
        self::assertSame($to, $this->item((int) $this->foam->id)->home?->address);
        self::assertStringContainsString('The round is over', $this->text());
        self::assertSame(1, $this->number('SELECT count(*) FROM errand WHERE ended_at IS NOT NULL'));
    }

    public function testEachStepOfARoundIsUndoneWhole(): void
    {
        [$errand, $to] = $this->begin();
        $task = $this->task($errand);
        $before = [$this->balances($this->foam), $this->word('SELECT state FROM errand_task WHERE id = ?', [$task])];
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        self::assertSame(90, $this->balances($this->foam)[$to]);
        foreach ([1, 2] as $_) {
            $last = $this->word("SELECT c.request_id FROM step_change c JOIN write_request w ON w.id = c.request_id
                WHERE w.undone_by IS NULL AND w.is_undoable AND c.subject = 'movement' ORDER BY c.id DESC");
            $this->postAndFollow('/log/undo', ['step' => $last, 'back' => "/upkeep/rounds/{$errand}"]);
        }
        self::assertSame($before, [$this->balances($this->foam), $this->word('SELECT state FROM errand_task WHERE id = ?', [$task])]);
        self::assertSame('F4', $this->item((int) $this->foam->id)->home?->address);
        self::assertSame(0, $this->number('SELECT count(*) FROM errand WHERE ended_at IS NOT NULL'), 'and the round goes on');
    }

    public function testWhatIsOutCannotBeCarriedAndLivesThereAllTheSame(): void
    {
        [$errand, $to] = $this->begin();
        $task = $this->task($errand);
        $id = $this->planKit('In between', [[$this->foam, 90]]);
        $this->step(function (Step $step) use ($id): void {
            ($this->service(StartPull::class))($step, $this->kit($id));
            $need = $this->service(Kits::class)->need($id, $this->needId($id, $this->foam));
            $this->service(PullItem::class)->take($step, $need, $this->place('F4'), 90);
        });
        $this->post("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        $this->assertCode(409);
        self::assertStringContainsString('Foam squares is not in F4: it is tray 1.', $this->text());
        self::assertStringContainsString('It is not here: out, tray 1.', $this->text());
        $this->postAndFollow("/upkeep/rounds/{$errand}/settle", ['task' => $task]);
        self::assertSame($to, $this->item((int) $this->foam->id)->home?->address);
        self::assertSame(['bought' => -90, 'tray 1' => 90], $this->balances($this->foam), 'it comes home there');
    }

    public function testACarriedThingGoesBackAndNothingChanged(): void
    {
        [$errand] = $this->begin();
        $task = $this->task($errand);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        $this->post("/upkeep/rounds/{$errand}/end");
        $this->assertCode(409);
        self::assertStringContainsString('Something is still in basket 1', $this->text());
        $this->postAndFollow("/upkeep/rounds/{$errand}/back", ['task' => $task]);
        self::assertSame(['F4' => 90, 'bought' => -90], $this->balances($this->foam));
        self::assertSame('F4', $this->item((int) $this->foam->id)->home?->address);
    }

    public function testAPlaceThatIsGoneTakesNothingIn(): void
    {
        [$errand, $to] = $this->begin();
        $task = $this->task($errand);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        $this->database()->executeStatement('UPDATE item SET home_id = NULL WHERE home_id = (SELECT id FROM place WHERE address = ?)', [$to]);
        $this->step(function (Step $step) use ($to): void {
            $this->place($to)->retire($step->at);
        });
        $this->post("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        $this->assertCode(409);
        self::assertStringContainsString("Foam squares cannot go to {$to}: that place is no longer in use.", $this->text());
        $this->postAndFollow("/upkeep/rounds/{$errand}/back", ['task' => $task]);
        self::assertSame(90, $this->balances($this->foam)['F4']);
    }

    public function testWhatWasFoundIsKeptUntilSomethingChanges(): void
    {
        $this->fetch($this->foam, 8);
        $homes = $this->service(FindBetterHomes::class);
        self::assertNull($homes->kept(5));
        $found = $homes->find(5);
        self::assertEquals($found, $homes->kept(5));
        $this->get('/upkeep/homes?most=5');
        self::assertStringContainsString('Walk it now', $this->text());
        $this->putInto('C1', 'Gulls');
        self::assertNull($homes->kept(5));
        $this->get('/upkeep/homes?most=5');
        self::assertStringContainsString('Looking through the log', $this->text());
    }

    public function testOneRoundDoesSeveralThings(): void
    {
        [$dies] = $this->putInto('C4', 'Tide line dies');
        $this->fetch($this->foam, 8);
        $this->postAndFollow('/stores/places/C4/count', ['count-'.$dies->id => '0', 'why-'.$dies->id => 'lost', '_form' => 'sheet']);
        $this->get('/upkeep/homes?look=1');
        $this->get('/upkeep');
        self::assertStringContainsString('one round does both', $this->text());
        $this->postAndFollow('/upkeep');
        self::assertSame(['carry', 'look'], $this->database()->fetchFirstColumn('SELECT DISTINCT what FROM errand_task ORDER BY what'));
        self::assertStringContainsString('for what is lost', $this->text());
        $this->signIn('hank');
        $this->post('/upkeep');
        $this->assertCode(403);
    }

    public function testAnOldPageMovesNothing(): void
    {
        $this->fetch($this->foam, 8);
        $page = $this->get('/upkeep/homes?look=1&most=5');
        $key = (string) $page->filter('input[name="exchange[]"]')->attr('value');
        $this->step(fn (Step $step) => $this->service(KeepHomes::class)->giveHome($step, $this->item((int) $this->foam->id), $this->place('F2')));
        $this->post('/upkeep/homes', ['most' => '5', 'exchange' => [$key]]);
        $this->assertCode(409);
        self::assertStringContainsString('The room has changed since these moves were found', $this->text());
        self::assertSame(0, $this->number('SELECT count(*) FROM errand'));
        $this->post('/upkeep/homes', ['most' => '5', 'exchange' => ['999-1']]);
        $this->assertCode(409);
        $this->post('/upkeep/homes', ['most' => '5']);
        $this->assertCode(409, 'nothing was chosen');
        $this->post('/upkeep/homes', ['most' => '5000', 'exchange' => [$key]]);
        $this->assertCode(422);
    }

    public function testAHelperWalksARoundAndDoesNotBeginOne(): void
    {
        [$errand, $to] = $this->begin();
        $this->signIn('hank');
        $this->post('/upkeep/homes', ['most' => '5', 'exchange' => ['1-1']]);
        $this->assertCode(403);
        $task = $this->task($errand);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        self::assertSame(90, $this->balances($this->foam)[$to]);
    }

    public function testTwoPeopleDoATaskOnce(): void
    {
        [$errand] = $this->begin();
        $task = $this->task($errand);
        $this->postAndFollow("/upkeep/rounds/{$errand}/leave", ['task' => $task]);
        foreach (['leave', 'back', 'settle', 'found', 'not-there'] as $step) {
            $this->post("/upkeep/rounds/{$errand}/{$step}", ['task' => $task]);
            $this->assertCode(409, $step);
        }
        self::assertSame(90, $this->balances($this->foam)['F4']);
        $this->post("/upkeep/rounds/{$errand}/done", ['tasks' => ['999999']]);
        $this->assertCode(409);
        $this->get('/upkeep/rounds/999');
        $this->assertCode(404);
    }

    public function testWhatLiesInTheWrongPlaceGoesHomeOnTheWay(): void
    {
        [$errand] = $this->begin();
        [$die] = $this->putInto('C4', 'Kelp dies');
        [$card] = $this->putInto('C2', 'Gull card;;24');
        $page = $this->get("/upkeep/rounds/{$errand}?q=kelp");
        self::assertCount(1, $page->filter('.belongs-elsewhere .row .button'));
        $this->postAndFollow("/upkeep/rounds/{$errand}/also", ['item' => $die->id, 'place' => 'F4']);
        self::assertStringContainsString('was in F4; it goes home to C4 on this round.', $this->text());
        self::assertSame(1, $this->balances($die)['basket 1']);
        self::assertSame(1, $this->number("SELECT count(*) FROM movement WHERE item_id = ? AND why = 'found here'", [$die->id]));
        $task = $this->number('SELECT id FROM errand_task WHERE item_id = ?', [$die->id]);
        $this->postAndFollow("/upkeep/rounds/{$errand}/done", ['tasks' => [$task]]);
        self::assertSame(1, $this->balances($die)['C4']);
        $this->post("/upkeep/rounds/{$errand}/also", ['item' => $die->id, 'place' => 'C4']);
        $this->assertCode(409);
        self::assertStringContainsString('is at home in C4', $this->text());
        $this->post("/upkeep/rounds/{$errand}/also?q=gull", ['item' => $card->id, 'place' => 'F4', 'quantity' => 'some', '_form' => 'also-'.$card->id]);
        $this->assertCode(422);
        $this->post("/upkeep/rounds/{$errand}/also?q=gull", ['item' => $card->id, 'place' => 'F4', 'quantity' => '25']);
        $this->assertCode(409, 'more than there are');
        $this->postAndFollow("/upkeep/rounds/{$errand}/also", ['item' => $card->id, 'place' => 'F4', 'quantity' => '3']);
        self::assertSame(['C2' => 21, 'basket 1' => 3, 'bought' => -24], $this->balances($card));
        $this->post("/upkeep/rounds/{$errand}/also", ['item' => $this->lamp->id, 'place' => 'nowhere']);
        $this->assertCode(422);
    }

    #[DataProvider('emptyRooms')]
    public function testWithoutALogNothingIsProposed(string $path): void
    {
        $this->get($path);
        $this->assertCode(200);
        self::assertStringContainsString('The log says nothing yet', $this->text());
    }

    /** @return iterable<string, array{string}> */
    public static function emptyRooms(): iterable
    {
        yield 'asked' => ['/upkeep/homes?look=1'];
        yield 'absurd' => ['/upkeep/homes?look=1&most=-7'];
        yield 'no number' => ['/upkeep/homes?look=1&most=many'];
    }
}
