<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Colour;

use Lottel\Core\Colour\ColourWanted;
use Lottel\Core\Colour\ColourWords;
use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\InvalidColour;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\OkLch;
use Lottel\Core\Colour\RainbowOrder;
use Lottel\Core\Colour\Srgb;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ColourTest extends TestCase
{
    /**
     * Computed with the npm package culori 4.0.2, `lab65`, whose white is x 0.3127, y 0.3290.
     *
     * @return iterable<array{string, float, float, float}>
     */
    public static function labValues(): iterable
    {
        yield ['#ffffff', 100, 0, 0];
        yield ['#000000', 0, 0, 0];
        yield ['#ff0000', 53.2371, 80.0901, 67.2033];
        yield ['#00ff00', 87.7355, -86.1816, 83.1866];
        yield ['#0000ff', 32.3009, 79.1953, -107.8555];
        yield ['#808080', 53.5850, 0, 0];
        yield ['#1f7a6d', 46.0611, -29.2446, -0.4360];
        yield ['#b5483a', 45.3114, 43.3572, 30.9520];
    }

    #[DataProvider('labValues')]
    public function testLabAgreesWithAReference(string $hex, float $l, float $a, float $b): void
    {
        $lab = Lab::of(Srgb::ofHex($hex));
        self::assertEqualsWithDelta($l, $lab->l, 0.0002);
        self::assertEqualsWithDelta($a, $lab->a, 0.0002);
        self::assertEqualsWithDelta($b, $lab->b, 0.0002);
    }

    /** Common practice, no source: how cardstock is sorted into folders. */
    public function testFamiliesAreWhatPeopleSayOfCardstock(): void
    {
        foreach (
            [
                '#c8372d' => 'red',
                '#e07a2f' => 'orange',
                '#f0cf4e' => 'yellow',
                '#1f7a55' => 'green',
                '#2f5f9e' => 'blue',
                '#6a3b93' => 'violet',
                '#e8a9b8' => 'pink',
                '#8a5a34' => 'brown',
                '#808080' => 'neutral',
                '#f7f5ef' => 'neutral',
            ] as $hex => $family
        ) {
            self::assertSame($family, Family::of(Srgb::ofHex($hex))->value, $hex);
        }
    }

    /** Blues of sRGB as CSS Color Module Level 4 names them (W3C), with the names that people give them; and what is near them. */
    public function testPureAndBrightBluesAreBlueAndVioletsAreNot(): void
    {
        $named = [
            'blue' => [
                '#0000ff',
                '#000080',
                '#0000cd',
                '#00008b',
                '#4169e1',
                '#1e90ff',
                '#6495ed',
                '#4682b4',
                '#87ceeb',
                '#3344ff',
                '#5555ff',
                '#191970',
            ],
            'violet' => ['#8a2be2', '#4b0082', '#800080', '#9400d3', '#9370db', '#663399', '#b9a6d9'],
            'green' => ['#008000', '#2e8b57', '#98fb98', '#808000'],
            'pink' => ['#ffc0cb', '#ff69b4', '#ff1493'],
            'red' => ['#ff0000', '#8b0000', '#dc143c'],
            'orange' => ['#ffa500', '#ff7f50'],
            'yellow' => ['#ffff00', '#ffd700'],
            'brown' => ['#a0522d', '#d2b48c'],
            'neutral' => ['#fffff0', '#36454f', '#000000'],
        ];
        foreach ($named as $family => $colours) {
            foreach ($colours as $hex) {
                self::assertSame($family, Family::of(Srgb::ofHex($hex))->value, $hex);
            }
        }
    }

    public function testColoursAreUnderstoodByTheirWords(): void
    {
        $words = new ColourWords(['Petrel' => '#1f5c6b', 'Navy' => '#101030']);
        foreach (
            [
                'yellow' => 'yellow',
                'navy blue' => 'blue',
                'coral' => 'orange',
                'kraft' => 'brown',
                'light green' => 'green',
                'dark red' => 'red',
                'pale pink' => 'pink',
                'GREY' => 'neutral',
                'gray' => 'neutral',
                'off-white' => 'neutral',
            ] as $word => $family
        ) {
            self::assertSame($family, Family::of($words->read($word))->value, $word);
        }
        self::assertSame('#1f5c6b', $words->read(' petrel ')->hex(), 'the room’s own');
        self::assertSame('#101030', $words->read('navy')->hex(), 'the room’s own word goes before everybody’s');
        self::assertSame('#aabbcc', $words->read('#AABBCC')->hex());
        foreach (['', 'greenish', 'light', 'dark dark', '#12345', 'yellow-ish'] as $none) {
            self::assertNull($words->find($none), $none);
        }
        self::assertGreaterThanOrEqual(30, \count(ColourWords::CHIPS));
        foreach (ColourWords::CHIPS as $word => $hex) {
            self::assertStringContainsString($word, ColourWords::wordsFor(Srgb::ofHex($hex)), 'a chip is found by its own word');
        }
    }

    public function testAFamilysWordMeansTheWholeFamily(): void
    {
        $blue = ColourWanted::read('blue', new ColourWords());
        self::assertTrue($blue->isMetBy(Srgb::ofHex('#0000ff')));
        self::assertTrue($blue->isMetBy(Srgb::ofHex('#b7d6ee')));
        self::assertFalse($blue->isMetBy(Srgb::ofHex('#8a2be2')));
        $petrel = ColourWanted::read('#1f5c6b', new ColourWords());
        self::assertTrue($petrel->isMetBy(Srgb::ofHex('#205d6d')));
        self::assertFalse($petrel->isMetBy(Srgb::ofHex('#b7d6ee')), 'a code means what is near it');
        $this->expectException(InvalidColour::class);
        ColourWanted::read('bluish', new ColourWords());
    }

    public function testAColourMadeLighterKeepsItsHue(): void
    {
        foreach (['#2562c9', '#2e8b47', '#c8322d', '#7a4e2d'] as $hex) {
            $colour = OkLch::of(Srgb::ofHex($hex));
            self::assertSame($hex, $colour->atLightness($colour->l)->hex(), 'there and back');
            $lighter = OkLch::of($colour->atLightness($colour->l + 0.1));
            self::assertEqualsWithDelta($colour->h, $lighter->h, 6, $hex);
            self::assertEqualsWithDelta($colour->l + 0.1, $lighter->l, 0.03, $hex);
        }
    }

    public function testRainbowOrderIsAnOrder(): void
    {
        mt_srand(5);
        $colours = array_map(static fn (): Srgb => Srgb::ofHex(\sprintf('#%06x', mt_rand(0, 0xFFFFFF))), range(1, 60));
        foreach ($colours as $a) {
            self::assertSame(0, RainbowOrder::compare($a, $a));
            foreach ($colours as $b) {
                self::assertSame(RainbowOrder::compare($a, $b), -RainbowOrder::compare($b, $a));
            }
        }
        $sorted = $colours;
        usort($sorted, RainbowOrder::compare(...));
        self::assertSame($sorted, RainbowOrder::sorted($colours, static fn (Srgb $colour): Srgb => $colour));
        $ranks = array_map(static fn (Srgb $colour): int => Family::of($colour)->rank(), $sorted);
        $expected = $ranks;
        sort($expected);
        self::assertSame($expected, $ranks, 'families stay together');
    }

    public function testRefusesWhatIsNoHex(): void
    {
        self::assertSame('#1f7a6d', Srgb::ofHex('#1F7A6D')->hex());
        foreach (['', '#fff', '1f7a6d', '#1f7a6g', "#1f7a6d\n", '#1f7a6d00'] as $text) {
            try {
                Srgb::ofHex($text);
                self::fail('Taken: '.$text);
            } catch (InvalidColour $refused) {
                self::assertStringContainsString('#1f7a6d', $refused->getMessage());
            }
        }
    }

    public function testAColourIsSpeltAsTheRoomSpellsIt(): void
    {
        $words = new ColourWords(['Gold' => '#c9a227', 'Écume' => '#e0f0ee']);
        self::assertSame(['Gold', 'Gold', 'Écume', 'Silver'], array_map($words->spelt(...), ['gold', ' GOLD ', 'écume', 'Silver']));
        self::assertSame('#e0f0ee', $words->find('ÉCUME')?->hex());
    }
}
