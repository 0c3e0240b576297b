<?php

declare(strict_types=1);

namespace App\Tests\Room\Undo;

use App\Platform\Database\Row;
use App\Platform\Steps\WatchedTables;
use App\Room\Catalogue\Item;
use App\Room\Catalogue\PartsOfThing;
use App\Room\Log\AuditReading;
use App\Tests\RoomTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** What is offered to be undone is undone completely: the room is afterwards as it was before the step. */
final class UndoTest extends RoomTestCase
{
    private Item $gulls;
    private Item $terns;
    private Item $card;
    private Item $ink;
    private int $planned;
    private int $open;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->gulls, $this->terns] = $this->putInto('C1', 'Gulls; Two Bollards', 'Terns; Oddling');
        [$this->card] = $this->putInto('C2', 'Petrel card;;24;sea;#1f5c6b');
        [$this->ink] = $this->putInto('C3', 'Petrel ink');
        $this->putInto('not filed', 'Odd shell');
        $this->planned = $this->planKit('Planned', [[$this->terns, 1], [$this->card, 6]]);
        $this->open = $this->planKit('Open', [[$this->gulls, 1], [$this->card, 10], [$this->ink, 1]]);
        $this->postAndFollow("/kits/{$this->open}/pull");
    }

    /**
     * Steps, each with what has to happen before it.
     *
     * @return iterable<string, array{0: \Closure(self): array{string, array<string, mixed>}, 1?: \Closure(self): mixed}>
     */
    public static function steps(): iterable
    {
        $onTray = static function (self $t): void {
            $t->take('C1', $t->gulls);
            $t->take('C2', $t->card);
        };
        yield 'a thing gets another home' => [static fn (self $t): array => ["/items/{$t->card->id}/home", ['address' => 'C4']]];
        yield 'a thing is filed from the queue' => [
            static fn (self $t): array => ['/stores/queue', ['item' => $t->itemNamed('Odd shell'), 'address' => 'C5']],
        ];
        yield 'a thing is filed by scanning' => [
            static fn (self $t): array => ['/scan', ['on' => 'file:'.$t->itemNamed('Odd shell'), 'code' => 'C5']],
        ];
        yield 'several are changed' => [
            static fn (self $t): array => ['/things/change', ['items' => [$t->gulls->id, $t->terns->id], 'maker' => 'Kelp & Comma', 'theme' => 'sea']],
        ];
        yield 'several are moved' => [
            static fn (self $t): array => ['/things/move', ['items' => [$t->gulls->id, $t->terns->id], 'to' => 'C5', 'lies_in' => 'C1']],
        ];
        yield 'several go on a list' => [
            static fn (self $t): array => ['/things/into-kit', ['items' => [$t->terns->id, $t->ink->id], 'kit' => $t->planned]],
        ];
        yield 'several are taken out' => [
            static fn (self $t): array => ['/things/into-kit', ['items' => [$t->gulls->id, $t->card->id], 'kit' => '0', 'now' => '1']],
        ];
        yield 'labels for several are asked for' => [
            static fn (self $t): array => ['/things/labels', ['items' => [$t->terns->id, $t->ink->id]]],
        ];
        yield 'loose things are put into the parts of a place' => [
            static fn (self $t): array => [
                '/stores/places/C1/parts',
                ['things' => [$t->gulls->id, $t->terns->id], 'part_'.$t->gulls->id => 'C1.x', 'part_'.$t->terns->id => ''],
            ],
            static fn (self $t) => $t->postAndFollow('/stores/places/C1/inner', ['label' => 'x', 'kind' => 'tray', 'layer' => '0']),
        ];
        yield 'lines are pasted' => [
            static fn (self $t): array => ['/stores/places/C1/things', ['things' => "Puffins\nRazorbills; Oddling; 3; seabirds"]],
        ];
        yield 'more comes in' => [
            static fn (self $t): array => ["/items/{$t->card->id}/stock", ['quantity' => '12', 'address' => 'C2', 'from' => 'given']],
        ];
        yield 'a record is changed' => [
            static fn (self $t): array => [
                "/items/{$t->gulls->id}/edit",
                [
                    'name' => 'Gulls over the pier',
                    'kind' => 'stamp set',
                    'tracking' => 'one',
                    'themes' => 'sea',
                    'colour' => 'navy',
                    'hazards' => ['inky'],
                ],
            ],
        ];
        yield 'a record is copied' => [static fn (self $t): array => ["/items/{$t->gulls->id}/duplicate", []]];
        yield 'two things belong together' => [
            static fn (self $t): array => ["/items/{$t->gulls->id}/companions", ['other' => $t->itemNamed('Petrel ink'), 'is_together' => '1']],
        ];
        yield 'two things need not be together any more' => [
            static fn (self $t): array => ["/items/{$t->gulls->id}/companions/part", ['other' => $t->itemNamed('Petrel ink')]],
            static fn (self $t) => $t->postAndFollow("/items/{$t->gulls->id}/companions", ['other' => $t->itemNamed('Petrel ink')]),
        ];
        yield 'one word of a record is changed' => [
            static fn (self $t): array => ["/items/{$t->gulls->id}/word", ['word' => 'maker', 'maker' => 'Farthing Ferry']],
        ];
        yield 'a thing is counted' => [
            static fn (self $t): array => ["/items/{$t->card->id}/counted", ['quantity' => '20', 'place' => 'C2', 'why' => 'four were bent']],
        ];
        yield 'a thing is deleted' => [
            static fn (self $t): array => ['/items/'.$t->itemNamed('Gulls (copy)').'/delete', []],
            static fn (self $t) => $t->post("/items/{$t->gulls->id}/duplicate"),
        ];
        yield 'a kit is planned' => [static fn (self $t): array => ['/kits', ['name' => 'Another', 'due_on' => '2027-02-01']]];
        yield 'a kit is described' => [static fn (self $t): array => ["/kits/{$t->open}", ['name' => 'Open still', 'note' => 'foam']]];
        yield 'a planned kit is deleted' => [static fn (self $t): array => ["/kits/{$t->planned}/delete", []]];
        yield 'a thing is put on a list' => [static fn (self $t): array => ["/kits/{$t->open}/needs", ['item' => $t->terns->id, 'quantity' => '1']]];
        yield 'more is wanted' => [static fn (self $t): array => ["/kits/{$t->open}/needs", ['item' => $t->card->id, 'quantity' => '4']]];
        yield 'a line is changed' => [static fn (self $t): array => ["/kits/{$t->open}/needs/".$t->needId($t->open, $t->card), ['quantity' => '3']]];
        yield 'a line is taken off' => [static fn (self $t): array => ["/kits/{$t->open}/needs/".$t->needId($t->open, $t->card), ['remove' => '1']]];
        yield 'into a planned kit’s list' => [
            static fn (self $t): array => ["/items/{$t->ink->id}/into-kit", ['kit' => $t->planned, 'quantity' => '1']],
        ];
        yield 'out now, into a new kit' => [
            static fn (self $t): array => ["/items/{$t->card->id}/into-kit", ['kit' => '0', 'quantity' => '3', 'now' => '1']],
        ];
        yield 'out now, into a planned kit' => [
            static fn (self $t): array => ["/items/{$t->card->id}/into-kit", ['kit' => $t->planned, 'quantity' => '3', 'now' => '1']],
        ];
        yield 'taken at a stop' => [
            static fn (self $t): array => ["/kits/{$t->open}/pull/take", ['place' => 'C2', 'needs' => [$t->needId($t->open, $t->card)]]],
        ];
        yield 'taken by scanning' => [static fn (self $t): array => ['/scan', ['on' => 'pull:'.$t->open, 'code' => 'C2']]];
        yield 'fewer taken, no more there' => [
            static fn (self $t): array => [
                "/kits/{$t->open}/pull/fewer",
                ['place' => 'C2', 'need' => $t->needId($t->open, $t->card), 'quantity' => '7', 'no_more' => '1'],
            ],
        ];
        yield 'not here' => [
            static fn (self $t): array => ["/kits/{$t->open}/pull/not-here", ['place' => 'C2', 'need' => $t->needId($t->open, $t->card)]],
        ];
        yield 'something else instead' => [
            static fn (self $t): array => [
                "/kits/{$t->open}/pull/instead",
                ['place' => 'C1', 'need' => $t->needId($t->open, $t->gulls), 'item' => $t->terns->id],
            ],
        ];
        yield 'an uncatalogued thing is pulled' => [
            static fn (self $t): array => ["/kits/{$t->open}/pull/unknown", ['name' => 'Rope ends', 'address' => 'C4', 'quantity' => '5']],
        ];
        yield 'the pull ends' => [static fn (self $t): array => ["/kits/{$t->open}/pull/end", []]];
        yield 'used up' => [static fn (self $t): array => ["/kits/{$t->open}/make/use", ['item' => $t->card->id, 'quantity' => '6']], $onTray];
        yield 'one more thing at the bench' => [
            static fn (self $t): array => ["/kits/{$t->open}/make/more", ['item' => $t->terns->id, 'quantity' => '1']],
            $onTray,
        ];
        yield 'a part is brought home' => [
            static fn (self $t): array => ["/kits/{$t->open}/return/part", ['item' => $t->card->id, 'quantity' => '2']],
            $onTray,
        ];
        yield 'a thing is brought to a new home' => [
            static fn (self $t): array => ["/kits/{$t->open}/return/elsewhere", ['item' => $t->card->id, 'address' => 'C4']],
            $onTray,
        ];
        yield 'finished' => [
            static fn (self $t): array => [
                "/kits/{$t->open}/make/finish",
                ['name' => 'Gull card', 'quantity' => '6', 'address' => 'C4', 'of' => [$t->card->id], 'used_'.$t->card->id => '6'],
            ],
            $onTray,
        ];
        yield 'brought home' => [
            static fn (self $t): array => ["/kits/{$t->open}/return/home", ['items' => [$t->gulls->id, $t->card->id], 'cared' => ['inky']]],
            $onTray,
        ];
        yield 'brought home by scanning' => [static fn (self $t): array => ['/scan', ['on' => 'return:'.$t->open, 'code' => 'C2']], $onTray];
        yield 'not on the tray' => [static fn (self $t): array => ["/kits/{$t->open}/return/lost", ['item' => $t->gulls->id]], $onTray];
        yield 'found again' => [static fn (self $t): array => ["/items/{$t->gulls->id}/found", ['address' => 'C5']], static function (self $t): void {
            $t->take('C1', $t->gulls);
            $t->post("/kits/{$t->open}/return/lost", ['item' => $t->gulls->id]);
        }];
        yield 'a kit is closed' => [static fn (self $t): array => ["/kits/{$t->open}/close", []]];
        yield 'a place is described' => [
            static fn (self $t): array => [
                '/stores/places/C2',
                [
                    'name' => 'blue card',
                    'scheme' => 'colour',
                    'says_kind' => 'paper',
                    'also_kinds' => ['scrap'],
                    'most_grams' => '5 kg',
                    'season' => 'winter',
                    'is_child_safe' => '1',
                ],
            ],
        ];
        yield 'a box is put inside' => [
            static fn (self $t): array => ['/stores/places/C1/inner', ['label' => 'b', 'kind' => 'tray', 'inner_name' => 'lower', 'layer' => '1']],
        ];
        yield 'a place is divided' => [
            static fn (self $t): array => ['/stores/places/C2/divide', ['division' => 'grid', 'rows' => '2', 'columns' => '3']],
        ];
        yield 'a place is split' => [static fn (self $t): array => ['/stores/places/C2/split', ['parts' => '3', 'direction' => 'across']]];
        yield 'two places are joined' => [static fn (self $t): array => ['/stores/places/C1/merge', ['with' => 'C2']]];
        yield 'joined places with boxes in them' => [
            static fn (self $t): array => ['/stores/places/C1/merge', ['with' => 'C2']],
            static function (self $t): void {
                $t->post('/stores/places/C2/inner', ['label' => 'a', 'kind' => 'box', 'inner_name' => '', 'layer' => '0']);
                $t->putInto('C2.a', 'Fog card;;9');
            },
        ];
        yield 'a place gets another address' => [
            static fn (self $t): array => ['/stores/places/C2/address', ['new_address' => 'C12']],
            static fn (self $t) => $t->post('/stores/places/C2/inner', ['label' => 'a', 'kind' => 'box', 'inner_name' => '', 'layer' => '0']),
        ];
        yield 'a box stands elsewhere' => [
            static fn (self $t): array => ['/stores/places/C2.a/into', ['outer' => 'C4']],
            static function (self $t): void {
                $t->post('/stores/places/C2/inner', ['label' => 'a', 'kind' => 'box', 'inner_name' => '', 'layer' => '0']);
                $t->putInto('C2.a', 'Fog card;;9');
            },
        ];
        yield 'a place is emptied' => [static fn (self $t): array => ['/stores/places/C1/empty', ['to' => 'C4']]];
        yield 'a place is taken out of use' => [static fn (self $t): array => ['/stores/places/C5/retire', []]];
        yield 'a unit is built' => [
            static fn (self $t): array => [
                '/stores/new-unit',
                ['template' => 'chest', 'letters' => 'D', 'rows' => '4', 'name' => 'panels', 'wall' => 'east wall'],
            ],
        ];
        yield 'a unit is described' => [
            static fn (self $t): array => [
                '/stores/units/C/describe',
                ['name' => 'stamp chest', 'wall' => 'south wall', 'caution' => 'heavy', 'above_floor' => '4'],
            ],
        ];
        yield 'a row is added' => [static fn (self $t): array => ['/stores/units/C/row', ['row_height' => '4']]];
        yield 'places are numbered anew' => [
            static fn (self $t): array => ['/stores/units/C/renumber', []],
            static fn (self $t) => $t->post('/stores/places/C2/address', ['new_address' => 'C12']),
        ];
        yield 'a unit is taken out' => [
            static fn (self $t): array => ['/stores/units/D/retire', []],
            static fn (self $t) => $t->post('/stores/new-unit', ['template' => 'chest', 'letters' => 'D', 'rows' => '3']),
        ];
        yield 'the floor plan is kept' => [static fn (self $t): array => $t->plan()];
        yield 'a room is added' => [static fn (self $t): array => ['/stores/rooms', ['room_name' => 'garage']]];
        yield 'the room measures otherwise' => [
            static fn (self $t): array => ['/upkeep/room', ['room' => 'Loft', 'measure' => 'mm', 'time_zone' => 'Asia/Tokyo']],
        ];
        yield 'labels are printed' => [
            static fn (self $t): array => ['/stores/labels/printed', ['wish' => $t->database()->fetchFirstColumn('SELECT id FROM label_wish')]],
        ];
        yield 'a label is wished for' => [static fn (self $t): array => ['/stores/labels/item/'.$t->gulls->id.'/wish', ['format' => 'lid']]];
        yield 'a search is kept' => [static fn (self $t): array => ['/find/saved', ['search_name' => 'sea', 'query' => 'theme=sea']]];
        yield 'a search is forgotten' => [
            static fn (self $t): array => ['/find/saved/'.$t->number('SELECT id FROM saved_search'), []],
            static fn (self $t) => $t->post('/find/saved', ['search_name' => 'sea', 'query' => 'theme=sea']),
        ];
    }

    /**
     * @param \Closure(self): array{string, array<string, mixed>} $step
     * @param (\Closure(self): mixed)|null $before
     */
    #[DataProvider('steps')]
    public function testAnUndoneStepLeavesTheRoomAsItWas(\Closure $step, ?\Closure $before = null): void
    {
        if (null !== $before) {
            $before($this);
        }
        $this->entities()->clear();
        $room = $this->snapshot();
        [$path, $fields] = $step($this);
        $id = (string) Uuid::v7();
        $this->post($path, $fields, $id);
        $this->assertCode(303, $this->text());
        self::assertNotEquals($room, $this->snapshot(), 'the step did something');
        $page = $this->browser->followRedirect();
        self::assertCount(1, $page->filter('.said form'), 'its undo is offered: '.$page->filter('.said')->text(''));
        $this->browser->submit($page->filter('.said form')->form());
        $this->assertCode(303, $this->text());
        do {
            $page = $this->browser->followRedirect();
        } while ($this->browser->getResponse()->isRedirect());
        self::assertStringStartsWith('Undone: ', $page->filter('.said')->text());
        self::assertCount(0, $page->filter('.said form'), 'an undo is not undone');
        self::assertEquals($room, $this->snapshot());
        self::assertSame([], $this->service(AuditReading::class)->report()->differences);
        self::assertSame([], $this->service(\Doctrine\DBAL\Connection::class)->fetchFirstColumn('SELECT request_id FROM current_step'));
        $this->post('/log/undo', ['step' => $id, 'back' => '/plan']);
        $this->assertCode(409, 'once is enough');
    }

    public function testTheSentenceNamesAllThatWasPutBack(): void
    {
        foreach (
            [
                ["/items/{$this->card->id}/home", ['address' => 'C4'], 'Undone: Petrel card is back in C2 and at home in C2 again.'],
                [
                    '/stores/places/C1/merge',
                    ['with' => 'C2'],
                    ['Petrel card is at home in C2 again and back in C2', 'C2 is in use again', 'C1 is as before'],
                ],
                [
                    '/stores/places/C1/things',
                    ['things' => "Puffins\nAuks"],
                    'Undone: Auks and Puffins are not in the room any more, as before it was bought and out of the catalogue again.',
                ],
                ["/items/{$this->card->id}/into-kit", ['kit' => '0', 'quantity' => '3', 'now' => '1'], 'is not planned any more'],
                [
                    "/kits/{$this->open}/pull/take",
                    ['place' => 'C2', 'needs' => [$this->needId($this->open, $this->card)]],
                    'Undone: Petrel card is open on the list again and back in C2.',
                ],
            ] as [$path, $fields, $said]
        ) {
            $page = $this->postAndFollow($path, $fields);
            $this->browser->submit($page->filter('.said form')->form());
            $sentence = $this->browser->followRedirect()->filter('.said')->text();
            foreach (\is_array($said) ? $said : [$said] as $part) {
                self::assertStringContainsString($part, $sentence);
            }
        }
    }

    public function testALineOfTheLogIsPutRightWithAllThatItsStepDidToTheSameThing(): void
    {
        $this->postAndFollow('/things/move', ['items' => [$this->gulls->id, $this->terns->id], 'to' => 'C5']);
        $this->postAndFollow('/log/'.$this->lastMovement($this->gulls).'/reverse');
        self::assertStringContainsString('Put right: ', $this->text());
        self::assertSame(['C1', 'C5'], [$this->home($this->gulls), $this->home($this->terns)], 'the other one of the same step stays');
        self::assertSame(['C1' => 1, 'bought' => -1], $this->balances($this->gulls));

        $this->postAndFollow('/stores/places/C1/things', ['things' => "Puffins\nAuks"]);
        $puffins = $this->itemNamed('Puffins');
        $line = $this->number('SELECT max(id) FROM movement WHERE item_id = ?', [$puffins]);
        $this->postAndFollow("/log/{$line}/reverse");
        $this->get('/find?q=puffins');
        self::assertStringContainsString('Nothing fits', $this->text());
        $this->get("/items/{$puffins}");
        self::assertStringContainsString('out of the catalogue', $this->text());
        $this->post("/items/{$puffins}/home", ['address' => 'C4']);
        $this->assertCode(404);
        $this->get('/find?q=auks');
        self::assertStringContainsString('Auks', $this->text());
    }

    public function testAFirstThingPulledAndPutRightLeavesTheKitAsItWas(): void
    {
        $this->postAndFollow("/items/{$this->terns->id}/into-kit", ['kit' => $this->planned, 'quantity' => '1', 'now' => '1']);
        self::assertSame('making', $this->stage($this->planned));
        $this->postAndFollow('/log/'.$this->lastMovement($this->terns).'/reverse');
        self::assertSame('planned', $this->stage($this->planned));
        self::assertNull($this->database()->fetchOne('SELECT tray_id FROM kit WHERE id = ?', [$this->planned]));
    }

    public function testAnUndoFromAnOldPageIsWholeOrNothing(): void
    {
        $moved = $this->undoable("/items/{$this->card->id}/home", ['address' => 'C4']);
        $this->postAndFollow("/items/{$this->card->id}/home", ['address' => 'C5']);
        $this->refused($moved, 'Petrel card was changed since');

        $joined = $this->undoable('/stores/places/C1/merge', ['with' => 'C2']);
        $this->postAndFollow('/stores/places/C1', ['name' => 'all the stamps', 'scheme' => 'name']);
        $this->postAndFollow('/stores/places/C1/split', ['parts' => '2', 'direction' => 'across']);
        $this->refused($joined, 'C2 would come back to where C6 is now');

        $pasted = $this->undoable('/stores/places/C1/things', ['things' => "Puffins\nAuks"]);
        $this->postAndFollow('/items/'.$this->itemNamed('Auks').'/into-kit', ['kit' => $this->planned, 'quantity' => '1']);
        $this->refused($pasted, 'Auks is in use by now');

        $built = $this->undoable('/stores/new-unit', ['template' => 'chest', 'letters' => 'D', 'rows' => '4']);
        $this->putInto('D2', 'Anchor');
        $this->refused($built, 'D2 is in use by now');
    }

    public function testNothingGoesBackIntoAPlaceThatIsNoLongerInUse(): void
    {
        $this->postAndFollow("/items/{$this->card->id}/home", ['address' => 'C4']);
        $line = $this->lastMovement($this->card);
        $this->postAndFollow('/stores/places/C2/retire');
        $before = $this->movements();
        $this->post("/log/{$line}/reverse");
        self::assertContains($this->code(), [409, 422]);
        self::assertStringContainsString('C2 is no longer in use', $this->text());
        self::assertSame($before, $this->movements());
        self::assertSame('C4', $this->home($this->card));
    }

    public function testWhatAnotherDidToAKitSinceStays(): void
    {
        $first = $this->undoable("/items/{$this->card->id}/into-kit", ['kit' => '0', 'quantity' => '3', 'now' => '1']);
        $kit = $this->number('SELECT max(id) FROM kit');
        $this->postAndFollow("/kits/{$kit}/make/more", ['item' => $this->terns->id]);
        $this->postAndFollow('/log/undo', ['step' => $first, 'back' => '/plan']);
        self::assertStringContainsString('stays: other things belong to it by now', $this->text());
        self::assertSame(['C2' => 24, 'bought' => -24], $this->balances($this->card));
        self::assertSame(['bought' => -1, 'tray 2' => 1], $this->balances($this->terns));
        self::assertSame('making', $this->stage($kit));
    }

    public function testTwoPartsOfALineAreTakenBackOneByOne(): void
    {
        $this->putInto('C4', 'unused');
        $need = $this->needId($this->open, $this->card);
        $first = $this->undoable("/kits/{$this->open}/pull/fewer", ['place' => 'C2', 'need' => $need, 'quantity' => '4']);
        $this->postAndFollow("/kits/{$this->open}/make/more", ['item' => $this->card->id, 'quantity' => '2']);
        $this->postAndFollow('/log/undo', ['step' => $first, 'back' => '/plan']);
        self::assertSame(['C2' => 22, 'bought' => -24, 'tray 1' => 2], $this->balances($this->card));
        self::assertSame(2, $this->number('SELECT taken FROM need WHERE id = ?', [$need]));
    }

    public function testAHelperTakesBackWhatIsAHelpers(): void
    {
        $owners = $this->undoable("/items/{$this->card->id}/stock", ['quantity' => '50', 'address' => 'C2', 'from' => 'bought']);
        $line = $this->lastMovement($this->card);
        $pull = $this->undoable("/kits/{$this->open}/pull/take", ['place' => 'C2', 'needs' => [$this->needId($this->open, $this->card)]]);
        $this->signIn('hank');
        $this->refused($owners, 'only the owner takes it back');
        $this->post("/log/{$line}/reverse");
        $this->assertCode(409);
        self::assertCount(0, $this->get('/log?reason=take+in')->filter('form[action$="/reverse"]'), 'nor is it offered');
        $this->postAndFollow('/log/undo', ['step' => $pull, 'back' => '/plan']);
        $this->get('/plan?done='.$owners);
        self::assertCount(0, $this->browser->getCrawler()->filter('.said'), 'what another did is not told as one’s own');
    }

    public function testWhatCannotBePutRightIsNotOffered(): void
    {
        $this->take('C2', $this->card);
        $this->postAndFollow("/kits/{$this->open}/make/use", ['item' => $this->card->id, 'quantity' => '10']);
        $used = $this->lastMovement($this->card);
        self::assertCount(1, $this->get('/log?reason=use')->filter('form[action$="/reverse"]'));
        $this->postAndFollow("/kits/{$this->open}/close");
        self::assertCount(0, $this->get('/log?reason=use')->filter('form[action$="/reverse"]'), 'its tray is gone');
        $this->post("/log/{$used}/reverse");
        $this->assertCode(409);
    }

    public function testEveryColumnOfEveryTableIsWatched(): void
    {
        $watched = $this->service(WatchedTables::class)->all();
        $unwatched = [
            'balance',
            'write_request',
            'step_change',
            'current_step',
            'part_done',
            'device',
            'device_code',
            'session',
            'sign_in_failure',
            'account',
            'retracking',
            'cut',
            'cut_part',
            'feed',
            'doctrine_migration_versions',
        ];
        $tables = $this->database()->fetchFirstColumn(
            "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'finder%' AND name NOT LIKE 'sqlite_%'",
        );
        self::assertEqualsCanonicalizing([...array_keys($watched), ...$unwatched], $tables, 'a new table is watched, or it is said why not');
        foreach (array_diff_key($watched, ['movement' => true]) as $table => $says) {
            $trigger = $this->word("SELECT sql FROM sqlite_master WHERE name = 'step_{$table}_update'");
            foreach (Row::words($this->database()->fetchFirstColumn("SELECT name FROM pragma_table_info('$table')")) as $column) {
                self::assertSame(\in_array($column, $says->follows, true), !str_contains($trigger, "'$column', NEW.$column"), "$table.$column");
            }
        }
    }

    public function testAllThatHangsOnAThingIsKnownWhenItIsDeleted(): void
    {
        // What only things have that moved once, which keeps them.
        $moved = ['movement', 'balance', 'retracking', 'put_off', 'sheet_in_work', 'set_aside', 'gift', 'loan'];
        $tables = Row::words($this->database()->fetchFirstColumn("SELECT name FROM sqlite_master WHERE type = 'table'"));
        $hanging = array_filter($tables, fn (string $table): bool => false !== $this->database()->fetchOne(
            "SELECT 1 FROM pragma_foreign_key_list('$table') WHERE \"table\" = 'item'",
        ));
        self::assertEqualsCanonicalizing($this->service(PartsOfThing::class)->all()->tables(), array_diff($hanging, $moved));
    }

    public function testAPlannedKitThatWasPulledAndPutBackIsOutOfSightNotGone(): void
    {
        $first = $this->undoable("/items/{$this->card->id}/into-kit", ['kit' => '0', 'quantity' => '3', 'now' => '1']);
        $kit = $this->number('SELECT max(id) FROM kit');
        $this->postAndFollow('/log/undo', ['step' => $first, 'back' => '/plan']);
        $this->get("/kits/{$kit}");
        $this->assertCode(404);
        $this->post("/kits/{$kit}/needs", ['item' => $this->terns->id]);
        $this->assertCode(404);
        $this->post("/kits/{$this->open}/delete");
        $this->assertCode(409);
        self::assertStringContainsString('it can be closed, not deleted', $this->text());
    }

    public function testWhatHasMovedOrIsOnAListIsNotDeleted(): void
    {
        $this->post("/items/{$this->gulls->id}/delete");
        $this->assertCode(409);
        self::assertStringContainsString('has moved already', $this->text());
        $this->postAndFollow("/items/{$this->gulls->id}/duplicate");
        $copy = $this->itemNamed('Gulls (copy)');
        $this->postAndFollow("/kits/{$this->planned}/needs", ['item' => $copy]);
        $this->post("/items/{$copy}/delete");
        $this->assertCode(409);
        self::assertStringContainsString('is on the list of “Planned”', $this->text());
    }

    /** @param array<string, mixed> $fields */
    private function undoable(string $path, array $fields): string
    {
        $id = (string) Uuid::v7();
        $this->post($path, $fields, $id);
        $this->assertCode(303, $this->text());

        return $id;
    }

    private function refused(string $step, string $why): void
    {
        $room = $this->snapshot();
        $this->post('/log/undo', ['step' => $step, 'back' => '/plan']);
        $this->assertCode(409, $this->text());
        self::assertStringContainsString($why, $this->text());
        self::assertEquals($room, $this->snapshot(), 'nothing was done by halves');
    }

    /** @return array<string, mixed> all that the room believes, but the log itself and what is kept of forms */
    private function snapshot(): array
    {
        $state = [];
        foreach (['room', 'unit', 'place', 'item', 'companion', 'kit', 'need', 'balance', 'label_wish', 'saved_search', 'label_sheet', 'finder'] as $table) {
            $where = match ($table) {
                'item', 'kit' => ' WHERE removed_at IS NULL',
                'place' => " WHERE retired_at IS NULL AND nature <> 'tray'",
                'unit' => " WHERE letters NOT LIKE '~%'",
                'balance' => ' WHERE item_id IN (SELECT id FROM item WHERE removed_at IS NULL)',
                default => '',
            };
            $rows = $this->database()->fetchAllAssociative(
                'balance' === $table ? "SELECT * FROM balance$where" : "SELECT rowid AS row, * FROM $table$where ORDER BY rowid",
            );
            $state[$table] = array_map(static function (array $row) use ($table): array {
                if ('label_wish' === $table) {
                    unset($row['row'], $row['id'], $row['at']);
                }

                return $row;
            }, $rows);
        }
        $byFormat = static fn (array $a, array $b): int => [$a['place_id'], $a['item_id'], $a['format']] <=> [$b['place_id'], $b['item_id'], $b['format']];
        usort($state['label_wish'], $byFormat);

        return $state;
    }

    private function take(string $place, Item $item): void
    {
        $this->post("/kits/{$this->open}/pull/take", ['place' => $place, 'needs' => [$this->needId($this->open, $item)]]);
        $this->assertCode(303);
    }

    private function itemNamed(string $name): int
    {
        return $this->number('SELECT id FROM item WHERE name = ?', [$name]);
    }

    private function lastMovement(Item $item): int
    {
        return $this->number('SELECT max(id) FROM movement WHERE item_id = ?', [$item->id]);
    }

    private function home(Item $item): string
    {
        return $this->word('SELECT p.address FROM item i JOIN place p ON p.id = i.home_id WHERE i.id = ?', [$item->id]);
    }

    /** @return array{string, array<string, mixed>} */
    private function plan(): array
    {
        $room = $this->number('SELECT id FROM room');
        $unit = $this->number('SELECT id FROM unit');

        return [
            "/stores/plan/{$room}",
            [
                'unit' => [$unit],
                'x' => ['700 mm'],
                'y' => ['36'],
                'turn' => ['90'],
                'room_width' => '5 m',
                'room_depth' => '4 m',
                'door_at' => '10 mm',
                'door_width' => '800 mm',
            ],
        ];
    }
}
