<?php

declare(strict_types=1);

namespace App\Tests\Room\Catalogue;

use App\Platform\Database\Row;
use App\Tests\In;
use App\Tests\RoomTestCase;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Measure\LengthUnit;

/** Lines about new things: all mistakes at once, each beside its line; what is right can go in; what was typed stays. */
final class LinesTest extends RoomTestCase
{
    private const LINES = "Gulls; Oddling; 1\nTerns; ; lots\nPetrel card; ; 24; ; Petrel; 12 by\nPuffins";

    public function testAtTheFrontDoorEachMistakeStandsBesideItsCell(): void
    {
        $this->furnish();
        $page = $this->post('/take-in/look', ['things' => self::LINES, '_form' => 'things']);
        $this->assertCode(200);
        self::assertStringContainsString('2 lines have something that cannot be read', $this->text());
        self::assertSame('lots', $page->filter('#new-quantity_1')->attr('value'));
        self::assertSame('12 by', $page->filter('#new-size_2')->attr('value'));
        self::assertCount(2, $page->filter('[aria-invalid="true"]'));
        $form = $page->selectButton('Only those that are right')->form();
        $this->browser->submit($form);
        $this->assertCode(303, $this->text());
        $page = $this->browser->followRedirect();
        self::assertStringContainsString('2 things are in the room now', $this->text());
        self::assertStringContainsString('2 lines are left to be put right.', $this->text());
        self::assertSame("Terns; ; lots\nPetrel card; ; 24; ; Petrel; 12 by", $page->filter('textarea[name=things]')->text('', false));
        self::assertSame(2, $this->number('SELECT count(*) FROM item'));
        self::assertSame('', $this->get('/take-in')->filter('textarea[name=things]')->text('', false), 'only where they were asked for');
    }

    public function testAMistakeIsMendedInItsCell(): void
    {
        $this->furnish();
        $page = $this->post('/take-in/look', ['things' => "Gulls; ; many\nTerns", '_form' => 'things']);
        $this->browser->submit($page->filter('.cells-act button')->first()->form(), ['quantity_0' => 'still many']);
        $this->assertCode(422);
        self::assertSame(0, $this->number('SELECT count(*) FROM item'));
        $this->browser->submit($this->browser->getCrawler()->filter('.cells-act button')->first()->form(), ['quantity_0' => '3']);
        $this->assertCode(303, $this->text());
        self::assertSame(2, $this->number('SELECT count(*) FROM item'));
    }

    public function testInAPlaceTheRightOnesGoInAndTheOthersStay(): void
    {
        $this->furnish();
        $page = $this->post('/stores/places/C1/things', ['things' => "Gulls\nTerns; ; lots\nPuffins; ; many", '_form' => 'things']);
        $this->assertCode(422);
        self::assertSame(['2', '3'], $page->filter('.wrong-lines .amount')->each(static fn ($one): string => $one->text()));
        self::assertSame("Gulls\nTerns; ; lots\nPuffins; ; many", $page->filter('#take-in textarea')->text('', false));
        $this->browser->submit($page->selectButton('Put the one that is right in')->form());
        $this->assertCode(303, $this->text());
        $page = $this->browser->followRedirect();
        self::assertSame("Terns; ; lots\nPuffins; ; many", $page->filter('#take-in textarea')->text('', false));
        self::assertSame(1, $this->number('SELECT count(*) FROM item'));
        $this->browser->submit($page->filter('#take-in')->selectButton('Put them in')->form(), ['things' => "Terns; ; 2\nPuffins; ; 4"]);
        self::assertSame(3, $this->number('SELECT count(*) FROM item'));
    }

    public function testAKindThatIsChosenKeepsWhatWasTyped(): void
    {
        $this->furnish();
        $page = $this->get('/stores/places/C4');
        $chip = $page->filter('.what-goes button')->reduce(static fn ($one): bool => 'ink' === $one->text())->form();
        $this->browser->submit($chip, ['things' => "Petrel\nBuoy"]);
        $this->assertCode(303, $this->text());
        $page = $this->browser->followRedirect();
        self::assertSame("Petrel\nBuoy", $page->filter('#take-in textarea')->text('', false));
        self::assertSame(Kind::Ink, $this->place('C4')->saysKind);
        $page = $this->post('/stores/places/C5/preview', ['things' => "Petrel\nBuoy", '_form' => 'things']);
        $chip = $page->filter('.what-goes button')->reduce(static fn ($one): bool => 'ink' === $one->text())->form();
        $typed = In::of($chip->getPhpValues(), 'things');
        self::assertSame("Petrel\nBuoy", \is_string($typed) ? str_replace("\r\n", "\n", $typed) : '', 'also after a look');
    }

    public function testWhatIsPastedFromASpreadsheetIsReadByItsColumns(): void
    {
        $this->furnish();
        $this->postAndFollow('/stores/places/C2/things', ['things' => "Item\tColour\tQty\nPetrel card\tPetrel\t24\nFog card\tFog\t9", '_form' => 'things']);
        self::assertSame(
            ['Petrel card' => '24', 'Fog card' => '9'],
            array_map(Row::word(...), $this->database()->fetchAllKeyValue('SELECT i.name, b.quantity FROM item i JOIN balance b ON b.item_id = i.id
                JOIN place p ON p.id = b.place_id AND p.nature = \'storage\' ORDER BY i.id')),
        );
        $this->post('/stores/places/C2/preview', ['things' => "Item\tQty\tPrice\nMist card\t3\t2.50", '_form' => 'things']);
        self::assertStringContainsString('The first line is taken as headings. Not taken in here: Price.', $this->text());
    }

    public function testABareSizeThatIsAbsurdIsAskedAbout(): void
    {
        $this->furnish(LengthUnit::Millimetre);
        $page = $this->post('/take-in/look', ['things' => "Petrel card; ; 24; ; ; 12 × 12\nFog card; ; 9; ; ; 12 × 12 in", '_form' => 'things']);
        self::assertStringContainsString(
            '“12 × 12” would be in millimetres here. Write “12 × 12 in” or “12 × 12 mm”, whichever it is.',
            $page->filter('#new-size_0-told')->text(),
        );
        self::assertSame('304.8 mm × 304.8 mm', $page->filter('#new-size_1')->attr('value'));
    }
}
