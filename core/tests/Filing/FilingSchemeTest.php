<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Filing;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Filing\InvalidScheme;
use PHPUnit\Framework\TestCase;

final class FilingSchemeTest extends TestCase
{
    public function testNamesAreFiledAsALibraryWould(): void
    {
        $names = ['The Quay', 'rope 2', 'Rope 10', 'Éider', 'eagle', 'A Gull', 'Zephyr', 'An Oar'];
        self::assertSame(
            ['eagle', 'Éider', 'A Gull', 'An Oar', 'The Quay', 'rope 2', 'Rope 10', 'Zephyr'],
            $this->filed('name', array_map(static fn (int $i, string $name): Thing => new Thing($i, $name), array_keys($names), $names)),
        );
    }

    public function testMakerThenName(): void
    {
        $things = [
            new Thing(1, 'Wave', 'Oddling'), new Thing(2, 'Anchor', 'Two Bollards'), new Thing(3, 'Cloud', 'Oddling'), new Thing(4, 'Nameless'),
        ];
        self::assertSame(['Cloud', 'Wave', 'Anchor', 'Nameless'], $this->filed('maker, name', $things), 'things without a maker stand last');
    }

    public function testColourIsRainbowOrderWithNeutralsLast(): void
    {
        $things = [];
        foreach (
            [
                'grey' => '#808080',
                'blue' => '#2f5f9e',
                'red' => '#c8372d',
                'white' => '#ffffff',
                'green' => '#1f7a55',
                'yellow' => '#f0cf4e',
                'violet' => '#6a3b93',
                'none' => null,
                'black' => '#111111',
                'orange' => '#e07a2f',
            ] as $name => $hex
        ) {
            $things[] = new Thing(\count($things), $name, colour: $hex);
        }
        self::assertSame(['red', 'orange', 'yellow', 'green', 'blue', 'violet', 'white', 'grey', 'black', 'none'], $this->filed('colour', $things));
    }

    public function testKindAndTheme(): void
    {
        $things = [
            new Thing(1, 'b', kind: Kind::Die, themes: ['sea']),
            new Thing(2, 'a', kind: Kind::Die, themes: ['birds', 'sea']),
            new Thing(3, 'c', kind: Kind::Ink),
        ];
        self::assertSame(['a', 'b', 'c'], $this->filed('kind,theme', $things));
    }

    public function testManyColoursStandInFrontOfTheNeutrals(): void
    {
        $things = [
            new Thing(1, 'grey', colour: '#808080'),
            new Thing(2, 'confetti', colour: '#c8372d', isMulticolour: true),
            new Thing(3, 'violet', colour: '#6a3b93'),
            new Thing(4, 'no colour'),
        ];
        self::assertSame(['violet', 'confetti', 'grey', 'no colour'], $this->filed('colour', $things));
    }

    public function testCollectionSizeAndSeason(): void
    {
        $things = [
            new Thing(1, 'b', collection: 'Tide', size: 900, season: 'winter'), new Thing(2, 'a', collection: 'Tide', size: 100, season: 'spring'),
            new Thing(3, 'c', collection: 'Ferry', season: 'autumn'), new Thing(4, 'd', size: 400),
        ];
        self::assertSame(['c', 'a', 'b', 'd'], $this->filed('collection,size', $things));
        self::assertSame(['a', 'd', 'b', 'c'], $this->filed('size', $things), 'what was not measured stands last');
        self::assertSame(['a', 'c', 'b', 'd'], $this->filed('season', $things), 'what is for all the year stands last');
    }

    public function testSaysBetweenWhichTwoAThingStands(): void
    {
        $scheme = FilingScheme::parse('name');
        $lantern = new Thing(1, 'Lantern room');
        $loose = new Thing(2, 'Loose rope');
        $lighthouse = new Thing(3, 'Lighthouse & gulls');
        self::assertSame('between Lantern room and Loose rope', $scheme->positionOf($lighthouse, [$loose, $lighthouse, $lantern])->inWords());
        self::assertSame('first, in front of Lighthouse & gulls', $scheme->positionOf($lantern, [$lighthouse, $loose])->inWords());
        self::assertSame('last, behind Lighthouse & gulls', $scheme->positionOf($loose, [$lighthouse, $lantern])->inWords());
        self::assertSame('alone in its place', $scheme->positionOf($loose, [$loose])->inWords());
    }

    /** The neighbours that positionOf() finds in one pass are those of the sorted order, for any scheme and any things. */
    public function testPositionAgreesWithSorting(): void
    {
        mt_srand(424242);
        foreach (['name', 'maker,name', 'kind,name', 'theme,colour', 'colour,name'] as $text) {
            $scheme = FilingScheme::parse($text);
            for ($round = 0; $round < 150; ++$round) {
                $things = array_map($this->randomThing(...), range(1, mt_rand(1, 25)));
                $target = $things[array_rand($things)];
                $sorted = $scheme->sort($things);
                $at = (int) array_search($target, $sorted, true);
                $position = $scheme->positionOf($target, $things);
                self::assertSame($at, $position->index);
                self::assertSame($sorted[$at - 1] ?? null, $position->before);
                self::assertSame($sorted[$at + 1] ?? null, $position->after);
            }
        }
    }

    public function testRefusesAnUnknownCriterion(): void
    {
        self::assertSame('by maker, then name', FilingScheme::parse('maker,name')->inWords());
        self::assertSame('name', (string) FilingScheme::parse(' '));
        $this->expectException(InvalidScheme::class);
        FilingScheme::parse('name,weight');
    }

    private function randomThing(int $id): Thing
    {
        $words = ['Anchor', 'The anchor', 'Éider', 'Rope 2', 'Rope 10', 'a gull', 'Wave', ''];
        $colours = [null, '#c8372d', '#1f5c6b', '#f7f5ef', '#1d1d1f', '#e3b23c', '#4a3b63'];

        return new Thing(
            $id,
            $words[mt_rand(0, 6)],
            $words[mt_rand(0, 7)],
            Kind::cases()[mt_rand(0, 16)],
            mt_rand(0, 2) > 0 ? [$words[mt_rand(0, 6)]] : [],
            $colours[mt_rand(0, 6)],
        );
    }

    /**
     * @param list<Thing> $things
     *
     * @return list<string>
     */
    private function filed(string $scheme, array $things): array
    {
        return array_map(static fn (Thing $thing): string => $thing->name, FilingScheme::parse($scheme)->sort($things));
    }
}
