<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Colour\Lab;
use Lottel\Core\Colour\Srgb;
use Lottel\Core\Cutting\Keep;
use Lottel\Core\Cutting\MissReason;
use Lottel\Core\Cutting\NearMiss;
use Lottel\Core\Cutting\PieceInScrap;
use Lottel\Core\Cutting\Scrap;
use Lottel\Core\Cutting\ScrapMatch;
use Lottel\Core\Cutting\ScrapSearch;
use Lottel\Core\Cutting\SheetPart;
use Lottel\Core\Cutting\WantedPiece;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\Direction;
use Lottel\Core\Paper\Outline;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Which scrap will do, and for what the others will not. */
final class ScrapSearchTest extends TestCase
{
    public function testThoseThatWillDoStandByWhatIsLeftOver(): void
    {
        $petrel = self::lab('#1f5c6b');
        $scraps = [
            Scrap::rectangle('large', 60, 60, $petrel, 216),
            Scrap::rectangle('snug', 44, 34, self::lab('#22606f'), 216),
            Scrap::rectangle('red', 34, 44, self::lab('#c8372d'), 216),
            Scrap::rectangle('thin', 34, 44, $petrel, 120),
            Scrap::rectangle('red and thin', 34, 44, self::lab('#c8372d'), 120),
            Scrap::rectangle('strip', 34, 50, $petrel, 210),
            Scrap::rectangle('small', 33, 44, $petrel, 216),
            Scrap::rectangle('across', 44, 34, $petrel, 216, Direction::Height),
            Scrap::rectangle('of unknown colour', 34, 44, null, 216),
            Scrap::rectangle('of unknown weight', 34, 44, $petrel),
        ];
        $search = new ScrapSearch($petrel, 5, 216);
        $found = $search->among(new WantedPiece(34, 44), $scraps);
        self::assertSame(['across' => true, 'snug' => true, 'strip' => false, 'large' => false], self::turned($found->matches));
        self::assertSame(
            ['of unknown colour' => 'colour', 'of unknown weight' => 'weight', 'red' => 'colour', 'small' => 'size', 'thin' => 'weight'],
            self::misses($found->near),
            'what fails in two things is no near miss',
        );
        $found = $search->among(new WantedPiece(34, 44, Direction::Height), $scraps);
        self::assertSame(['snug', 'strip', 'large'], array_keys(self::turned($found->matches)));
        self::assertSame('direction', self::misses($found->near)['across'], 'it would lie in it, but its grain would run the other way');
        self::assertSame(
            1,
            array_values(
                array_filter($search->among(new WantedPiece(34, 44), $scraps)->near, static fn (NearMiss $miss): bool => 'small' === $miss->scrap->id),
            )[0]->short,
        );
    }

    public function testAPieceWithADirectionIsTurnedWhereThePapersRunsAcross(): void
    {
        $piece = new WantedPiece(40, 20, Direction::Width);
        $along = Scrap::rectangle('along', 50, 50, null, null, Direction::Width);
        $across = Scrap::rectangle('across', 50, 50, null, null, Direction::Height);
        $plain = Scrap::rectangle('plain', 50, 50);
        $found = (new ScrapSearch())->among($piece, [$along, $across, $plain]);
        self::assertSame(['across' => true, 'along' => false, 'plain' => false], self::turned($found->matches), 'of equal ones by their ids');
        $narrow = Scrap::rectangle('narrow', 50, 30, null, null, Direction::Height);
        self::assertSame(['narrow' => 'direction'], self::misses((new ScrapSearch())->among($piece, [$narrow])->near));
    }

    public function testAnOutlineIsLookedInto(): void
    {
        $l = Outline::of([[0, 0], [6, 0], [6, 3], [3, 3], [3, 8], [0, 8]]);
        $found = (new ScrapSearch())->among(new WantedPiece(3, 7), [Scrap::outlined('l', $l)]);
        self::assertSame(2 * (6 * 3 + 3 * 5 - 21), $found->matches[0]->doubledLeftOver);
        self::assertSame(['l' => 'size'], self::misses((new ScrapSearch())->among(new WantedPiece(4, 5), [Scrap::outlined('l', $l)])->near));
    }

