<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Colour;

use Lottel\Core\Colour\FrontColour;
use Lottel\Core\Colour\FrontColours;
use Lottel\Core\Colour\Srgb;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FrontColoursTest extends TestCase
{
    private const HEX = ['Gull' => '#f4f1ea', 'Petrel' => '#1f5c6b', 'Shallows' => '#7fc1d3',
        'Buoy' => '#c8372d', 'Slack Water' => '#3f6f9e', 'Black' => '#1a1a1a'];

    /** @return iterable<string, array{array<string, float>, string}> */
    public static function fronts(): iterable
    {
        yield 'a warm accent' => [
            ['Gull' => 0.56, 'Shallows' => 0.21, 'Petrel' => 0.12, 'Buoy' => 0.11],
            'Buoy, the one warm colour, a tenth, is the accent.',
        ];
        yield 'one colour beside neutrals' => [['Gull' => 0.9, 'Buoy' => 0.1], 'Buoy, the one colour beside neutrals, a tenth, is the accent.'];
        yield 'two that stand apart' => [['Gull' => 0.84, 'Buoy' => 0.11, 'Petrel' => 0.05], 'Buoy, the one warm colour, a tenth, is the accent.'];
        yield 'alone' => [['Petrel' => 1.0], 'Petrel alone: nothing sets it off.'];
        yield 'two of a size' => [['Gull' => 0.52, 'Petrel' => 0.48], 'Gull and Petrel share the front about equally: neither leads.'];
        yield 'neutrals' => [['Gull' => 0.8, 'Black' => 0.2], 'Gull leads with more than half; calm, without a second colour.'];
        yield 'nothing' => [[], ''];
    }

    /** @param array<string, float> $shares */
    #[DataProvider('fronts')]
    public function testOneSentenceSaysWhatLeads(array $shares, string $sentence): void
    {
        self::assertSame($sentence, self::front($shares)->sentence());
    }

    public function testNeighboursAreNoAccents(): void
    {
        $front = self::front(['Slack Water' => 0.85, 'Petrel' => 0.15]);
        self::assertNull($front->accent());
        self::assertStringStartsWith('Slack Water leads with nearly all;', $front->sentence());
    }

    public function testMuchOfAColourIsNoAccent(): void
    {
        self::assertNull(self::front(['Petrel' => 0.7, 'Buoy' => 0.3])->accent());
        self::assertSame('Buoy', self::front(['Petrel' => 0.8, 'Buoy' => 0.2])->accent()?->name);
    }

    /** @param array<string, float> $shares */
    private static function front(array $shares): FrontColours
    {
        return new FrontColours(array_map(
            static fn (string $name, float $share): FrontColour => new FrontColour($name, Srgb::ofHex(self::HEX[$name]), $share),
            array_keys($shares),
            $shares,
        ));
    }
}
