<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Catalogue;

use Lottel\Core\Catalogue\InvalidPaste;
use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Log\Tracking;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Measure\Size;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PastedThingTest extends TestCase
{
    public function testOneNameALine(): void
    {
        $things = $this->lines("Lighthouse and gulls\r\n\n  Petrel card; Marrowlight Paper; 24 \nTerns;; 3");
        self::assertSame(
            [['Lighthouse and gulls', '', 1], ['Petrel card', 'Marrowlight Paper', 24], ['Terns', '', 3]],
            array_map(static fn (PastedThing $thing): array => [$thing->name, $thing->maker, $thing->quantity], $things),
        );
    }

    public function testThemesAndAColourMayFollow(): void
    {
        [$gulls, $card, $named, $plain] = PastedThing::lines(
            "Gulls; Oddling; 1; seabirds, sea , ; #1F5C6B\nCard;;;;Petrel\nCard;;;;mustard\nPlain;;;;",
            new PlaceRule(),
            self::text(),
            new ColourWords(['Petrel' => '#1f5c6b']),
        );
        self::assertSame([['seabirds', 'sea'], '#1f5c6b', ''], [$gulls->themes, $gulls->colour, $gulls->colourName]);
        self::assertSame([[], '#1f5c6b', 'Petrel'], [$card->themes, $card->colour, $card->colourName], 'a colour of the room');
        self::assertSame(['#d4a017', 'mustard'], [$named->colour, $named->colourName], 'a colour that everybody knows');
        self::assertSame([[], null, '', 1], [$plain->themes, $plain->colour, $plain->colourName, $plain->quantity]);
    }

    /** @return iterable<array{string, string}> */
    public static function broken(): iterable
    {
        yield ["a\nb;c;1;d;e;f;g;h", 'Line 2 has too many'];
        yield ['Petrel card;;;;;wide', 'The size on line 1'];
        yield ['Petrel card;;;;;12 × 12;80 lb', 'The weight on line 1'];
        yield ['Gull stamps;;;;;12 × 12', 'Only papers'];
        yield ['b;c;1;d;#12', 'line 1'];
        yield [';Oddling', 'Line 1 has no name'];
        yield [str_repeat('x', 201), 'on line 1 is too long'];
        yield ["a\n\nb;c;0", 'line 3'];
        yield ['b;c;-1', 'line 1'];
        yield ['b;c;1.5', 'line 1'];
        yield ['b;c;10000000', 'line 1'];
        yield ['Velvet ribbon;;a while', 'line 1'];
        yield ['Petrel ink;;nine eighths', 'line 1'];
    }

    #[DataProvider('broken')]
    public function testSaysWhichLineIsBroken(string $text, string $message): void
    {
        $this->expectException(InvalidPaste::class);
        $this->expectExceptionMessage($message);
        $this->lines($text);
    }

    /** @return iterable<string, array{string, Tracking, int}> */
    public static function quantities(): iterable
    {
        yield 'one of a kind' => ['Gull die', Tracking::One, 1];
        yield 'several of a single kind' => ['Gull die;;3', Tracking::Count, 3];
        yield 'a bottle comes in full' => ['Petrel ink', Tracking::Level, 8];
        yield 'a bottle, half' => ['Petrel ink;;half', Tracking::Level, 4];
        yield 'a bottle, three quarters' => ['Petrel ink;;3/4', Tracking::Level, 6];
        yield 'one bottle' => ['Petrel ink;;1', Tracking::Level, 8];
        yield 'four bottles' => ['Petrel ink;;4', Tracking::Count, 4];
        yield 'ribbon in the room’s unit' => ['Velvet ribbon; ; 12', Tracking::Length, 12 * 8128];
        yield 'ribbon in metres' => ['Velvet ribbon;;5 m', Tracking::Length, 5000 * 320];
        yield 'ribbon in yards' => ['Velvet ribbon;;2 1/2 yd', Tracking::Length, 90 * 8128];
        yield 'ribbon in feet' => ['Velvet ribbon;;3 ft', Tracking::Length, 36 * 8128];
        yield 'a roll of unknown length' => ['Velvet ribbon', Tracking::One, 1];
        yield 'what is measured though its kind is not' => ['Elastic;;10 yd', Tracking::Length, 360 * 8128];
        yield 'a jar, half full, of whatever it is' => ['Odd jar;;half', Tracking::Level, 4];
    }

    #[DataProvider('quantities')]
    public function testQuantitiesAreReadAsTheirKindIsCounted(string $line, Tracking $tracking, int $quantity): void
    {
        [$thing] = $this->lines($line);
        self::assertSame([$tracking, $quantity], [$thing->tracking, $thing->quantity]);
    }

    public function testASheetSaysItsSizeAndItsWeight(): void
    {
        [$card, $plain, $unnamed] = $this->lines(
            "Petrel card; Marrowlight Paper; 24; sea; Petrel; 8 1/2 × 11; 80 lb cover\nFog card 12x12\nMarbled; ; ; ; ; A4",
        );
        self::assertTrue($card->sheet->size?->equals(Size::ofSixteenths(136, 176)));
        self::assertSame('80 lb cover', $card->sheet->weight?->exact());
        self::assertNull($plain->sheet->size, 'what its name tells is proposed, and not written');
        self::assertTrue($plain->sizeInName(LengthUnit::Inch)?->equals(Size::ofSixteenths(192, 192)));
        self::assertNull($card->sizeInName(LengthUnit::Inch));
        self::assertSame(Kind::Paper, $unnamed->kind, 'what has the size of a sheet is paper where nothing else is known');
    }

    public function testAPlaceYieldsToWhatANameTellsWhereItIsToldTo(): void
    {
        $rule = (new PlaceRule(Kind::Tool, 'Oddling'))->yielding();
        [$card, $other] = PastedThing::lines("Harbour card; ; 12; ; ; 6 × 6\nHarbour wall", $rule, self::text());
        self::assertSame([Kind::Paper, true, 'Oddling'], [$card->kind, $card->isKindGuessed, $card->maker]);
        self::assertSame([Kind::Tool, false], [$other->kind, $other->isKindGuessed]);
        self::assertSame(Kind::Tool, PastedThing::lines('Harbour card', new PlaceRule(Kind::Tool), self::text())[0]->kind, 'else the place counts more');
    }

    public function testWhatItsPlaceSaysIsTakenOverOnceAndNothingOfWhichItNamesSeveral(): void
    {
        [$one] = $this->lines('Terns', new PlaceRule(Kind::StampSet, 'Oddling', 'seabirds', 'spring'));
        self::assertSame(
            [Kind::StampSet, 'Oddling', ['seabirds'], 'spring', false],
            [$one->kind, $one->maker, $one->themes, $one->season, $one->isKindGuessed],
        );
        [$other] = $this->lines('Terns; ; ; sea', new PlaceRule(null, 'Oddling, Two Bollards', 'seabirds, sea'));
        self::assertSame([Kind::Other, '', ['sea']], [$other->kind, $other->maker, $other->themes]);
    }

    public function testAKindAndItsHazardsAreToldByTheName(): void
    {
        $told = [];
        foreach (
            $this->lines(
                "Hot glue gun\nCraft knife, spare blades\nSpray adhesive\nRare earth magnets\nAlcohol ink, Buoy\n"
                    ."Gull stamp set\nSky card\nOdd thing\nStamp of a glue gun",
            ) as $thing
        ) {
            $told[$thing->name] = [$thing->kind->value, implode(', ', array_column($thing->hazards, 'value')), $thing->isKindGuessed];
        }
        self::assertSame([
            'Hot glue gun' => ['machine', 'heavy, hot', true],
            'Craft knife, spare blades' => ['tool', 'blade', true],
            'Spray adhesive' => ['adhesive', 'solvent', true],
            'Rare earth magnets' => ['tool', 'small parts', true],
            'Alcohol ink, Buoy' => ['ink', 'solvent', true],
            'Gull stamp set' => ['stamp set', 'inky', true],
            'Sky card' => ['paper', '', true],
            'Odd thing' => ['other', '', false],
            'Stamp of a glue gun' => ['machine', 'heavy, hot', true],
        ], $told);
    }

    /** @return list<PastedThing> */
    private function lines(string $text, PlaceRule $rule = new PlaceRule()): array
    {
        return PastedThing::lines($text, $rule, self::text());
    }

    private static function text(): QuantityText
    {
        return new QuantityText(LengthUnit::Inch);
    }
}
