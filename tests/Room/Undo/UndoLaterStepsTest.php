<?php

declare(strict_types=1);

namespace App\Tests\Room\Undo;

use App\Room\Catalogue\Item;
use App\Tests\RoomTestCase;

/** What was done later may forbid an undo; then the thing is named, and nothing is put back. */
final class UndoLaterStepsTest extends RoomTestCase
{
    private Item $card;

    protected function setUp(): void
    {
        parent::setUp();
        $this->furnish();
        $this->step(function (\App\Platform\Steps\Step $step): void {
            $this->card = new Item('Gull card', \Lottel\Core\Catalogue\Kind::FinishedPiece, \Lottel\Core\Log\Tracking::Count, $this->place('C5'));
            $this->entities()->persist($this->card);
            $this->entities()->flush();
            $this->service(\App\Room\Catalogue\TakeIn::class)->stock($step, $this->card, $this->place('C5'), 1, \Lottel\Core\Log\Outside::MadeHere);
        });
        foreach (['Maren', 'Pelle'] as $person) {
            $this->postAndFollow('/occasions', ['kind' => 'birthday', 'person' => $person, 'on' => '3 May', 'pieces' => '1']);
        }
    }

    public function testOneCardIsNotKeptForTwoDays(): void
    {
        [$first, $second] = [$this->occasion(0), $this->occasion(1)];
        $this->sql(fn () => $this->database()->insert('set_aside', ['occasion_id' => $first, 'item_id' => $this->card->id, 'day' => '2027-05-03']));
        $this->sql(fn () => $this->database()->executeStatement('DELETE FROM set_aside'));
        $put = $this->word('SELECT request_id FROM step_change ORDER BY id DESC LIMIT 1');
        $this->sql(fn () => $this->database()->insert('set_aside', ['occasion_id' => $second, 'item_id' => $this->card->id, 'day' => '2027-05-03']));
        $this->post('/log/undo', ['step' => $put, 'back' => '/shelf']);
        $this->assertCode(409);
        self::assertStringContainsString('Gull card would be kept for more days than there are of it', $this->text());
        self::assertSame(1, $this->number('SELECT count(*) FROM set_aside'));
    }

    public function testAPageIsNotInTwoAlbums(): void
    {
        foreach (['First', 'Second'] as $name) {
            $this->database()->insert('album', ['name' => $name]);
        }
        [$one, $two] = array_map(intval(...), array_filter($this->database()->fetchFirstColumn('SELECT id FROM album ORDER BY id'), is_numeric(...)));
        $page = ['item_id' => $this->card->id, 'position' => 1, 'title' => ''];
        $this->sql(fn () => $this->database()->insert('album_page', ['album_id' => $one] + $page));
        $this->sql(fn () => $this->database()->executeStatement('DELETE FROM album_page'));
        $taken = $this->word('SELECT request_id FROM step_change ORDER BY id DESC LIMIT 1');
        $this->sql(fn () => $this->database()->insert('album_page', ['album_id' => $two] + $page));
        $this->post('/log/undo', ['step' => $taken, 'back' => '/albums']);
        $this->assertCode(409);
        self::assertStringContainsString('Gull card has another place in an album meanwhile', $this->text());
    }

    public function testWhatIsPutBackIsNamed(): void
    {
        $this->sql(fn () => $this->database()->insert('saved_search', ['name' => 'Gulls', 'query' => 'q=gulls']));
        $this->sql(fn () => $this->database()->executeStatement("UPDATE saved_search SET query = 'q=terns'"));
        $changed = $this->word('SELECT request_id FROM step_change ORDER BY id DESC LIMIT 1');
        $page = $this->postAndFollow('/log/undo', ['step' => $changed, 'back' => '/plan']);
        self::assertStringContainsString('“Gulls” is as before', $page->text());
        self::assertStringNotContainsString('“”', $page->text());
    }

    private function occasion(int $nth): int
    {
        return $this->number('SELECT id FROM occasion ORDER BY id LIMIT 1 OFFSET '.$nth);
    }

    /** @param callable(): mixed $change */
    private function sql(callable $change): void
    {
        $this->step(static function () use ($change): void {
            $change();
        });
    }
}
