<?php

declare(strict_types=1);

namespace App\Tests\Room\Catalogue;

use App\Room\Catalogue\KeepPhoto;
use App\Tests\RoomTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Uid\Uuid;

/** Taking in, describing and finding things. */
final class CatalogueTest extends RoomTestCase
{
    public function testPastedLinesAreShownBeforeTheyAreWritten(): void
    {
        $this->furnish();
        $this->putInto('C4', 'Lighthouse & gulls; Two Bollards');
        $page = $this->get('/stores/places/C1');
        $this->browser->submit($page->selectButton('Look first')->form(['things' => "Lighthouse and gulls; Oddling\nPetrels; ; 2; sea, seabirds; #1f5c6b"]));
        $this->assertCode(200);
        $page = $this->browser->getCrawler();
        self::assertStringContainsString('2 things for C1', $this->text());
        self::assertStringContainsString('You may already have this: Lighthouse & gulls, Two Bollards in C4', $this->text(), 'also by another maker');
        self::assertCount(1, $page->filter('tr.doubt'));
        self::assertSame(1, $this->number('SELECT count(*) FROM item'), 'nothing is written yet');
        $this->browser->submit($page->filter('#preview form')->form());
        $this->browser->followRedirect();
        self::assertStringContainsString('Lighthouse and gulls and Petrels are in C1 now', $this->text());
        $row = $this->database()->fetchAssociative("SELECT * FROM item WHERE name = 'Petrels'");
        self::assertNotFalse($row);
        self::assertSame(['["sea","seabirds"]', '#1f5c6b', 'stamp set'], [$row['themes'], $row['colour'], $row['kind']]);
    }

    public function testLinesWithTooManyFieldsLoseNothing(): void
    {
        $this->furnish();
        foreach (['preview', 'things'] as $to) {
            $this->post('/stores/places/C1/'.$to, ['things' => "Gulls\nTerns;a;1;b;c;d;e;f", '_form' => 'things']);
            $this->assertCode('things' === $to ? 422 : 200);
            self::assertStringContainsString('1 line cannot be read yet: 2 Terns;a;1;b;c;d;e;f', $this->text());
            self::assertStringContainsString('There are too many parts', $this->text());
            self::assertSame("Gulls\nTerns;a;1;b;c;d;e;f", trim($this->browser->getCrawler()->filter('#things-things')->text(normalizeWhitespace: false)));
        }
    }

    public function testTheQuickLineKeepsItsFocusAndInheritsFromThePlace(): void
    {
        $this->furnish();
        $place = $this->place('C2');
        $this->describePlace($place->address, maker: 'Marrowlight Paper', theme: 'sea');
        $place->dedicateTo('winter');
        $this->entities()->flush();
        $this->putInto('C2', 'Gull card; ; 10; ; Petrel');
        $this->database()->executeStatement("UPDATE item SET colour = '#1f5c6b' WHERE name = 'Gull card'");
        $page = $this->get('/stores/places/C2');
        $this->browser->submit($page->filter('#quick-things')->ancestors()->filter('form')->form(['things' => 'Tern card;;5;;petrel']));
        $page = $this->browser->followRedirect();
        self::assertCount(1, $page->filter('#quick-things[autofocus]'));
        $row = $this->database()->fetchAssociative("SELECT * FROM item WHERE name = 'Tern card'");
        self::assertNotFalse($row);
        self::assertSame(
            ['Marrowlight Paper', '["sea"]', 'paper', 'winter', '#1f5c6b'],
            [$row['maker'], $row['themes'], $row['kind'], $row['season'], $row['colour']],
            'the colour of the same name is known',
        );
    }

