<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Proposal;

use Lottel\Core\Colour\Srgb;
use Lottel\Core\Proposal\PartOfCard;
use Lottel\Core\Proposal\Proposal;
use Lottel\Core\Proposal\Proposals;
use Lottel\Core\Proposal\ThingToUse;
use PHPUnit\Framework\TestCase;

final class ProposalsTest extends TestCase
{
    private const COLOURS = ['#1f5c6b', '#c8372d', '#f4f1ea', '#e0aa4e', '#204a87', '#8fae6b', '#5c3a21', '#111111', '#d9a0b5'];

    /** @return array{list<ThingToUse>, list<ThingToUse>, list<ThingToUse>, list<ThingToUse>} */
    private static function room(int $sets, int $papers, int $inks, int $dots): array
    {
        $id = 0;
        $things = static function (int $many, bool $isPaper = false) use (&$id): array {
            $made = [];
            for ($i = 0; $i < $many; ++$i) {
                $colour = Srgb::ofHex(self::COLOURS[mt_rand(0, 8)]);
                $made[] = new ThingToUse(++$id, $colour, mt_rand(0, 500), mt_rand(0, 60), $isPaper && 1 === mt_rand(0, 1), [], 0 !== mt_rand(0, 4));
            }

            return $made;
        };

        return [$things($sets), $things($papers, true), $things($inks), $things($dots)];
    }

    /**
     * @param array{list<ThingToUse>, list<ThingToUse>, list<ThingToUse>, list<ThingToUse>} $room
     * @param list<int> $short papers that have too little
     */
    private static function proposals(array $room, array $short = []): Proposals
    {
        return new Proposals(...[...$room, static fn (PartOfCard $part, ThingToUse $paper): bool => !\in_array($paper->id, $short, true)]);
    }

    public function testTheFirstIsTheBestOfAllThatCanBeChosen(): void
    {
        mt_srand(13);
        for ($round = 0; $round < 60; ++$round) {
            $room = self::room(4, 6, 3, 3);
            $short = 0 === $round % 2 ? [] : [$room[1][0]->id, $room[1][3]->id];
            $best = self::proposals($room, $short)->best(1)[0] ?? null;
            $least = self::leastByTrying($room, $short);
            self::assertSame(null === $least, null === $best, 'round '.$round);
            self::assertEqualsWithDelta($least ?? 0.0, $best->points ?? 0.0, 1e-6, 'round '.$round);
        }
    }

    public function testNothingIsInTwoOfThemAndTheSameRoomGivesTheSame(): void
    {
        mt_srand(42);
        for ($round = 0; $round < 40; ++$round) {
            $room = self::room(mt_rand(0, 9), mt_rand(0, 14), mt_rand(0, 6), mt_rand(0, 6));
            $three = self::proposals($room)->best();
            $all = array_merge([], ...array_map(static fn (Proposal $one): array => $one->things(), $three));
            self::assertSame(array_unique($all), $all);
            self::assertLessThanOrEqual(3, \count($three));
            self::assertEquals($three, self::proposals($room)->best());
            shuffle($room[1]);
            self::assertEquals($three, self::proposals($room)->best(), 'whatever order they come in');
            foreach ($three as $one) {
                self::assertTrue($one->part(PartOfCard::Stamps)?->isFitting);
                self::assertEqualsWithDelta(Proposals::points($one->parts), $one->points, 1e-9);
            }
        }
    }

    public function testScrapsComeBeforeSheetsAndTheLongestIdleSetFirst(): void
    {
        $white = Srgb::ofHex('#f4f1ea');
        $blue = Srgb::ofHex('#204a87');
        $sets = [new ThingToUse(1, null, 20), new ThingToUse(2, null, 300, with: [9]), new ThingToUse(3, null, 360, isFitting: false)];
        $papers = [new ThingToUse(4, $white, 10), new ThingToUse(5, $white, 10, isScrap: true)];
        array_push($papers, new ThingToUse(6, $blue, 10), new ThingToUse(7, $blue, 10, isScrap: true));
        [$first, $second] = self::proposals([$sets, $papers, [new ThingToUse(8, Srgb::ofHex('#111111'), 5)], []])->best();
        self::assertSame(2, $first->part(PartOfCard::Stamps)?->id);
        self::assertEqualsCanonicalizing([2, 5, 7, 8, 9], $first->things(), 'its dies go with it');
        self::assertEqualsCanonicalizing([1, 4, 6], $second->things(), 'a second one without an ink, since there is one only');
    }

    public function testAPartIsSwappedForTheNextBest(): void
    {
        mt_srand(5);
        for ($round = 0; $round < 30; ++$round) {
            $room = self::room(5, 8, 4, 4);
            $proposals = self::proposals($room);
            $one = $proposals->best(1)[0] ?? null;
            if (null === $one) {
                continue;
            }
            foreach (PartOfCard::cases() as $part) {
                $own = $one->part($part);
                $without = null === $own ? [] : [$own->id];
                $points = 0.0;
                for ($other = $proposals->swapped($one, $part, $without); null !== $other; $other = $proposals->swapped($other, $part, $without)) {
                    $new = $other->part($part);
                    self::assertNotNull($new);
                    $without[] = $new->id;
                    self::assertGreaterThanOrEqual($points - 1e-9, $other->points, 'each is no better than the one before');
                    self::assertEquals(array_diff_key($one->parts, [$part->value => 1]), array_diff_key($other->parts, [$part->value => 1]));
                    $points = $other->points;
                }
                self::assertSame(array_unique($without), $without, 'none comes twice');
            }
        }
    }

