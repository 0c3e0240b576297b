<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Restock;

use Lottel\Core\Colour\Srgb;
use Lottel\Core\Measure\LengthUnit;
use Lottel\Core\Paper\CutSizes;
use Lottel\Core\Paper\DieShape;
use Lottel\Core\Upkeep\Restock\Alike;
use Lottel\Core\Upkeep\Restock\Doubles;
use Lottel\Core\Upkeep\Restock\OwnedThing;
use PHPUnit\Framework\TestCase;

final class AlikeTest extends TestCase
{
    private static function thing(int $id, string $name, string $maker = '', string $colour = '', string $cuts = ''): OwnedThing
    {
        return new OwnedThing(
            $id,
            $name,
            $maker,
            '' === $colour ? null : Srgb::ofHex($colour),
            '' === $cuts ? null : CutSizes::read($cuts, LengthUnit::Inch),
            DieShape::in($name),
        );
    }

    public function testTheSameIsFoundByAnotherMakerAndNeverItself(): void
    {
        $wanted = self::thing(1, 'Nesting ovals', 'Oddling');
        $alike = new Alike([
            $wanted,
            self::thing(2, 'Oval nestings', 'Two Bollards'),
            self::thing(3, 'Nesting oval dies', 'Two Bollards'),
            self::thing(4, 'Stars'),
        ]);
        self::assertSame([2, 3], array_keys($alike->to($wanted, 3)));
        self::assertSame(['called nearly the same, by Two Bollards'], array_values(array_unique($alike->to($wanted, 3))));
    }

    public function testADieThatCutsItsSizes(): void
    {
        $wanted = self::thing(1, 'Nesting ovals', 'Oddling', cuts: '3 × 4; 2 × 3; 1 × 2');
        $alike = new Alike([
            self::thing(2, 'Frames', 'Oddling', cuts: '3 × 2'),
            self::thing(3, 'Clouds', 'Two Bollards', cuts: '4 × 3; 2 × 3'),
            self::thing(4, 'Stars', cuts: '5 × 5'),
        ]);
        self::assertSame([3 => 'cuts 2 of its sizes, by Two Bollards', 2 => 'cuts a size of it'], $alike->to($wanted, 3), 'the more the likelier');
    }

    public function testADieOfAnotherShapeIsNotLikeIt(): void
    {
        $wanted = self::thing(1, 'Nesting circles', cuts: '2 × 2; 3 × 3');
        $alike = new Alike([self::thing(2, 'Stitched squares', cuts: '2 × 2; 3 × 3'), self::thing(3, 'Porthole frame', cuts: '3 × 3')]);
        self::assertSame([3 => 'cuts a size of it'], $alike->to($wanted, 3), 'what says no shape may be one');
        self::assertSame(
            [DieShape::Circle, DieShape::Oval, null],
            array_map(DieShape::in(...), ['Nesting CIRCLES', 'an oval, stitched', 'Ovaltine']),
        );
    }

    public function testNearColoursTheNearestFirst(): void
    {
        $wanted = self::thing(1, 'Petrel card', colour: '#1f5c6b');
        $alike = new Alike([
            self::thing(2, 'Deep one', colour: '#205d6c'),
            self::thing(3, 'Sky', colour: '#88bbee'),
            self::thing(4, 'The very same', colour: '#1f5c6b'),
            self::thing(5, 'Plain'),
        ]);
        self::assertSame([4 => 'nearly its colour', 2 => 'nearly its colour'], $alike->to($wanted, 3));
        self::assertSame([4 => 'nearly its colour'], $alike->to($wanted, 1));
        self::assertSame([], (new Alike([]))->to($wanted, 3));
    }

    public function testWhatOneHasTwiceIsToldOnce(): void
    {
        $pairs = Doubles::among([
            self::thing(1, 'Nesting ovals', 'Oddling', cuts: '3 × 4; 2 × 3'),
            self::thing(2, 'Ovals, nesting', 'Two Bollards'),
            self::thing(3, 'Oval frames', 'Farthing Ferry', cuts: '3 × 2; 4 × 3; 5 × 4'),
            self::thing(6, 'Rectangles', 'Farthing Ferry', cuts: '3 × 2; 4 × 3'),
            self::thing(7, 'Frames', 'Farthing Ferry', cuts: '3 × 2; 4 × 3'),
            self::thing(4, 'Petrel dye ink cube', colour: '#1f5c6b'),
            self::thing(5, 'Herring dye ink cube', colour: '#1f5c6c'),
        ]);
        self::assertSame([[1, 2, 'called nearly the same'], [1, 3, 'cuts 2 of the same sizes']], $pairs, 'a near colour alone is no double');
        self::assertSame([], Doubles::among([]));
    }
}
