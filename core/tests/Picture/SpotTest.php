<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Picture;

use Lottel\Core\Furniture\Cell;
use Lottel\Core\Picture\InvalidSpot;
use Lottel\Core\Picture\Raster;
use Lottel\Core\Picture\Spot;
use Lottel\Core\Picture\ThingInPicture;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Things in a picture: their spots, and what lies where one touches. */
final class SpotTest extends TestCase
{
    public function testASpotIsReadAndWrittenInPerCent(): void
    {
        $spot = Spot::of(120, 85, 300, 240);
        self::assertSame('12, 8.5, 30, 24', (string) $spot);
        self::assertEquals($spot, Spot::parse('12, 8.5, 30, 24'));
        self::assertEquals($spot, Spot::parse(' 12% 8.5% 30% 24% '));
        self::assertEquals(Spot::of(900, 0, 100, 50), Spot::between(1200, -30, 900, 50), 'cut off at the edges, whichever way it was drawn');
        self::assertTrue($spot->liesIn(new Cell(200, 0, 200, 1000)));
        self::assertFalse($spot->liesIn(new Cell(0, 0, 200, 1000)));
        self::assertSame(1.0, $spot->overlap($spot));
        self::assertSame(0.0, $spot->overlap(Spot::of(500, 500, 100, 100)));
    }

    /** @return iterable<string, array{string}> */
    public static function noSpots(): iterable
    {
        yield 'three numbers' => ['1, 2, 3'];
        yield 'words' => ['left, top, 3, 4'];
        yield 'over the edge' => ['80, 10, 30, 10'];
        yield 'nothing wide' => ['10, 10, 0, 10'];
        yield 'below nothing' => ['-1, 2, 3, 4'];
        yield 'nothing' => [''];
    }

    #[DataProvider('noSpots')]
    public function testWhatIsNoSpotIsRefused(string $text): void
    {
        $this->expectException(InvalidSpot::class);
        Spot::parse($text);
    }

    public function testTheTouchedThingIsFoundInADrawerFullOfOthers(): void
    {
        $random = new Randomizer(new Mt19937(11));
        for ($round = 0; $round < 12; ++$round) {
            [$picture, $things] = self::drawer($random);
            foreach ($things as $thing) {
                [$x, $y] = [$thing->x + intdiv($thing->width, 2), $thing->y + intdiv($thing->height, 3)];
                $found = ThingInPicture::around($picture, $x, $y);
                self::assertGreaterThan(0.8, $found->overlap($thing), "round $round: $thing was found as $found");
            }
        }
    }

    public function testWhereNothingStandsOutABoxOfUsualSizeIsProposed(): void
    {
        $plain = new Raster(60, 40, array_fill(0, 2400, 0x8899AA));
        self::assertEquals(Spot::of(420, 420, 160, 160), ThingInPicture::around($plain, 500, 500));
        self::assertEquals(Spot::of(920, 0, 80, 80), ThingInPicture::around($plain, 1000, 0), 'within the picture at its corner');
    }

    public function testTheMiddleOfASpotIsWithoutItsEdges(): void
    {
        $pixels = array_fill(0, 100, 0xFFFFFF);
        foreach ([33, 34, 35, 43, 44, 45, 53, 54, 55] as $inner) {
            $pixels[$inner] = 0x1F7A6D;
        }
        self::assertSame([0x1F7A6D], array_values(array_unique((new Raster(10, 10, $pixels))->middleOf(Spot::of(200, 200, 500, 500)))));
        $this->expectException(\InvalidArgumentException::class);
        new Raster(3, 3, [0]);
    }

    /**
     * A drawer as a camera sees it: a wooden ground lit from one side, six things on it, each with its own colour, a band across
     * in another one of about the same, and noise over all.
     *
     * @return array{Raster, list<Spot>}
     */
    private static function drawer(Randomizer $random): array
    {
        [$width, $height] = [150, 100];
        $things = [];
        $colours = $random->shuffleArray([0x1F5F8A, 0xB03A2E, 0x2E7D4F, 0xE9D8A6, 0x5B4A8A, 0x222222]);
        foreach ([0, 1, 2, 3, 4, 5] as $nth) {
            [$left, $top] = [60 + 310 * ($nth % 3), 70 + 460 * intdiv($nth, 3)];
            $things[] = Spot::of($left + $random->getInt(0, 30), $top + $random->getInt(0, 40), $random->getInt(150, 220), $random->getInt(220, 330));
        }
        $pixels = [];
        for ($y = 0; $y < $height; ++$y) {
            for ($x = 0; $x < $width; ++$x) {
                $colour = self::seenAt($things, $colours, $x * 1000 / $width, $y * 1000 / $height);
                $pixels[] = self::lit($colour, 0.85 + 0.3 * $x / $width, $random->getInt(-5, 5));
            }
        }

        return [new Raster($width, $height, $pixels), $things];
    }

    /**
     * @param list<Spot> $things
     * @param array<int> $colours
     */
    private static function seenAt(array $things, array $colours, float $x, float $y): int
    {
        foreach ($things as $nth => $thing) {
            if ($x >= $thing->x && $x < $thing->x + $thing->width && $y >= $thing->y && $y < $thing->y + $thing->height) {
                $isBand = $y > $thing->y + 0.7 * $thing->height && $y < $thing->y + 0.8 * $thing->height;

                return $colours[$nth] + ($isBand ? 0x060606 : 0);
            }
        }

        return 0xA98A5E;
    }

    private static function lit(int $pixel, float $light, int $noise): int
    {
        $channel = static fn (int $shift): int => max(0, min(255, (int) ((($pixel >> $shift) & 255) * $light) + $noise)) << $shift;

        return $channel(16) | $channel(8) | $channel(0);
    }
}