    public function testSwapsLeaveNothingTwiceAndBringNothingBack(): void
    {
        mt_srand(88);
        $parts = PartOfCard::cases();
        for ($round = 0; $round < 60; ++$round) {
            $proposals = self::proposals(self::room(mt_rand(3, 9), mt_rand(6, 14), mt_rand(0, 6), mt_rand(0, 6)));
            $swaps = $gone = [];
            $before = $proposals->withSwaps([]);
            self::assertEquals($proposals->best(), $before->proposals);
            for ($i = 0; $i < 8; ++$i) {
                $swaps[] = [$nth, $part] = [mt_rand(0, 3), $parts[mt_rand(0, 4)]];
                $after = $proposals->withSwaps($swaps);
                $all = array_merge([], ...array_map(static fn (Proposal $one): array => $one->things(), $after->proposals));
                self::assertSame(array_unique($all), $all, 'nothing twice');
                $was = ($before->proposals[$nth] ?? null)?->part($part)?->id;
                $has = ($after->proposals[$nth] ?? null)?->part($part)?->id;
                self::assertSame($was === $has, \count($after->stayed) > \count($before->stayed), 'what stays is told');
                if ($was !== $has) {
                    $gone[] = $was;
                }
                self::assertSame([], array_intersect($gone, $all), 'what was swapped out does not come back');
                $before = $after;
            }
        }
    }

    public function testAPaperIsAskedAboutOnceForEachPart(): void
    {
        mt_srand(77);
        $room = self::room(1, 12, 2, 2);
        $asked = [];
        $isEnough = static function (PartOfCard $part, ThingToUse $paper) use (&$asked): bool {
            $asked[] = $part->value.$paper->id;

            return false;
        };
        self::assertSame([], (new Proposals(...[...$room, $isEnough]))->best(1));
        self::assertSame(array_unique($asked), $asked, 'a cut plan costs more than a look');
    }

    public function testStampsSpeakOfAnOccasionOrNot(): void
    {
        self::assertTrue(ThingToUse::speaksOf('birthday', 'Happy Birthday to you', 'Cake'));
        self::assertFalse(ThingToUse::speaksOf('birthday', 'thank you', 'Gulls'));
        self::assertTrue(ThingToUse::speaksOf('', 'anything'));
    }

    public function testForHowLongSomethingHasLain(): void
    {
        $words = array_map(static fn (int $days): string => (new ThingToUse(1, null, $days))->idleInWords(), [0, 13, 14, 59, 60, 400, 800]);
        self::assertSame(['', '', '2 weeks', '8 weeks', '2 months', '13 months', '2 years'], $words);
    }

    /**
     * @param array{list<ThingToUse>, list<ThingToUse>, list<ThingToUse>, list<ThingToUse>} $room
     * @param list<int> $short
     */
    private static function leastByTrying(array $room, array $short): ?float
    {
        $least = null;
        foreach (array_filter($room[0], static fn (ThingToUse $set): bool => $set->isFitting) as $set) {
            foreach ($room[1] as $panel) {
                foreach ($room[1] as $mat) {
                    if ($panel->id === $mat->id || \in_array($panel->id, $short, true) || \in_array($mat->id, $short, true)) {
                        continue;
                    }
                    foreach ($room[2] as $ink) {
                        foreach ($room[3] as $dot) {
                            $points = Proposals::points(['stamps' => $set, 'panel' => $panel, 'mat' => $mat, 'ink' => $ink, 'embellishment' => $dot]);
                            $least = null === $least ? $points : min($least, $points);
                        }
                    }
                }
            }
        }

        return $least;
    }

    public function testASetIsNotSwappedForOneWhoseDieIsTaken(): void
    {
        $white = Srgb::ofHex('#f4f1ea');
        $sets = [new ThingToUse(1, null, 300, with: [9]), new ThingToUse(2, null, 200, with: [9]), new ThingToUse(3, null, 100)];
        $papers = [new ThingToUse(4, $white, 10), new ThingToUse(5, Srgb::ofHex('#204a87'), 10)];
        $proposals = self::proposals([$sets, $papers, [], []]);
        $one = $proposals->best(1)[0];
        self::assertSame(1, $one->part(PartOfCard::Stamps)?->id);
        self::assertSame(3, $proposals->swapped($one, PartOfCard::Stamps, [1, 9])?->part(PartOfCard::Stamps)?->id, 'the second wants the die of the first');
        self::assertSame(2, $proposals->swapped($one, PartOfCard::Stamps, [1])?->part(PartOfCard::Stamps)?->id);
    }
}
