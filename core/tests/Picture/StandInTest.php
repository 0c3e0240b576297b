<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Picture;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Picture\Motif;
use Lottel\Core\Picture\StandIn;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StandInTest extends TestCase
{
    public function testTheFaceIsTheTwoLongerSidesInTheirProportion(): void
    {
        $card = StandIn::of(new Thing(1, 'Petrel mats', kind: Kind::Paper), Box::ofMillimetres(105, 2, 140));
        self::assertSame(StandIn::LONGER, $card->height);
        self::assertEqualsWithDelta(150.0, $card->width, 1e-9);
        self::assertEqualsWithDelta(1.0, $card->scaleWithin(105, 300), 1e-9, 'a pixel to a millimetre, bounded by its width');
        self::assertEqualsWithDelta([105.0, 140.0], $card->at(1.0, 500), 1e-9);
        self::assertEqualsWithDelta([75.0, 100.0], $card->at(1.0, 100), 1e-9, 'no larger than that');
    }

    public function testAMachineLiesBroadAndAPenIsNotDrawnAsALine(): void
    {
        $machine = StandIn::of(new Thing(1, 'Roller', kind: Kind::Machine), Box::ofMillimetres(330, 180, 250));
        self::assertSame(StandIn::LONGER, $machine->width);
        self::assertLessThan(StandIn::LONGER, $machine->height);
        self::assertGreaterThanOrEqual(60.0, StandIn::of(new Thing(1, 'Fine liner', kind: Kind::Pen))->width);
    }

    public function testEveryKindHasAFaceThoughNobodyMeasuredIt(): void
    {
        foreach (Kind::cases() as $kind) {
            $it = StandIn::of(new Thing(1, 'It', kind: $kind));
            self::assertSame(StandIn::LONGER, max($it->width, $it->height), $kind->value);
            self::assertGreaterThan(0, min($it->width, $it->height));
        }
    }

    /**
     * @param list<string> $themes
     * @param list<Motif> $expected
     */
    #[DataProvider('names')]
    public function testNamesAreSpokenOfBeforeThemesAndEachOnce(string $name, array $themes, array $expected): void
    {
        self::assertSame($expected, Motif::of($name, $themes));
    }

    /** @return iterable<string, array{string, list<string>, list<Motif>}> */
    public static function names(): iterable
    {
        yield 'two words of a name' => ['Lighthouse & gulls', [], [Motif::Lighthouse, Motif::Gull]];
        yield 'the same twice' => ['Gulls and terns, gull feathers', ['seabirds'], [Motif::Gull]];
        yield 'themes come after the name' => ['Ferry timetable', ['sea'], [Motif::Boat, Motif::Wave]];
        yield 'capitals and accents do not matter' => ['KELP', [], [Motif::Leaf]];
        yield 'part of a word says nothing' => ['Seashells', [], [Motif::Circle]];
        yield 'nothing is known' => ['No. 12', [], [Motif::Circle]];
    }
}
