<?php

declare(strict_types=1);

namespace App\Tests\Upkeep\Chores;

use App\Room\Catalogue\PartsOfThing;
use App\Tests\RoomTestCase;

/** A chore comes round, is done, is undone, goes with its thing, and is a day's note. */
final class ChoreTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        $this->signIn('olive');
    }

    public function testItComesRoundAndIsDone(): void
    {
        [$mat] = $this->putInto('C2', 'Glass mat; Oddling; 1');
        $done = $this->postAndFollow("/items/{$mat->id}/chore", ['name' => 'wipe it', 'every' => '7']);
        self::assertStringContainsString('wipe it', $this->text());
        self::assertSame(1, $this->number('SELECT count(*) FROM chore'));
        $this->browser->submit($done->selectButton('Undo')->form());
        self::assertSame(0, $this->number('SELECT count(*) FROM chore'));
        self::assertContains('chore', $this->service(PartsOfThing::class)->tables());
        $this->post("/items/{$mat->id}/chore", ['name' => 'wipe it', 'every' => '0']);
        $this->assertCode(422);
    }
}
