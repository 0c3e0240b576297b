<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Year;

use Lottel\Core\Colour\Srgb;
use Lottel\Core\Year\CardChoice;
use Lottel\Core\Year\CardOnShelf;
use Lottel\Core\Year\ShelfGap;
use PHPUnit\Framework\TestCase;

final class CardChoiceTest extends TestCase
{
    /** @return list<CardOnShelf> */
    private static function shelf(): array
    {
        return [
            new CardOnShelf(1, 'birthdays', 3, [Srgb::ofHex('#c8372d')], 100),
            new CardOnShelf(2, 'birthday', 1, [Srgb::ofHex('#1f5c8b'), Srgb::ofHex('#ffffff')], 200),
            new CardOnShelf(3, 'thanks', 5, [Srgb::ofHex('#1f5c8b')], 50),
            new CardOnShelf(4, 'all-occasion', 2, [], 10),
            new CardOnShelf(5, 'birthday cards', 0, [], 5),
            new CardOnShelf(6, 'birthday', 2, [], 20),
        ];
    }

    /** @param list<CardChoice> $choices */
    private static function ids(array $choices): string
    {
        return implode(' ', array_map(static fn (CardChoice $one): int => $one->card->id, $choices));
    }

    public function testTheOccasionCountsFirstThenTheColourThenItsAge(): void
    {
        self::assertSame('6 1 2 4 3', self::ids(CardChoice::among(self::shelf(), 'birthday', null, [])));
        $blue = CardChoice::among(self::shelf(), 'birthday', Srgb::ofHex('#20608c'), []);
        self::assertSame('2 1 6 4 3', self::ids($blue));
        self::assertSame(['for birthday', 'has the colour'], $blue[0]->reasons);
        self::assertSame(['for any occasion'], $blue[3]->reasons);
        self::assertSame('4 6 3 1 2', self::ids(CardChoice::among(self::shelf(), '', null, [])));
    }

    public function testNobodyGetsTheSameTwice(): void
    {
        self::assertSame('1 4 3', self::ids(CardChoice::among(self::shelf(), 'birthday', null, [2, 6])));
    }

    public function testWordsOfAShelfAreOneHoweverTheyAreWritten(): void
    {
        foreach (['Birthdays' => 'birthday', 'birthday cards' => 'birthday', 'Thanks' => 'thanks', 'get well card' => 'get well'] as $written => $word) {
            self::assertTrue(CardChoice::isSameWord($word, $written), $written);
        }
        self::assertFalse(CardChoice::isSameWord('thanks', 'birthday'));
        self::assertSame('thanks', CardChoice::word('thanks'));
        self::assertSame('condolence', CardChoice::word('condolences'));
    }

    public function testGapsAreToldAhead(): void
    {
        $there = ['thanks' => 2, 'birthday' => 9, 'condolence' => 0, 'kiosk' => 4];
        $gaps = ShelfGap::of($there, ['thanks' => 9, 'birthday' => 12, 'get well' => 2], ['kiosk' => 6]);
        self::assertSame([
            'no get well card, 2 went in a year',
            'no condolence card',
            '2 thanks cards, 9 went in a year',
            '4 kiosk cards, 6 wanted soon',
        ], array_map(static fn (ShelfGap $gap): string => $gap->inWords(), $gaps));
        self::assertSame([], ShelfGap::of(['thanks' => 3], ['thanks' => 8], []));
    }
}
