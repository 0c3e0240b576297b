<?php

declare(strict_types=1);

namespace App\Tests\Kits\Kits;

use App\Kits\Kits\KitDescription;
use App\Kits\Kits\PlanKit;
use App\Kits\Rounds\RoundReading;
use App\Platform\Steps\Outcome;
use App\Platform\Steps\Step;
use App\Platform\Steps\WriteOnce;
use App\Room\Catalogue\Item;
use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;
use Lottel\Core\Round\RoundLine;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** Every action at every stage of a kit: allowed or refused, never half done. */
final class KitStagesTest extends RoomTestCase
{
    private Item $tern;
    private Item $card;
    private int $kit;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->tern] = $this->putInto('C1', 'Tern');
        [$this->card] = $this->putInto('C2', 'Card;;20');
        $this->kit = $this->planKit('Terns', [[$this->tern, 1], [$this->card, 5]]);
    }

    /** @return iterable<string, array{string, string, int}> stage, action, expected status */
    public static function actions(): iterable
    {
        $expected = [
            'planned' => [
                'pull' => 303,
                'end' => 409,
                'take' => 409,
                'use' => 409,
                'finish' => 409,
                'return' => 409,
                'home' => 409,
                'lost' => 409,
                'close' => 303,
                'add' => 303,
            ],
            'pulling' => [
                'pull' => 303,
                'end' => 303,
                'take' => 303,
                'use' => 422,
                'finish' => 303,
                'return' => 303,
                'home' => 422,
                'lost' => 422,
                'close' => 303,
                'add' => 303,
            ],
            'making' => [
                'pull' => 303,
                'end' => 303,
                'take' => 409,
                'use' => 303,
                'finish' => 303,
                'return' => 303,
                'home' => 303,
                'lost' => 303,
                'close' => 409,
                'add' => 303,
            ],
            'returning' => [
                'pull' => 303,
                'end' => 303,
                'take' => 409,
                'use' => 303,
                'finish' => 303,
                'return' => 303,
                'home' => 303,
                'lost' => 303,
                'close' => 409,
                'add' => 303,
            ],
            'closed' => [
                'pull' => 409,
                'end' => 409,
                'take' => 409,
                'use' => 409,
                'finish' => 409,
                'return' => 409,
                'home' => 409,
                'lost' => 409,
                'close' => 409,
                'add' => 409,
            ],
        ];
        foreach ($expected as $stage => $actions) {
            foreach ($actions as $action => $status) {
                yield "{$action} when {$stage}" => [$stage, $action, $status];
            }
        }
    }

    #[DataProvider('actions')]
    public function testAnActionAtAStage(string $stage, string $action, int $expected): void
    {
        $this->bringTo($stage);
        $before = $this->movements();
        $this->post(...$this->form($action));
        $this->assertCode($expected, mb_substr($this->text(), 0, 900));
        if (303 !== $expected) {
            self::assertSame($before, $this->movements(), 'a refused step writes nothing');
            self::assertSame($stage, $this->stage($this->kit));
        }
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }

    public function testAStepThatFailsHalfWayWritesNothing(): void
    {
        $kits = $this->number('SELECT count(*) FROM kit');
        $id = (string) Uuid::v7();
        try {
            $this->service(WriteOnce::class)->do($id, $this->account('olive'), function (Step $step): Outcome {
                ($this->service(PlanKit::class))($step, new KitDescription('Half a kit'));
                throw new \DomainException('the lamp went out');
            });
            self::fail('It went through.');
        } catch (\DomainException $failed) {
            self::assertSame('the lamp went out', $failed->getMessage());
        }
        self::assertSame($kits, $this->number('SELECT count(*) FROM kit'));
        $again = $this->service(WriteOnce::class)->do($id, $this->account('olive'), static fn (): Outcome => Outcome::final('/', 'its id can be used again'));
        self::assertSame('its id can be used again', $again->said);
    }

    public function testAllTwentyFourTraysCanBeOutAndNoMore(): void
    {
        for ($number = 1; $number <= 24; ++$number) {
            $kit = $this->planKit('Kit '.$number, [[$this->card, 1]]);
            $this->post("/kits/{$kit}/pull");
            $this->assertCode(303);
        }
        $kit = $this->planKit('One too many', [[$this->card, 1]]);
        $this->post("/kits/{$kit}/pull");
        $this->assertCode(409);
        self::assertStringContainsString('All 24 trays are in use', $this->text());
    }

    public function testWhatWasReturnedIsPulledAgainBySayingSo(): void
    {
        $this->bringTo('returning');
        $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [$this->tern->id], 'cared' => ['inky']]);
        $this->postAndFollow("/kits/{$this->kit}/make/more", ['item' => $this->tern->id]);
        self::assertSame(
            'tray 1',
            $this->database()->fetchOne(
                "SELECT p.address FROM balance b JOIN place p ON p.id = b.place_id WHERE b.item_id = ? AND p.nature <> 'outside'",
                [$this->tern->id],
            ),
        );
    }

    private function bringTo(string $stage): void
    {
        if ('planned' === $stage) {
            return;
        }
        $this->postAndFollow("/kits/{$this->kit}/pull");
        if ('pulling' === $stage) {
            return;
        }
        foreach ([['C1', $this->tern], ['C2', $this->card]] as [$address, $item]) {
            $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => $address, 'needs' => [$this->needId($this->kit, $item)]]);
        }
        $this->postAndFollow("/kits/{$this->kit}/pull/end");
        if ('making' === $stage) {
            return;
        }
        $this->postAndFollow("/kits/{$this->kit}/return");
        if ('returning' === $stage) {
            return;
        }
        foreach ([$this->tern, $this->card] as $item) {
            $this->postAndFollow("/kits/{$this->kit}/return/home", ['items' => [$item->id], 'cared' => ['inky']]);
        }
        $this->postAndFollow("/kits/{$this->kit}/close");
    }

    /** @return array{string, array<string, mixed>} */
    private function form(string $action): array
    {
        return match ($action) {
            'pull' => ["/kits/{$this->kit}/pull", []],
            'end' => ["/kits/{$this->kit}/pull/end", []],
            'take' => ["/kits/{$this->kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($this->kit, $this->tern)]]],
            'use' => ["/kits/{$this->kit}/make/use", ['item' => $this->card->id, 'quantity' => '2']],
            'finish' => ["/kits/{$this->kit}/make/finish", ['name' => 'Tern card', 'quantity' => '2', 'address' => 'C5']],
            'return' => ["/kits/{$this->kit}/return", []],
            'home' => ["/kits/{$this->kit}/return/home", ['items' => [$this->tern->id], 'cared' => ['inky']]],
            'lost' => ["/kits/{$this->kit}/return/lost", ['item' => $this->card->id]],
            'close' => ["/kits/{$this->kit}/close", []],
            default => ["/kits/{$this->kit}/needs", ['item' => $this->card->id, 'quantity' => '1']],
        };
    }

    /** Two lines of a list may want the same thing; what one takes is not there for the other. */
    public function testTwoLinesAboutOneThingShareWhatIsThere(): void
    {
        $this->database()->insert('need', ['kit_id' => $this->kit, 'item_id' => $this->card->id, 'quantity' => 18, 'state' => 'open']);
        $second = (int) $this->database()->lastInsertId();
        $this->postAndFollow("/kits/{$this->kit}/pull");
        $round = $this->service(RoundReading::class)->ofPull($this->kit);
        $place = (int) $this->place('C2')->id;
        $takes = array_map(static fn (RoundLine $line): array => [$line->id === $second, $line->quantity], $round->at($place)->lines ?? []);
        self::assertSame([[false, 5], [true, 15]], $takes);
        self::assertSame([$second => 3], $round->nowhere);
        $this->postAndFollow("/kits/{$this->kit}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($this->kit, $this->card), $second]]);
        self::assertSame(20, $this->balances($this->card)['tray 1'] ?? 0);
        self::assertSame(['taken', 'open'], $this->database()->fetchFirstColumn('SELECT state FROM need WHERE item_id = ? ORDER BY id', [$this->card->id]));
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
    }
}