    public function testARecordByKindIsKeptFoundAndCopied(): void
    {
        $this->furnish();
        [$ink] = $this->putInto('C3', 'Petrel ink');
        $page = $this->get("/items/{$ink->id}/edit");
        self::assertCount(1, $page->filter('#item-detail_cleans_with'), 'an ink is asked what it comes off with');
        $this->browser->submit(
            $page
                ->selectButton('Write it down')
                ->form([
                    'detail_ink_type' => 'pigment',
                    'detail_cleans_with' => 'solvent cleaner',
                    'width' => '3',
                    'height' => '1',
                    'depth' => '3 3/4',
                    'grams' => '95 g',
                    'collection' => 'Harbour',
                    'season' => 'summer',
                ]),
        );
        $this->browser->followRedirect();
        self::assertStringContainsString('solvent cleaner', $this->text());
        $item = $this->item((int) $ink->id);
        self::assertSame([3 * 8128, 95, 'Harbour', 'summer'], [$item->width, $item->grams, $item->collection, $item->season]);
        $this->get('/find?q=solvent');
        self::assertStringContainsString('Petrel ink', $this->text());
        $this->postAndFollow("/items/{$ink->id}/duplicate");
        self::assertSame('Petrel ink (copy)', $this->browser->getCrawler()->filter('#item-name')->attr('value'));
        self::assertSame('pigment', $this->browser->getCrawler()->filter('#item-detail_ink_type')->attr('value'));
        foreach (['grams' => '0', 'width' => 'wide', 'season' => 'monsoon', 'detail_ink_type' => str_repeat('x', 201)] as $field => $wrong) {
            $this->post("/items/{$ink->id}/edit", [$field => $wrong, 'name' => 'Petrel ink', 'kind' => 'ink', 'tracking' => 'level', '_form' => 'item']);
            $this->assertCode(422, $field);
            self::assertCount(1, $this->browser->getCrawler()->filter("#item-{$field}-error"), $field);
        }
    }

    public function testSeveralAreChangedAtOnce(): void
    {
        $this->furnish();
        [$gulls, $terns, $puffins] = $this->putInto('C1', 'Gulls; A; 1; sea', 'Terns; B', 'Puffins; C');
        $chosen = ['items' => [$gulls->id, $terns->id], 'from' => 'place:C1', 'lies_in' => 'C1'];
        $this->postAndFollow('/things/change', $chosen + ['maker' => 'Oddling', 'theme' => 'seabirds']);
        self::assertSame('C1', $this->browser->getCrawler()->filter('.place-head .plate')->text(), 'back where they were chosen');
        $this->postAndFollow('/things/move', $chosen + ['to' => 'C4']);
        $this->entities()->clear();
        self::assertSame(
            ['Oddling', ['sea', 'seabirds'], 'C4'],
            [$this->item((int) $gulls->id)->maker, $this->item((int) $gulls->id)->themes, $this->item((int) $gulls->id)->home?->address],
        );
        self::assertSame(['Oddling', ['seabirds']], [$this->item((int) $terns->id)->maker, $this->item((int) $terns->id)->themes]);
        self::assertSame(['C', []], [$this->item((int) $puffins->id)->maker, $this->item((int) $puffins->id)->themes]);
        self::assertArrayHasKey('C4', $this->balances($gulls));
        $this->post('/things/change', ['maker' => 'X', 'from' => 'place:C1']);
        $this->assertCode(409, 'nothing was chosen');
        $this->post('/things/move', ['items' => [$puffins->id], 'to' => 'Z9', 'from' => 'place:C1', '_form' => 'several']);
        $this->assertCode(422);
        self::assertCount(1, $this->browser->getCrawler()->filter('#several [name="items[]"][checked]'), 'what was ticked stays ticked');
    }

    public function testWhatSharesAPocketMovesTogether(): void
    {
        $this->furnish();
        [$set, $die, $apart] = $this->putInto('C1', 'Lighthouse', 'Lighthouse dies', 'Gull dies');
        $this->postAndFollow("/items/{$set->id}/companions", ['other' => $die->id, 'is_together' => '1']);
        self::assertStringContainsString('in one pocket with it', $this->text());
        $this->postAndFollow("/items/{$set->id}/companions", ['other' => $apart->id]);
        $this->postAndFollow("/items/{$set->id}/home", ['address' => 'C5']);
        self::assertArrayHasKey('C5', $this->balances($set));
        self::assertArrayHasKey('C5', $this->balances($die));
        self::assertArrayHasKey('C1', $this->balances($apart));
        $this->postAndFollow("/items/{$die->id}/companions", ['other' => $set->id]);
        $this->postAndFollow("/items/{$set->id}/home", ['address' => 'C2']);
        self::assertArrayHasKey('C5', $this->balances($die), 'apart again');
    }

    private function upload(int $item, string $content, string $name): void
    {
        $file = tempnam(sys_get_temp_dir(), 'photo');
        file_put_contents((string) $file, $content);
        $this->browser->request(
            'POST',
            "/items/{$item}/photo",
            ['_request' => (string) Uuid::v7(), '_form' => 'photo'],
            ['photo' => new UploadedFile((string) $file, $name, test: true)],
        );
    }