    public function testTheLastAllowedDifferenceStillWillDo(): void
    {
        $scraps = [Scrap::rectangle('a', 5, 5, self::lab('#808080'), 110), Scrap::rectangle('b', 5, 5, self::lab('#808080'), 110.001)];
        $found = (new ScrapSearch(self::lab('#808080'), 0, 100, 0.1))->among(new WantedPiece(5, 5), $scraps);
        self::assertSame(['a' => false], self::turned($found->matches));
        self::assertSame(['b' => 'weight'], self::misses($found->near));
        self::assertNull((new ScrapSearch())->among(new WantedPiece(5, 5), $scraps)->matches[0]->difference);
    }

    public function testTheNearestMissIsTheOneThatLacksLeast(): void
    {
        $scrap = Scrap::rectangle('s', 5, 5);
        $misses = [
            new NearMiss($scrap, MissReason::Size, null, 1), new NearMiss($scrap, MissReason::Direction, null, null),
            new NearMiss($scrap, MissReason::Weight, null, null), new NearMiss($scrap, MissReason::Colour, 6.0, null),
            new NearMiss($scrap, MissReason::Size, null, 12), new NearMiss($scrap, MissReason::Colour, 14.0, null),
        ];
        $distances = array_map(static fn (NearMiss $miss): float => $miss->distance(16), $misses);
        $sorted = $distances;
        sort($sorted);
        self::assertSame($sorted, $distances);
        self::assertSame(1.0, (new NearMiss($scrap, MissReason::Size, null, null))->distance(16), 'an outline without room counts as an inch');
    }

    public function testAnOffcutIsKeptFromOneInchByTwo(): void
    {
        foreach ([[12, 25, true], [25, 12, true], [10, 20, true], [9, 99, false], [12, 19, false], [99, 9, false]] as [$width, $height, $isWorth]) {
            self::assertSame($isWorth, (new Keep(10, 20))->isWorth($width, $height), "$width × $height");
        }
        self::assertTrue(Keep::usualIn(LengthUnit::Inch)->isWorth(8128, 16_256));
        self::assertFalse(Keep::usualIn(LengthUnit::Inch)->isWorth(8127, 99_999));
    }

    public function testThePieceLiesInItWithAllThatItLeavesAccountedFor(): void
    {
        $random = new Randomizer(new Mt19937(9));
        $keep = new Keep(10, 20);
        for ($case = 0; $case < 200; ++$case) {
            $scrap = Scrap::rectangle('s', $random->getInt(30, 120), $random->getInt(30, 120));
            $piece = new WantedPiece($random->getInt(1, 30), $random->getInt(1, 30));
            $lies = PieceInScrap::of($scrap, $piece, false, $keep);
            $parts = [...$lies->kept, ...$lies->waste];
            $areas = array_sum(array_map(static fn (SheetPart $part): int => $part->area(), $parts));
            self::assertSame($scrap->doubledArea(), 2 * ($areas + $piece->area()), 'nothing is lost, nothing is there twice');
            foreach ($lies->kept as $part) {
                self::assertTrue($keep->isWorth($part->width, $part->height));
            }
            foreach ($lies->waste as $part) {
                self::assertFalse($keep->isWorth($part->width, $part->height));
            }
        }
        $exact = PieceInScrap::of(Scrap::rectangle('s', 34, 44), new WantedPiece(44, 34), true, $keep);
        self::assertSame([0, [], []], [$exact->cuts, $exact->kept, $exact->waste]);
        $l = Scrap::outlined('l', Outline::of([[10, 0], [16, 0], [16, 3], [13, 3], [13, 8], [10, 8]]));
        $lies = PieceInScrap::of($l, new WantedPiece(3, 8), false, $keep);
        self::assertSame([10.0, 0.0, null], [$lies->x, $lies->y, $lies->cuts]);
        $this->expectException(\LogicException::class);
        PieceInScrap::of($l, new WantedPiece(4, 8), false, $keep);
    }

    private static function lab(string $hex): Lab
    {
        return Lab::of(Srgb::ofHex($hex));
    }

    /**
     * @param list<ScrapMatch> $matches
     *
     * @return array<string, bool>
     */
    private static function turned(array $matches): array
    {
        return array_combine(
            array_map(static fn (ScrapMatch $match): string => $match->scrap->id, $matches),
            array_map(static fn (ScrapMatch $match): bool => $match->isTurned, $matches),
        );
    }

    /**
     * @param list<NearMiss> $near
     *
     * @return array<string, string>
     */
    private static function misses(array $near): array
    {
        return array_combine(
            array_map(static fn (NearMiss $miss): string => $miss->scrap->id, $near),
            array_map(static fn (NearMiss $miss): string => $miss->why->value, $near),
        );
    }
}
