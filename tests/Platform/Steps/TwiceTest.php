<?php

declare(strict_types=1);

namespace App\Tests\Platform\Steps;

use App\Tests\RoomTestCase;

/** What two pages of one state offer is done once. */
final class TwiceTest extends RoomTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
    }

    public function testWhatIsBoughtFromTwoPagesComesInOnce(): void
    {
        [$card] = $this->putInto('C2', 'White card; Marrowlight Paper; 10');
        $this->planKit('Gulls', [[$card, 18]]);
        $form = $this->get('/upkeep/shopping')->filter('form[action$="/shopping/'.$card->id.'"]')->form();
        $this->browser->submit($form);
        $this->assertCode(303, $this->text());
        $this->browser->submit($form, ['_request' => (string) \Symfony\Component\Uid\Uuid::v7()]);
        $this->assertCode(409);
        self::assertStringContainsString('White card came in since this page was made', $this->text());
        self::assertSame(1, $this->number('SELECT count(*) FROM movement WHERE item_id = ? AND quantity = 8', [$card->id]));
    }

    public function testAThingIsOnOneRoundToANewHomeOnly(): void
    {
        [$gulls] = $this->putInto('C1', 'Gulls');
        $this->database()->executeStatement("UPDATE place SET is_for_season = 1 WHERE address = 'C4'");
        $begin = function () use ($gulls): void {
            $this->step(function (\App\Platform\Steps\Step $step) use ($gulls): void {
                $task = \App\Upkeep\Rounds\PlannedTask::move($this->item((int) $gulls->id), $this->place('C1'), $this->place('C4'));
                $this->service(\App\Upkeep\Rounds\BeginUpkeepRound::class)($step, \App\Upkeep\Rounds\RoundPurpose::Season, 'Forward', [$task]);
            });
        };
        $begin();
        $this->expectException(\App\Upkeep\Rounds\UpkeepRoundRefused::class);
        $this->expectExceptionMessage('Gulls is on another round already: “Forward”.');
        $begin();
    }

    public function testAHelperBeginsNoCountThatOnlyTheOwnerMayWriteDown(): void
    {
        $this->putInto('C1', 'Gulls; ; 3');
        $this->signIn('hank');
        $page = $this->get('/upkeep/counts');
        self::assertCount(0, $page->filter('form.count-begin'));
        $this->post('/upkeep/counts', ['which' => 'next', 'many' => '1']);
        $this->assertCode(403);
        $sheet = $this->get('/stores/places/C1/count');
        self::assertCount(0, $sheet->filter('#sheet input[type=submit], #sheet button.primary'));
        self::assertCount(1, $sheet->filter('#sheet fieldset[disabled]'), 'nothing is typed that cannot be kept');
        $this->signIn('olive');
        self::assertCount(0, $this->get('/stores/places/C1/count')->filter('#sheet fieldset[disabled]'));
    }
}
