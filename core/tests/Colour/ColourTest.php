<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Colour;

use Lottel\Core\Colour\Family;
use Lottel\Core\Colour\InvalidColour;
use Lottel\Core\Colour\Lab;
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
        foreach (['#c8372d' => 'red', '#e07a2f' => 'orange', '#f0cf4e' => 'yellow', '#1f7a55' => 'green', '#2f5f9e' => 'blue', '#6a3b93' => 'violet', '#e8a9b8' => 'pink', '#8a5a34' => 'brown', '#808080' => 'neutral', '#f7f5ef' => 'neutral'] as $hex => $family) {
            self::assertSame($family, Family::of(Srgb::ofHex($hex))->value, $hex);
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
}
