<?php

declare(strict_types=1);

namespace App\Tests\Room\Catalogue;

use App\Room\Catalogue\Item;
use App\Tests\OwnFileTestCase;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Furniture\Cell;
use Lottel\Core\Picture\Spot;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Uid\Uuid;

/** The photo of an open drawer: its things touched, named, looked at and taken in. */
final class PlacePhotoTest extends OwnFileTestCase
{
    private const BLUE = [10, 15, 30, 50];
    private const RED = [55, 20, 31.7, 60];

    protected function setUp(): void
    {
        parent::setUp();
        $this->console('doctrine:migrations:migrate');
        $this->openRoom();
        $this->furnish();
    }

    public function testWhatIsTouchedIsFoundAndNumbered(): void
    {
        $page = $this->photograph();
        self::assertStringContainsString('Touch each thing on it', $this->text());
        $page = $this->touch($page, 150, 150);
        self::assertCount(1, $page->filter('.marks-drawn text'));
        self::assertGreaterThan(0.85, $this->spot($page, 0)->overlap(self::around(self::BLUE)), 'the blue card, from edge to edge');
        $page = $this->touch($page, 400, 200, ['name_0' => 'Blue card']);
        self::assertGreaterThan(0.85, $this->spot($page, 1)->overlap(self::around(self::RED)));
        self::assertSame('Blue card', $page->filter('#marks-name_0')->attr('value'), 'nothing typed is lost');
        $page = $this->touch($page, 0, 0);
        self::assertCount(3, $page->filter('.marks li'), 'a key marks a piece of the photo');
        $page = $this->marks($page, ['drop' => '0']);
        self::assertCount(2, $page->filter('.marks li'));
        self::assertSame('', $page->filter('#marks-name_0')->attr('value'), 'that one is gone');
        $page = $this->marks($page, ['box' => '64,42,320,213', 'shown' => '640']);
        self::assertSame('10, 9.8, 40, 40.1', (string) $this->spot($page, 2), 'a box that was drawn is taken as it is, whatever lies there');
        self::assertSame(0, $this->number('SELECT count(*) FROM item'), 'nothing is written yet');
    }

    public function testThingsAreTakenInWithTheirPictureColourAndSpot(): void
    {
        $files = $this->photosKept();
        $page = $this->touch($this->touch($this->photograph(), 150, 150), 400, 200);
        $page = $this->look($page, ['Blue card; Marrowlight Paper; 12', 'Red dye ink']);
        self::assertSame('paper', $page->filter('#new-kind_0 option[selected]')->attr('value'));
        self::assertSame('ink', $page->filter('#new-kind_1 option[selected]')->attr('value'), 'its name says more than its drawer, which is for paper');
        self::assertSame('C2', $page->filter('#new-home_0')->attr('value'));
        $this->browser->submit($page->selectButton('Put them in')->form());
        $this->assertCode(303);
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('Blue card and Red dye ink are taken from the photo', $this->text());
        self::assertCount(2, $page->filter('.seen-place a'));
        $card = $this->named('Blue card');
        self::assertSame(['C2' => 12, 'bought' => -12], $this->balances($card));
        self::assertMatchesRegularExpression('/^#[12][0-9a-f]6[0-9a-f][78][0-9a-f]$/', (string) $card->colour, 'the colour that the photo shows');
        self::assertSame($files + 3, $this->photosKept(), 'the drawer and a cut-out of each');
        $this->get('/items/'.$card->id.'/photo');
        $this->assertCode(200);
        $size = getimagesize($this->data.'/photos/'.$card->photo.'.jpg');
        self::assertNotFalse($size);
        self::assertEqualsWithDelta(180, $size[0], 8);
        self::assertEqualsWithDelta(200, $size[1], 8);
        $page = $this->get('/items/'.$card->id);
        self::assertCount(1, $page->filter('.seen-place a.lit'), 'its page shows where it lies');
        $page = $this->postAndFollow('/log/undo', ['step' => $this->word('SELECT max(request_id) FROM movement'), 'back' => '/stores/places/C2']);
        self::assertSame(0, $this->number('SELECT count(*) FROM spot'));
        self::assertSame(0, $this->number('SELECT count(*) FROM item WHERE removed_at IS NULL'));
        self::assertCount(0, $page->filter('.seen-place a'));
    }

    public function testPaperThatIsSeenAmongInksKeepsItsSize(): void
    {
        $this->describePlace('C2', Kind::Ink);
        $this->entities()->flush();
        $page = $this->look($this->touch($this->photograph(), 150, 150), ['Harbour card; ; 12; ; ; 6 × 6']);
        self::assertSame('paper', $page->filter('#new-kind_0 option[selected]')->attr('value'));
        self::assertSame('6 in × 6 in', $page->filter('#new-size_0')->attr('value'));
    }

