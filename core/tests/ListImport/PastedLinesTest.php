<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\ListImport;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\PastedThing;
use Lottel\Core\Catalogue\PlaceRule;
use Lottel\Core\ListImport\PastedLines;
use Lottel\Core\Log\QuantityText;
use Lottel\Core\Measure\LengthUnit;
use PHPUnit\Framework\TestCase;

final class PastedLinesTest extends TestCase
{
    public function testAllMistakesAreToldAtOnceEachBesideItsLine(): void
    {
        $lines = self::read("Gulls; Oddling\n\nPetrel card; ; lots; ; #12; 12 by; 80\n; Oddling; 3\nFog card; ; 5\na; b; c; d; e; f; g; h");
        self::assertSame(['Gulls', 'Fog card'], array_map(static fn (PastedThing $thing): string => $thing->name, $lines->things()));
        self::assertSame([3, 4, 6], array_map(static fn ($line): int => $line->number, $lines->wrong()));
        [$card, $nameless, $long] = $lines->wrong();
        self::assertSame(['quantity', 'colour', 'size', 'weight'], array_keys($card->wrong), 'all that is wrong with one line, too');
        self::assertSame(['quantity' => 'lots', 'colour' => '#12', 'size' => '12 by', 'weight' => '80'], $card->typed);
        self::assertSame('Petrel card', $card->thing->name);
        self::assertSame(['name' => 'What is it called?'], $nameless->wrong);
        self::assertSame('Oddling', $nameless->thing->maker);
        self::assertSame(['name' => 'a; b; c; d; e; f; g; h'], $long->typed);
        self::assertSame("Petrel card; ; lots; ; #12; 12 by; 80\n; Oddling; 3\na; b; c; d; e; f; g; h", $lines->wrongText());
        self::assertCount(1, self::read(str_repeat('x', 300).'; '.str_repeat('y', 300))->wrong());
    }

    public function testWhatComesOutOfASpreadsheetIsReadByItsColumns(): void
    {
        $lines = self::read("Item\tColour\tQty\tBrand\tPrice\nPetrel card\tPetrel\t24\tMarrowlight Paper\t9.80\nFog card\tFog\t9\t\t");
        self::assertSame(['Item', 'Colour', 'Qty', 'Brand', 'Price'], $lines->headings);
        self::assertSame(['Price'], $lines->passedOver, 'what is not taken is told');
        self::assertSame(
            [['Petrel card', 'Marrowlight Paper', 24, 'Petrel'], ['Fog card', '', 9, 'Fog']],
            array_map(static fn (PastedThing $thing): array => [$thing->name, $thing->maker, $thing->quantity, $thing->colourName], $lines->things()),
        );
        [$bare] = self::read("Petrel card\tMarrowlight Paper\t24")->things();
        self::assertSame(['Petrel card', 'Marrowlight Paper', 24], [$bare->name, $bare->maker, $bare->quantity], 'without headings as they are typed');
        self::assertCount(2, self::read("Sea label; Two Bollards\nGulls; Oddling")->things(), 'a name is no heading');
        self::assertCount(1, self::read("name; maker; quantity\nGulls; Oddling; 1")->things());
    }

    private static function read(string $text): PastedLines
    {
        return PastedLines::read($text, new PlaceRule(Kind::Paper), new QuantityText(LengthUnit::Inch));
    }
}