    /** A picture 60 × 40, left half red and right half blue, with an EXIF block that says how it was held and where. */
    private function jpeg(int $orientation): string
    {
        $picture = imagecreatetruecolor(60, 40);
        self::assertNotFalse($picture);
        imagefilledrectangle($picture, 0, 0, 29, 39, 0xC02020);
        imagefilledrectangle($picture, 30, 0, 59, 39, 0x2020C0);
        ob_start();
        imagejpeg($picture, null, 95);
        $jpeg = (string) ob_get_clean();
        $tiff = "MM\0\x2a\0\0\0\x08".pack('n', 2).pack('nnNnn', 0x0112, 3, 1, $orientation, 0).pack('nnNN', 0x010E, 2, 12, 38).pack('N', 0)."SkerrowQuay\0";
        $exif = "Exif\0\0".$tiff;

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', \strlen($exif) + 2).$exif.substr($jpeg, 2);
    }

    public function testAPhotoIsTurnedUprightAndKeepsNothingButItsPicture(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C1', 'Gulls');
        foreach (
            [1 => [60, 40, 'red', 'left'], 3 => [60, 40, 'blue', 'left'], 6 => [40, 60, 'red', 'top'],
                8 => [40, 60, 'blue', 'top']] as $orientation => [$width, $height, $colour, $side]
        ) {
            $this->upload((int) $gulls->id, $this->jpeg($orientation), 'gulls.jpg');
            $this->assertCode(303);
            $this->entities()->clear();
            $path = $this->service(KeepPhoto::class)->path((string) $this->item((int) $gulls->id)->photo);
            $kept = (string) file_get_contents($path);
            self::assertStringNotContainsString('SkerrowQuay', $kept);
            self::assertStringNotContainsString('Exif', $kept);
            $picture = imagecreatefromstring($kept);
            self::assertNotFalse($picture);
            self::assertSame([$width, $height], [imagesx($picture), imagesy($picture)]);
            $at = 'left' === $side ? imagecolorat($picture, 5, 20) : imagecolorat($picture, 20, 5);
            self::assertSame($colour, (($at >> 16) & 255) > ($at & 255) ? 'red' : 'blue', "held as {$orientation}, {$side}");
        }
        $page = $this->get("/items/{$gulls->id}");
        self::assertCount(1, $page->filter('img.photo'));
        self::assertGreaterThanOrEqual(2, $page->filter('form[action$="/colour"]')->count(), 'its colours are offered');
        $this->browser->submit($page->filter('form[action$="/colour"]')->eq(0)->form());
        $this->entities()->clear();
        self::assertMatchesRegularExpression('/^#[0-9a-f]{6}$/', (string) $this->item((int) $gulls->id)->colour);
        $this->get("/items/{$gulls->id}/photo");
        self::assertSame('image/jpeg', $this->browser->getResponse()->headers->get('Content-Type'));
    }

    public function testLargePhotosAreMadeSmaller(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C1', 'Gulls');
        $picture = imagecreatetruecolor(3000, 1000);
        self::assertNotFalse($picture);
        ob_start();
        imagepng($picture);
        $this->upload((int) $gulls->id, (string) ob_get_clean(), 'wide.png');
        $this->assertCode(303);
        $this->entities()->clear();
        $size = getimagesize($this->service(KeepPhoto::class)->path((string) $this->item((int) $gulls->id)->photo));
        self::assertNotFalse($size);
        self::assertSame([1600, 533], [$size[0], $size[1]]);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function noPhotos(): iterable
    {
        yield 'a PNG that is none' => ['<?php echo 1;', 'gulls.png', 'no JPEG, PNG or WebP'];
        yield 'a PNG in name and head only' => ["\x89PNG\r\n\x1a\n\0\0\0\rIHDR\0\0\0\x10\0\0\0\x10\x08\2\0\0\0".str_repeat('x', 50), 'gulls.png', 'damaged'];
        yield 'a GIF' => ["GIF89a\1\0\1\0\x80\0\0\0\0\0\xff\xff\xff!\xf9\4\1\0\0\0\0,\0\0\0\0\1\0\1\0\0\2\2D\1\0;", 'gulls.gif', 'no JPEG, PNG or WebP'];
        yield 'an SVG' => ['<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>', 'gulls.svg', 'no JPEG, PNG or WebP'];
        yield 'nothing' => ['', 'gulls.jpg', 'no JPEG, PNG or WebP'];
        yield 'a head of a million million pixels' => [
            "\x89PNG\r\n\x1a\n\0\0\0\rIHDR\0\x0f\x42\x40\0\x0f\x42\x40\x08\2\0\0\0".str_repeat('x', 50),
            'gulls.png',
            '40 million pixels',
        ];
        yield 'a file of 16 MB' => [str_repeat("\xff\xd8\xff\xe0 large ", 1_500_000), 'gulls.jpg', 'larger than 15 MB'];
    }

    #[DataProvider('noPhotos')]
    public function testWhatIsNoPhotoIsRefused(string $content, string $name, string $message): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C1', 'Gulls');
        $this->upload((int) $gulls->id, $content, $name);
        $this->assertCode(422);
        self::assertStringContainsString($message, $this->browser->getCrawler()->filter('.field-error')->text());
        self::assertNull($this->item((int) $gulls->id)->photo);
    }

