<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Storage;

use Lottel\Core\Log\Tracking;
use Lottel\Core\Storage\InvalidPaste;
use Lottel\Core\Storage\Kind;
use Lottel\Core\Storage\PastedThing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PastedThingTest extends TestCase
{
    public function testOneNameALine(): void
    {
        $things = PastedThing::lines("Lighthouse and gulls\r\n\n  Petrel card; Marrowlight Paper; 24 \nTerns;; 3");
        self::assertSame([['Lighthouse and gulls', '', 1], ['Petrel card', 'Marrowlight Paper', 24], ['Terns', '', 3]], array_map(static fn (PastedThing $thing): array => [$thing->name, $thing->maker, $thing->quantity], $things));
    }

    public function testThemesAndAColourMayFollow(): void
    {
        [$gulls, $card, $plain] = PastedThing::lines("Gulls; Oddling; 1; seabirds, sea , ; #1F5C6B\nCard;;;;Petrel\nPlain;;;;");
        self::assertSame([['seabirds', 'sea'], '#1f5c6b', ''], [$gulls->themes, $gulls->colour, $gulls->colourName]);
        self::assertSame([[], null, 'Petrel'], [$card->themes, $card->colour, $card->colourName]);
        self::assertSame([[], null, '', 1], [$plain->themes, $plain->colour, $plain->colourName, $plain->quantity]);
    }

    /** @return iterable<array{string, string}> */
    public static function broken(): iterable
    {
        yield ["a\nb;c;1;d;e;f", 'Line 2 has too many'];
        yield ['b;c;1;d;#12', 'line 1'];
        yield [';Oddling', 'Line 1 has no name'];
        yield [str_repeat('x', 201), 'Line 1 is too long'];
        yield ["a\n\nb;c;0", 'line 3'];
        yield ['b;c;-1', 'line 1'];
        yield ['b;c;1.5', 'line 1'];
        yield ['b;c;10000000', 'line 1'];
    }

    #[DataProvider('broken')]
    public function testSaysWhichLineIsBroken(string $text, string $message): void
    {
        try {
            PastedThing::lines($text);
            self::fail('Taken: '.$text);
        } catch (InvalidPaste $refused) {
            self::assertStringContainsStringIgnoringCase(str_replace('Line 1 is', 'line 1 is', $message), $refused->getMessage());
        }
    }

    public function testSeveralOfASingleKindAreCounted(): void
    {
        self::assertSame(Tracking::One, (new PastedThing('die'))->tracking(Kind::Die));
        self::assertSame(Tracking::Count, (new PastedThing('die', '', 3))->tracking(Kind::Die));
        self::assertSame(Tracking::FULL, (new PastedThing('ink'))->takenIn(Tracking::Level), 'a bottle comes in full');
    }
}
