<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Colour;

use Lottel\Core\Colour\Balance;
use Lottel\Core\Colour\Difference;
use Lottel\Core\Colour\Harmony;
use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Naming;
use Lottel\Core\Colour\OkLch;
use Lottel\Core\Colour\Palette;
use Lottel\Core\Colour\Srgb;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PaletteTest extends TestCase
{
    /**
     * Computed with the npm package culori 4.0.2, `oklch`.
     *
     * @return iterable<array{string, float, float, float|null}>
     */
    public static function okLchValues(): iterable
    {
        yield ['#ff0000', 0.62796, 0.25768, 29.2339];
        yield ['#00ff00', 0.86644, 0.29483, 142.4953];
        yield ['#0000ff', 0.45201, 0.31321, 264.0520];
        yield ['#ffffff', 1.0, 0.0, null];
        yield ['#1f7a6d', 0.52438, 0.08498, 181.1191];
    }

    #[DataProvider('okLchValues')]
    public function testOkLchAgreesWithAReference(string $hex, float $l, float $c, ?float $h): void
    {
        $colour = OkLch::of(Srgb::ofHex($hex));
        self::assertEqualsWithDelta($l, $colour->l, 0.00002);
        self::assertEqualsWithDelta($c, $colour->c, 0.00002);
        if (null !== $h) {
            self::assertEqualsWithDelta($h, $colour->h, 0.01);
        }
    }

    public function testAPictureOfFiveColoursHasThatPaletteWithItsShares(): void
    {
        $colours = ['#1f5c6b' => 500, '#f7f5ef' => 300, '#c8372d' => 120, '#e3b23c' => 60, '#1d1d1f' => 20];
        mt_srand(6);
        $pixels = [];
        foreach ($colours as $hex => $count) {
            for ($i = 0; $i < $count; ++$i) {
                $pixels[] = $this->near((int) hexdec(substr($hex, 1)));
            }
        }
        shuffle($pixels);
        $palette = Palette::of($pixels);
        self::assertCount(5, $palette->colours);
        foreach (array_keys($colours) as $at => $hex) {
            $found = $palette->colours[$at];
            self::assertLessThan(3, Difference::between(Lab::of(Srgb::ofHex($hex)), Lab::of($found['colour'])), $hex);
            self::assertEqualsWithDelta($colours[$hex] / 1000, $found['share'], 0.001);
        }
        self::assertEquals($palette, Palette::of(array_reverse($pixels)), 'the order of the pixels does not matter');
    }

    public function testSmallPicturesHaveSmallPalettes(): void
    {
        self::assertSame([], Palette::of([])->colours);
        self::assertCount(1, Palette::of(array_fill(0, 50, 0x1F5C6B))->colours);
        self::assertEqualsWithDelta(1.0, array_sum(array_column(Palette::of([1, 2, 3, 0xFFFFFF])->colours, 'share')), 1e-9);
    }

    public function testWhichColoursGoTogether(): void
    {
        $petrel = Srgb::ofHex('#1f5c6b');
        foreach (['#7fb5c4' => Harmony::SameHue, '#f7f5ef' => Harmony::Neutral, '#b4552d' => Harmony::Complementary] as $hex => $harmony) {
            self::assertSame($harmony, Harmony::nearest($petrel, Srgb::ofHex($hex))[0], $hex);
        }
        self::assertSame(Harmony::Triad, Harmony::nearest(Srgb::ofHex('#ff0000'), Srgb::ofHex('#00c000'))[0]);
    }

    public function testWhatWouldBalanceAPalette(): void
    {
        $ranked = (new Balance())->rank(
            [Srgb::ofHex('#1f5c6b'), Srgb::ofHex('#2f8a9d')],
            ['clash' => Srgb::ofHex('#8fae4b'), 'white' => Srgb::ofHex('#f7f5ef'), 'rust' => Srgb::ofHex('#c2602f')],
        );
        self::assertSame('white', $ranked[0]['key']);
        self::assertContains('a resting neutral', $ranked[0]['adds']);
        self::assertSame('clash', $ranked[2]['key']);
        self::assertContains('an accent opposite the rest', $ranked[1]['adds']);
    }

    public function testColoursAreNamedAsPeopleSayThem(): void
    {
        foreach (
            [
                '#ffffff' => 'white',
                '#f7f5ef' => 'off-white',
                '#111111' => 'black',
                '#808080' => 'grey',
                '#1c3a63' => 'dark blue',
                '#e8a9b8' => 'light pink',
                '#4f3522' => 'dark brown',
                '#c8372d' => 'bright red',
            ] as $hex => $name
        ) {
            self::assertSame($name, Naming::inWords(Srgb::ofHex($hex)), $hex);
        }
    }

    private function near(int $pixel): int
    {
        $channels = array_map(static fn (int $shift): int => min(255, max(0, (($pixel >> $shift) & 255) + mt_rand(-3, 3))), [16, 8, 0]);

        return $channels[0] << 16 | $channels[1] << 8 | $channels[2];
    }

    public function testAnAccentIsOppositeAllThatHasAHue(): void
    {
        $adds = static fn (string $thing, string ...$palette): array => (new Balance())->rank(
            array_map(Srgb::ofHex(...), array_values($palette)),
            ['it' => Srgb::ofHex($thing)],
        )[0]['adds'];
        self::assertContains('an accent opposite the rest', $adds('#c2602f', '#1f5c6b', '#f7f5ef'), 'a neutral has no opposite');
        self::assertNotContains('an accent opposite the rest', $adds('#1f6a7b', '#1f5c6b', '#c2602f'), 'of the colour of the rest');
        self::assertNotContains('an accent opposite the rest', $adds('#c2602f', '#f7f5ef'));
    }
}