    public function testHalfAJpegDoesNotTakeThePlaceOfAGoodOne(): void
    {
        $this->furnish();
        [$gulls] = $this->putInto('C1', 'Gulls');
        $this->upload((int) $gulls->id, $this->jpeg(1), 'gulls.jpg');
        $this->entities()->clear();
        $good = (string) $this->item((int) $gulls->id)->photo;
        mt_srand(27);
        $picture = imagecreatetruecolor(300, 200);
        self::assertNotFalse($picture);
        for ($dot = 0; $dot < 400; ++$dot) {
            imagefilledrectangle($picture, $x = mt_rand(0, 300), $y = mt_rand(0, 200), $x + 20, $y + 20, mt_rand(0, 0xFFFFFF));
        }
        ob_start();
        imagejpeg($picture, null, 95);
        $whole = (string) ob_get_clean();
        foreach ([substr($whole, 0, intdiv(\strlen($whole), 2)), substr_replace($whole, str_repeat("\xFF\xD9", 25), 5000, 50)] as $damaged) {
            $this->upload((int) $gulls->id, $damaged, 'half.jpg');
            $this->assertCode(422);
            self::assertStringContainsString('part of the picture is missing', $this->browser->getCrawler()->filter('.field-error')->text());
            $this->entities()->clear();
            self::assertSame($good, $this->item((int) $gulls->id)->photo);
            self::assertFileExists($this->service(KeepPhoto::class)->path($good));
        }
        $this->upload((int) $gulls->id, $whole, 'whole.jpg');
        $this->assertCode(303, 'the same picture, whole');
    }

    public function testThingsWithoutAHomeAreProposedOne(): void
    {
        $this->furnish();
        $this->describePlace('C4', \Lottel\Core\Catalogue\Kind::Other, 'Oddling');
        $this->entities()->flush();
        $this->putInto('C4', 'Shells; Oddling', 'Pearls; Oddling', 'Corks; Oddling');
        [$sand] = $this->putInto('not filed', 'Sand; Oddling');
        $page = $this->get('/stores/queue');
        self::assertSame('C4', $page->filter('.proposal b')->eq(0)->text(), 'among things like it');
        self::assertStringContainsString('its label says Oddling', $this->text());
        $this->browser->submit($page->filter('.proposals form')->eq(0)->form());
        $this->browser->followRedirect();
        self::assertStringContainsString('Sand is at home in C4 now', $this->text());
        self::assertStringContainsString('Everything has a home', $this->text());
        $this->post('/stores/queue', ['item' => $sand->id, 'address' => 'nowhere', '_form' => 'file-'.$sand->id]);
        $this->assertCode(422);
    }

    public function testABasketOfNewThingsAsksToBeEmptiedAfterSoManyUses(): void
    {
        $this->furnish();
        $this->describePlace('C5', fileAfterUses: 2);
        $this->entities()->flush();
        [$gulls] = $this->putInto('C5', 'Gulls');
        foreach ([1, 2] as $use) {
            $this->get('/stores/queue');
            self::assertStringNotContainsString('New no longer', $this->text());
            $kit = $this->planKit('Kit '.$use, [[$gulls, 1]]);
            $this->postAndFollow("/kits/{$kit}/pull");
            $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C5', 'needs' => [$this->needId($kit, $gulls)]]);
            $this->postAndFollow("/kits/{$kit}/pull/end");
            $this->postAndFollow("/kits/{$kit}/return");
            $this->postAndFollow("/kits/{$kit}/return/home", ['items' => [$gulls->id]]);
            $this->postAndFollow("/kits/{$kit}/close");
        }
        $this->get('/stores/queue');
        self::assertStringContainsString('used 2 times, still in C5', $this->text());
    }