    public function testWhatLivesThereIsThatOne(): void
    {
        $this->putInto('C2', 'Harbour card; Marrowlight Paper; 24');
        $page = $this->look($this->touch($this->photograph(), 150, 150), ['Harbour card']);
        $id = $this->number("SELECT id FROM item WHERE name = 'Harbour card'");
        self::assertSame('is-'.$id, $page->filter('#new-double_0 option[selected]')->attr('value'));
        $this->browser->submit($page->selectButton('Put it in')->form());
        $this->assertCode(303);
        self::assertSame(1, $this->number('SELECT count(*) FROM item'), 'it is not there twice');
        self::assertSame(['C2' => 24, 'bought' => -24], $this->balances($this->named('Harbour card')));
        self::assertNotNull($this->named('Harbour card')->photo);
        self::assertSame(1, $this->number('SELECT count(*) FROM spot'));
    }

    public function testAThingInAPartGoesIntoThatPart(): void
    {
        $this->postAndFollow('/stores/places/C2/inner', ['label' => 'a', 'kind' => 'box', 'inner_name' => 'left', 'layer' => '0']);
        $this->postAndFollow('/stores/places/C2/inner', ['label' => 'b', 'kind' => 'box', 'inner_name' => 'right', 'layer' => '0']);
        $this->place('C2.b')->putCell(new Cell(500, 0, 500, 1000));
        $this->entities()->flush();
        $page = $this->look($this->touch($this->touch($this->photograph(), 150, 150), 400, 200), ['Blue card', 'Red card']);
        self::assertSame('C2.b', $page->filter('#new-home_1')->attr('value'));
        self::assertSame('C2', $page->filter('#new-home_0')->attr('value'), 'where nobody has said where a part lies, nothing is guessed');
        $this->browser->submit($page->selectButton('Put them in')->form());
        $page = $this->browser->followRedirect();
        self::assertCount(2, $page->filter('.seen-place a'), 'the photo of a place shows what lies in its parts, too');
    }

    public function testWhatIsWrongIsSaidBesideItsField(): void
    {
        $this->photograph('Q9', isSent: false);
        $this->assertCode(422);
        $page = $this->photograph(file: self::noPicture(), isSent: false);
        $this->assertCode(422);
        self::assertStringContainsString('no JPEG', $page->filter('#photograph-photo-error')->text());
        self::assertSame(0, $this->photosKept(), 'what was refused is not kept');
        $this->get('/stores/places/C3/photo/things');
        $this->assertCode(404, 'without a photo there is nothing to touch');
        $this->get('/stores/places/C3/photo');
        $this->assertCode(404);

        $page = $this->touch($this->photograph(), 150, 150);
        $page = $this->look($page, ['']);
        $this->assertCode(422);
        self::assertCount(1, $page->filter('#marks-name_0-error'), 'a name has to be there');
        $page = $this->post('/stores/places/C2/photo/look', ['marks' => '1', 'name_0' => 'x', 'spot_0' => '90, 90, 40, 40', '_form' => 'marks']);
        $this->assertCode(422);
        self::assertStringContainsString('not wholly within', $page->filter('#marks-spot_0-error')->text());
        $this->post('/stores/places/C2/photo/look', ['marks' => '0', '_form' => 'marks']);
        $this->assertCode(409);
        self::assertStringContainsString('Touch a thing in the photo', $this->text());
    }

    public function testACraftedOrStaleFormWritesNothing(): void
    {
        [$elsewhere] = $this->putInto('C1', 'Lantern room');
        $this->photograph();
        $kept = $this->photosKept();
        $line = ['lines' => '1', 'text' => 'Lantern room', 'name_0' => 'Lantern room', 'kind_0' => 'stamp set', 'tracking_0' => 'one',
            'quantity_0' => '1', 'home_0' => 'C2', '_form' => 'new'];
        $this->post('/stores/places/C2/photo/take-in', ['double_0' => 'is-'.$elsewhere->id, 'spot_0' => '10, 10, 20, 20'] + $line);
        $this->assertCode(409, 'that one lives elsewhere');
        self::assertStringContainsString('does not live in C2', $this->text());
        $this->post('/stores/places/C2/photo/take-in', ['spot_0' => '10, 10, 2000, 20'] + $line);
        $this->assertCode(422);
        $this->post('/stores/places/C2/photo/take-in', ['double_0' => 'out', 'spot_0' => '10, 10, 20, 20'] + $line);
        $this->assertCode(409);
        self::assertSame([1, $kept], [$this->number('SELECT count(*) FROM item'), $this->photosKept()], 'nothing is written, no cut-out is left behind');

        $id = (string) Uuid::v7();
        foreach ([1, 2] as $_) {
            $this->post('/stores/places/C2/photo/take-in', ['spot_0' => '10, 10, 20, 20'] + $line, $id);
            $this->assertCode(303);
        }
        self::assertSame([2, $kept + 1], [$this->number('SELECT count(*) FROM item'), $this->photosKept()], 'sent twice, done once');

        $this->signIn('hank');
        foreach (['/stores/places/C2/photo/things', '/stores/places/C2/photo/take-in', '/take-in/photo', '/stores/places/C2/photo/off'] as $path) {
            $this->post($path, $line);
            $this->assertCode(403, $path);
        }
        $this->get('/stores/places/C2/photo');
        $this->assertCode(200, 'a helper sees it');
    }

