<?php

declare(strict_types=1);

namespace App\Tests\Kits\Paper;

use App\Kits\Paper\ScaleMood;
use App\Kits\Paper\SimulatedScale;
use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;

/** Paper counted by weighing, with the stand-in for a scale. */
final class WeighTest extends RoomTestCase
{
    private Item $card;
    private Item $fog;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        [$this->card] = $this->putInto('C2', 'Petrel card; ; 44; ; ; 8 1/2 × 11; 80 lb cover');
        [$this->fog] = $this->putInto('C4', 'Fog card; ; 9; ; ; 12 × 12');
        $this->scale(521);
    }

    protected function tearDown(): void
    {
        $this->scale(0);
        parent::tearDown();
    }

    private function scale(float $grams, ScaleMood $mood = ScaleMood::Steady): void
    {
        $scale = $this->service(SimulatedScale::class);
        $scale->load($grams);
        $scale->be($mood);
    }

    private function url(Item $item): string
    {
        return '/paper/weigh?paper='.$item->id;
    }

    public function testAStackIsWeighedAndTheLogIsPutRight(): void
    {
        $page = $this->get($this->url($this->card));
        self::assertStringContainsString('521 g', $page->filter('.scale-plate')->text());
        self::assertStringContainsString('About 40 sheets: from 39 to 41', $page->filter('.lead')->text());
        self::assertSame('40', $page->filter('#set-sheets')->attr('value'));
        $this->browser->submit($page->selectButton('Write it down, and the next')->form());
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Petrel card in C2: 40 sheets as weighed, 4 fewer than the log believed.', $this->text());
        self::assertStringContainsString('Fog card', $page->filter('.round-thing')->text(), 'on to the next');
        self::assertSame(40, $this->balances($this->card)['C2']);
        self::assertSame('counted: weighed, 521 g', $this->word("SELECT note FROM movement WHERE reason = 'count'"));
        $this->browser->submit($page->selectButton('Undo')->form());
        self::assertSame(44, $this->balances($this->card)['C2']);
    }

    public function testAKnownNumberTeachesTheWeight(): void
    {
        $this->scale(131);
        $this->postAndFollow('/paper/weigh/learn', ['paper' => $this->card->id, 'place' => $this->place('C2')->id, 'known' => '10']);
        self::assertStringContainsString('Petrel card weighs 80.', $this->text());
        $this->scale(524);
        $page = $this->get($this->url($this->card));
        self::assertSame('40 sheets.', $page->filter('.lead')->text(), 'now it is certain');
        $page = $this->post('/paper/weigh/learn', ['paper' => $this->card->id, 'place' => $this->place('C2')->id, 'known' => '9000', '_form' => 'learn']);
        $this->assertCode(422);
        self::assertStringContainsString('No paper weighs that', $page->filter('#learn-known-error')->text());
        $this->postAndFollow('/items/'.$this->card->id.'/word', ['word' => 'weight', 'weight' => '65 lb cover']);
        self::assertSame(0, $this->number('SELECT is_weighed FROM item WHERE id = '.$this->card->id), 'what is typed anew was not weighed');
    }

    public function testWhatIsMissingIsAskedFor(): void
    {
        $page = $this->get($this->url($this->fog));
        self::assertCount(0, $page->filter('.lead'), 'nothing is guessed');
        $this->browser->submit($page->selectButton('That')->form(), ['weight' => '216 gsm']);
        $page = $this->browser->followRedirect();
        self::assertSame('/paper/weigh', $this->browser->getRequest()->getPathInfo());
        self::assertStringContainsString('About 26 sheets', $page->filter('.lead')->text());
    }

    public function testAScaleThatTellsNothingSaysWhy(): void
    {
        foreach (
            [
                [ScaleMood::Drifting, 'does not come to rest'],
                [ScaleMood::ReadsNought, 'shows nothing'],
                [ScaleMood::Overloaded, 'more than the scale carries'],
            ] as [$mood, $says]
        ) {
            $this->scale(521, $mood);
            $page = $this->get($this->url($this->card));
            $this->assertCode(200);
            self::assertStringContainsString($says, $page->filter('.problem')->text());
            self::assertCount(0, $page->filter('#set-sheets'), 'nothing can be written down');
            $this->post('/paper/weigh/learn', ['paper' => $this->card->id, 'known' => '10', '_form' => 'learn']);
            $this->assertCode(422);
        }
        $this->postAndFollow('/paper/weigh/stand-in', ['paper' => $this->card->id, 'place' => $this->place('C2')->id, 'grams' => '260', 'mood' => 'steady']);
        self::assertStringContainsString('260 g', $this->text());
        self::assertSame(44, $this->balances($this->card)['C2']);
    }

    public function testACraftedFormIsRefused(): void
    {
        foreach ([['sheets' => '-1'], ['sheets' => 'many'], ['sheets' => '40', 'place' => '99999'], ['sheets' => '40', 'paper' => '99999'],
            ['sheets' => '40', 'paper' => $this->putInto('C3', 'Petrel ink')[0]->id]] as $fields) {
            $this->post('/paper/weigh', $fields + ['paper' => $this->card->id, 'place' => $this->place('C2')->id, '_form' => 'set']);
            self::assertContains($this->code(), [404, 409, 422], json_encode($fields, \JSON_THROW_ON_ERROR));
        }
        self::assertSame(44, $this->balances($this->card)['C2']);
        $this->signIn('hank');
        $this->get('/paper/weigh');
        $this->assertCode(403);
    }
}