    public function testAPlaceSaysHowFullAndHeavyItIsAndWhatDoesNotBelong(): void
    {
        $this->furnish();
        $this->putInto('C2', 'White card;;900');
        $this->get('/stores/places/C2');
        self::assertStringContainsString('Too heavy: it comes off its runners', $this->text());
        [$die] = $this->putInto('C1', 'Stamps');
        $this->database()->executeStatement("UPDATE item SET kind = 'die' WHERE id = ?", [$die->id]);
        $page = $this->get('/stores/places/C1');
        self::assertStringContainsString('1 thing does not belong here', $this->text());
        self::assertStringContainsString('die, not stamp set', $this->text());
        $page = $this->postAndFollow('/stores/places/C1', [
            'scheme' => 'name',
            'says_kind' => 'stamp set',
            'also_kinds' => ['die', 'nonsense'],
            'inner_width' => '10',
            'inner_height' => '3',
            'inner_depth' => '12',
        ]);
        self::assertStringNotContainsString('does not belong here', $this->text(), 'dies belong here, too');
        self::assertCount(1, $page->filter('[name="also_kinds[]"][checked]'));
        $this->database()->executeStatement('UPDATE item SET width = ?, height = ?, depth = ? WHERE id = ?', [14 * 8128, 8128, 13 * 8128, $die->id]);
        $page = $this->get('/stores/places/C1');
        self::assertStringContainsString('too large for it', $this->text());
        $this->browser->click($page->filter('.misfiled a.button')->link());
        self::assertStringContainsString('A home for Stamps', $this->text());
    }

    public function testSeasonalPlacesAreNamedWhenTheirTimeComes(): void
    {
        $this->furnish();
        $season = \Lottel\Core\Catalogue\Season::broughtForwardOn(new \DateTimeImmutable(), new \DateTimeZone('UTC'))->value;
        $this->putInto('C4', 'Snow', 'Frost', 'Sun');
        $this->database()->executeStatement("UPDATE item SET season = ? WHERE name IN ('Snow', 'Frost')", [$season]);
        $this->postAndFollow('/stores/places/C5', ['name' => 'lanterns', 'scheme' => 'name', 'season' => $season]);
        $page = $this->get('/stores');
        self::assertSame(
            ['C4', 'C5'],
            $page->filter('.season .chip')->each(static fn ($chip): string => $chip->text()),
            'what most of a place is for counts, too',
        );
        $this->database()->executeStatement("UPDATE item SET season = '' WHERE name = 'Snow'");
        self::assertSame(['C5'], $this->get('/stores')->filter('.season .chip')->each(static fn ($chip): string => $chip->text()));
    }

    /** The height of an inner place is that of the drawer around it, not that of the unit. */
    public function testABoxInALowDrawerIsNotAboveTheShoulder(): void
    {
        $this->furnish();
        $this->postAndFollow('/stores/new-unit', ['template' => 'cabinet', 'letters' => 'T', 'rows' => '7']);
        foreach (['T1' => true, 'T7' => false] as $address => $isHigh) {
            $this->postAndFollow("/stores/places/{$address}/divide", ['division' => 'left and right']);
            $this->describePlace($address.'.a', \Lottel\Core\Catalogue\Kind::Paper);
            $this->entities()->flush();
            $this->putInto($address.'.a', 'White card;;300');
            $this->get('/stores/places/'.$address.'.a');
            self::assertSame($isHigh, str_contains($this->text(), 'Heavy above the shoulder'), $address);
        }
    }