    public function testThePhotoIsTakenOffAndPutBack(): void
    {
        $this->photograph();
        $page = $this->get('/stores/places/C2');
        $this->browser->submit($page->selectButton('Take the photo off')->form());
        $page = $this->browser->followRedirect();
        self::assertCount(0, $page->filter('.seen-place'));
        $this->browser->submit($page->selectButton('Undo')->form());
        self::assertCount(1, $this->browser->followRedirect()->filter('.seen-place'));
        $old = $this->photosKept();
        $this->photograph();
        self::assertSame($old, $this->photosKept(), 'another photo takes the place of the old one');
    }

    public function testOnTheWayOneSeesWhereItLies(): void
    {
        $page = $this->look($this->touch($this->photograph(), 150, 150), ['Blue card; ; 12']);
        $this->browser->submit($page->selectButton('Put it in')->form());
        $card = $this->named('Blue card');
        $kit = $this->planKit('Harbour', [[$card, 2]]);
        $page = $this->postAndFollow("/kits/{$kit}/pull");
        self::assertCount(1, $page->filter('.stop-photo a.lit'));
        $this->postAndFollow('/things/move', ['items' => [$card->id], 'to' => 'C3', 'from' => 'place:C2', 'lies_in' => 'C2']);
        self::assertCount(0, $this->get('/items/'.$card->id)->filter('.seen-place'), 'it lives elsewhere by now');
        self::assertCount(0, $this->get('/stores/places/C2')->filter('.seen-place a'));
    }

    private static function drawer(): UploadedFile
    {
        $picture = imagecreatetruecolor(600, 400);
        imagefill($picture, 0, 0, 0xA98A5E);
        imagefilledrectangle($picture, 60, 60, 239, 259, 0x1F6580);
        imagefilledrectangle($picture, 330, 80, 519, 319, 0xC6483C);
        $path = (string) tempnam(sys_get_temp_dir(), 'drawer');
        imagejpeg($picture, $path, 92);

        return new UploadedFile($path, 'drawer.jpg', 'image/jpeg', null, true);
    }

    private static function noPicture(): UploadedFile
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'drawer');
        file_put_contents($path, 'no picture at all');

        return new UploadedFile($path, 'drawer.jpg', 'image/jpeg', null, true);
    }

    private function photograph(string $place = 'C2', ?UploadedFile $file = null, bool $isSent = true): Crawler
    {
        $fields = ['_request' => (string) Uuid::v7(), '_form' => 'photograph', 'place' => $place];
        $page = $this->browser->request('POST', '/take-in/photo', $fields, ['photo' => $file ?? self::drawer()]);
        if (!$isSent) {
            return $page;
        }
        $this->assertCode(303);

        return $this->browser->followRedirect();
    }

    /**
     * @param array<string, string> $typed
     *
     * @return Crawler after the photo was touched, in pixels of a photo that is shown 600 wide
     */
    private function touch(Crawler $page, int $x, int $y, array $typed = []): Crawler
    {
        return $this->marks($page, ['tap_x' => (string) $x, 'tap_y' => (string) $y, 'shown' => '600'] + $typed);
    }

    /** @param array<string, string> $more */
    private function marks(Crawler $page, array $more): Crawler
    {
        $page = $this->post('/stores/places/C2/photo/things', $more + $this->typed($page));
        $this->assertCode(200);

        return $page;
    }

    /** @param list<string> $names */
    private function look(Crawler $page, array $names): Crawler
    {
        $named = [];
        foreach ($names as $nth => $name) {
            $named['name_'.$nth] = $name;
        }

        return $this->post('/stores/places/C2/photo/look', $named + $this->typed($page));
    }

    /** @return array<string, string> what stands in the form of the marks */
    private function typed(Crawler $page): array
    {
        $typed = ['_form' => 'marks'];
        foreach ($page->filter('#marks input[name]:not([type="image"])') as $field) {
            \assert($field instanceof \DOMElement);
            $typed[$field->getAttribute('name')] = $field->getAttribute('value');
        }
        unset($typed['_request']);

        return $typed;
    }

    private function spot(Crawler $page, int $mark): Spot
    {
        return Spot::parse((string) $page->filter("#marks-spot_{$mark}")->attr('value'));
    }

    /** @param list<float|int> $perCent */
    private static function around(array $perCent): Spot
    {
        return Spot::parse(implode(', ', $perCent));
    }

    private function named(string $name): Item
    {
        return $this->item($this->number("SELECT id FROM item WHERE name = '$name' AND removed_at IS NULL"));
    }

    private function photosKept(): int
    {
        return \count(glob($this->data.'/photos/*.jpg') ?: []);
    }
}
