<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Colour;

use Lottel\Core\Colour\CssColour;
use Lottel\Core\Colour\InvalidPalette;
use Lottel\Core\Colour\NamedColour;
use Lottel\Core\Colour\PaletteReader;
use Lottel\Core\Colour\PaletteWriter;
use Lottel\Core\Colour\Srgb;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PaletteFileTest extends TestCase
{
    /**
     * hsl and oklch computed with the npm package culori 4.0.2, `formatHex`; the others are read as they stand (CSS Color Module Level 4).
     *
     * @return iterable<array{string, string|null}>
     */
    public static function cssColours(): iterable
    {
        yield ['#00ff00', '#00ff00'];
        yield ['#0F0', '#00ff00'];
        yield ['#0000ffcc', '#0000ff'];
        yield ['rgb(0 255 0)', '#00ff00'];
        yield ['rgba(0, 100%, 0, 0.5)', '#00ff00'];
        yield ['hsl(120 100% 25%)', '#008000'];
        yield ['hsl(-240deg, 100%, 25%)', '#008000'];
        yield ['hsl(270 60% 50% / 40%)', '#8033cc'];
        yield ['oklch(0.7 0.1 120)', '#96a85e'];
        yield ['oklch(40% 0.05 230deg)', '#294d5e'];
        yield ['oklch(82% 25% 75)', '#eabb79'];
        yield ['hsl(33.5 41.2% 70.1%)', '#d2b693'];
        yield ['#12345', null];
        yield ['rgb(1 2)', null];
        yield ['var(--other)', null];
        yield ['harbour', null];
    }

    #[DataProvider('cssColours')]
    public function testReadsColoursOfCss(string $text, ?string $hex): void
    {
        self::assertSame($hex, CssColour::read($text)?->hex());
    }

    public function testReadsAPaletteLineByLine(): void
    {
        $read = PaletteReader::read("GIMP Palette\r\nName: Harbour at six\r\nColumns: 4\r\n# seen from the quay\r\n"
            ." 31  78  95\tPetrel  grey\r\n255 255 255\r\n300 0 0 no\r\nrope\r\n");
        self::assertSame('Harbour at six', $read->name);
        self::assertSame(['Petrel grey #1f4e5f', ' #ffffff'], self::words($read->colours));
        self::assertSame([7, 8], $read->unread);
        self::assertSame('white', $read->colours[1]->called());
    }

    public function testReadsCustomProperties(): void
    {
        $read = PaletteReader::read(":root { --petrel-grey: #1F4E5F; /* Petrel, grey */\n"
            ."  --rope:rgb(190 160 120);\n --gap: 4px;\n--tern_white : hsl(0 0% 100%) }");
        self::assertSame(['Petrel, grey #1f4e5f', 'Rope #bea078', 'Tern white #ffffff'], self::words($read->colours));
        self::assertSame([3], $read->unread);
    }

    /** @return iterable<array{string}> */
    public static function lists(): iterable
    {
        yield 'plain' => ["Petrel, #1f4e5f\nRope, #bea078\n"];
        yield 'colour first, semicolons' => ["#1F4E5F;Petrel\nbea078;Rope"];
        yield 'headings' => ["Colour;Maker;Name\n#1f4e5f;Quayside;Petrel\n#bea078;Quayside;Rope\n"];
        yield 'channels, tabs' => ["Name\tRed\tGreen\tBlue\nPetrel\t31\t78\t95\nRope\t190\t160\t120\n"];
        yield 'with a mark, quoted' => ["\u{FEFF}\"Name\",\"Hex\"\n\"Petrel\",\"#1f4e5f\"\n\"Rope\",\"#bea078\""];
    }

    #[DataProvider('lists')]
    public function testReadsLists(string $text): void
    {
        $read = PaletteReader::read($text);
        self::assertSame(['Petrel #1f4e5f', 'Rope #bea078'], self::words($read->colours));
        self::assertSame([], $read->unread);
    }

    public function testTellsTheRowsThatSayNoColour(): void
    {
        self::assertSame([2, 4], PaletteReader::read("Petrel,#1f4e5f\nFog,grey\n\nRope,#12\n")->unread);
    }

    public function testWhatItWritesItReads(): void
    {
        mt_srand(1526);
        $letters = ['a', 'B', 'é', ' ', '-', '*/', '/*', '#', ';', '{', '}', ':', '0', '"', ','];
        for ($round = 0; $round < 60; ++$round) {
            $colours = [];
            for ($i = mt_rand(1, 30); $i > 0; --$i) {
                $name = implode('', array_map(static fn (): string => $letters[mt_rand(0, \count($letters) - 1)], range(1, mt_rand(1, 12))));
                $colours[] = new NamedColour(trim((string) preg_replace('/\s+/', ' ', $name)), Srgb::ofHex(\sprintf('#%06x', mt_rand(0, 0xFFFFFF))));
            }
            $read = PaletteReader::read(PaletteWriter::gpl('Round', $colours));
            self::assertSame('Round', $read->name);
            self::assertSame(self::words($colours), self::words($read->colours));
            $css = PaletteWriter::css('Round', $colours);
            $words = array_map(static fn (string $one): string => strtr($one, ['*/' => '* /', '/*' => '/ *']), self::words($colours));
            $read = self::words(PaletteReader::read($css)->colours);
            self::assertSame(array_map(self::onlyLetters(...), $words), array_map(self::onlyLetters(...), $read), $css);
            preg_match_all('/--([^:\s]+):/', (string) preg_replace('~/\*.*?\*/~', '', $css), $names);
            self::assertSame($names[1], array_values(array_unique($names[1])), 'each property once');
        }
    }

    public function testRefusesWhatIsNoPalette(): void
    {
        foreach (['', 'a letter to a friend', "GIMP Palette\nName: empty\n", ':root { --gap: 4px; }'] as $text) {
            try {
                PaletteReader::read($text);
                self::fail($text);
            } catch (InvalidPalette $invalid) {
                self::assertStringContainsString('No colour', $invalid->getMessage());
            }
        }
        $this->expectExceptionMessage('more than 500');
        PaletteReader::read(str_repeat("#1f4e5f\n", 501));
    }

    private static function onlyLetters(string $text): string
    {
        return (string) preg_replace('/\s+/', '', $text);
    }

    /**
     * @param list<NamedColour> $colours
     *
     * @return list<string>
     */
    private static function words(array $colours): array
    {
        return array_map(static fn (NamedColour $one): string => $one->name.' '.$one->colour->hex(), $colours);
    }
}