    public function testFindForgivesSlipsAndNarrowsDown(): void
    {
        $this->furnish();
        [$gulls, $terns] = $this->putInto('C1', 'Lighthouse & gulls; Two Bollards; 1; sea; #1f5c6b', 'Terns; Oddling; 1; seabirds; #c02020');
        [$card] = $this->putInto('C2', 'Petrel card; Marrowlight Paper; 24; sea; #215f6e');
        $this->postAndFollow("/items/{$terns->id}/edit", [
            'name' => 'Terns',
            'kind' => 'stamp set',
            'tracking' => 'one',
            'sentiments' => 'Wishing you a safe harbour',
            'width' => '4',
            'height' => '5 1/4',
            'themes' => 'seabirds',
            'colour' => '#c02020',
        ]);
        foreach (
            [
                'lighthosue' => 'Lighthouse & gulls',
                'safe harbor' => 'Terns',
                'wihsing you' => 'Terns',
                'petrl' => 'Petrel card',
                'bolards' => 'Lighthouse & gulls',
            ] as $typed => $found
        ) {
            $this->get('/find?q='.urlencode($typed));
            self::assertStringContainsString($found, $this->text(), $typed);
            self::assertStringContainsString('Nothing here is written', $this->text(), $typed);
        }
        $this->get('/find?q='.urlencode('terns petrel'));
        self::assertStringContainsString('Nothing has all of these words; these have some', $this->text());
        $names = fn (string $query): array => $this->get('/find?'.$query)->filter('main .rows .name')->each(static fn ($node): string => $node->text());
        self::assertSame(['Lighthouse & gulls', 'Petrel card'], $names('theme=sea'));
        self::assertSame(['Petrel card'], $names('theme=sea&kind=paper'));
        self::assertSame(['Lighthouse & gulls', 'Petrel card'], $names('colour=%231f5c6b'), 'and a colour near it');
        self::assertSame(['Petrel card', 'Terns'], [...$names('colour=blue&theme=sea&kind=paper'), ...$names('colour=red')], 'a word means its family');
        $this->database()->executeStatement('UPDATE item SET sheet_width = ?, sheet_height = ? WHERE id = ?', [6 * 8128, 8 * 8128, $card->id]);
        self::assertSame(['Petrel card'], $names('panel='.urlencode('7 1/2 x 5 1/2')), 'it can be cut out of the paper, turned');
        self::assertSame(['Petrel card'], $names('panel='.urlencode('4 x 5')), 'not out of a stamp of that size');
        self::assertSame([], $names('panel='.urlencode('8 x 6 1/16')));
        self::assertSame([], $names('unused=6'), 'nothing has been here for so long');
        $this->database()->executeStatement("UPDATE item SET since = '2020-01-01 00:00:00'");
        self::assertSame(['Lighthouse & gulls', 'Petrel card', 'Terns'], $names('unused=6'));
        self::assertSame(['Terns'], $names('q=harbour&kind=stamp+set&state=home'));
        $kit = $this->planKit('Gulls', [[$gulls, 1]]);
        $this->postAndFollow("/kits/{$kit}/pull");
        $this->postAndFollow("/kits/{$kit}/pull/take", ['place' => 'C1', 'needs' => [$this->needId($kit, $gulls)]]);
        self::assertSame(['Lighthouse & gulls'], $names('state=out'));
        self::assertSame(['Petrel card', 'Terns'], $names('unused=6'), 'the one was used today');
        self::assertSame(['Petrel card', 'Terns'], $names('state=home'));
        self::assertSame(['Terns', 'Petrel card'], $names('state=home&order=walk'), 'C1 comes before C2');
        $page = $this->get('/find?theme=sea');
        self::assertSame('1', $page->filter('a.facet[href*="kind=paper"] em')->text(), 'each filter says how many');
        foreach (['colour=blueish' => 'colour', 'panel=4' => 'panel', 'panel=a+x+b' => 'panel'] as $query => $field) {
            $this->get('/find?'.$query);
            $this->assertCode(200);
            self::assertCount(1, $this->browser->getCrawler()->filter('.field-error'), $query);
        }
    }

    public function testASearchIsKeptUsedAndForgotten(): void
    {
        $this->furnish();
        $this->putInto('C1', 'Terns; Oddling; 1; sea');
        $this->database()->executeStatement("UPDATE item SET since = '2020-01-01 00:00:00'");
        $page = $this->get('/find?theme=sea&unused=6');
        $this->browser->submit($page->selectButton('Keep it')->form(['search_name' => 'sea, unused']));
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('“sea, unused” is kept', $this->text());
        $page = $this->get('/find');
        $this->browser->click($page->selectLink('sea, unused')->link());
        self::assertStringContainsString('Terns', $this->text());
        $this->post('/find/saved', ['search_name' => '', 'query' => 'theme=sea', '_form' => 'save']);
        $this->assertCode(422);
        $this->browser->submit($this->get('/find')->selectButton('Forget sea, unused')->form());
        $this->browser->followRedirect();
        self::assertCount(0, $this->browser->getCrawler()->filter('a.facet[href*="unused=6"][href*="theme=sea"]'));
    }
}
