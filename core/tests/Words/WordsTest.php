<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Words;

use Lottel\Core\Kit\NeedState;
use Lottel\Core\Kit\RoundWords;
use Lottel\Core\Log\Undone;
use Lottel\Core\Words\Counted;
use Lottel\Core\Words\SizeWords;
use PHPUnit\Framework\TestCase;

final class WordsTest extends TestCase
{
    public function testNumbersAgreeWithTheirWords(): void
    {
        self::assertSame(['0 units', '1 unit', '8 units', '1,200 units'], array_map(static fn (int $n): string => Counted::of($n, 'unit'), [0, 1, 8, 1200]));
        self::assertSame('1 thing lives', Counted::of(1, 'thing lives', 'things live'));
        self::assertSame('Gulls is home.', Counted::sentence(['Gulls'], 'home.'));
        self::assertSame('Gulls and Terns are home.', Counted::sentence(['Gulls', 'Terns'], 'home.'));
        self::assertSame('a, b, c and d', Counted::names(['a', 'b', 'c', 'd']));
        self::assertSame('5 things are home.', Counted::sentence(['a', 'b', 'c', 'd', 'e'], 'home.'));
    }

    public function testSizesAreTheSameHoweverTheyAreWritten(): void
    {
        foreach (['12x12', '12 x 12', '12×12', '12 × 12', '12 by 12', '12" × 12"', '12.0x12'] as $text) {
            self::assertSame('s768x768', SizeWords::in($text), $text);
        }
        foreach (['4 1/4 × 5 1/2', '4¼ × 5½', '4.25x5.5', '4-1/4 by 5-1/2'] as $text) {
            self::assertSame('s272x352', SizeWords::in($text), $text);
        }
        self::assertSame('', SizeWords::in('1920s box, 12 of them, A4 by hand'));
        self::assertSame('Old charts  s768x768 ', SizeWords::joined('Old charts 12 × 12'));
        self::assertNotSame(SizeWords::in('12x12'), SizeWords::in('12x1'));
    }

    public function testWhatIsOnATrayIsSaidAsItIs(): void
    {
        self::assertSame('Everything is on tray 4.', RoundWords::onTray('tray 4', [NeedState::Taken, NeedState::Replaced]));
        self::assertSame('What was found is on tray 4; 1 line is still open.', RoundWords::onTray('tray 4', [NeedState::Taken, NeedState::Open]));
        self::assertSame(
            'What was found is on tray 4; 2 lines are still open, of 1 line there was fewer, 1 line is done without.',
            RoundWords::onTray('tray 4', [NeedState::Open, NeedState::Open, NeedState::Fewer, NeedState::NotHere]),
        );
    }

    public function testWhatBecameOfAKitIsSaidAsItIs(): void
    {
        self::assertSame('“Gulls” is closed. Everything is back where it belongs.', RoundWords::closed('Gulls', 5, 0, 0, 0));
        self::assertSame('“Gulls” is closed. Nothing of it was out.', RoundWords::closed('Gulls', 0, 0, 0, 0));
        self::assertSame('“Gulls” is closed. 1 thing is home, 2 were used up and 1 is lost.', RoundWords::closed('Gulls', 1, 2, 0, 1));
        self::assertSame('“Gulls” is closed. 4 things are home and 1 lies with what is not filed.', RoundWords::closed('Gulls', 4, 0, 1, 0));
    }

    public function testAnUndoSaysTheLastWordOnEachMatter(): void
    {
        $back = new Undone();
        self::assertTrue($back->isNothing());
        $back->wanted('Petrel card');
        $back->moved('Petrel card', 'C2');
        $back->moved('Terns', 'C1');
        $back->offTheList('Petrel card');
        $back->kitIs('Mine', 'pulling');
        $back->kitGone('Mine');
        $back->stays('“Other” stays.');
        self::assertSame(
            'Petrel card is back in C2 and off the list again; Terns is back in C1; “Mine” is not planned any more. “Other” stays.',
            $back->sentence(),
        );
    }

    public function testALineSaysHowMuchIsLeft(): void
    {
        self::assertSame([4, 0, 1, 0], [
            NeedState::Open->left(\Lottel\Core\Log\Tracking::Count, 10, 6), NeedState::Fewer->left(\Lottel\Core\Log\Tracking::Count, 10, 6),
            NeedState::Open->left(\Lottel\Core\Log\Tracking::Level, 8, 0), NeedState::Taken->left(\Lottel\Core\Log\Tracking::One, 1, 1),
        ]);
        self::assertSame(NeedState::Taken, NeedState::settled(\Lottel\Core\Log\Tracking::Level, 8, 3), 'a bottle is taken whole');
        self::assertSame(NeedState::Open, NeedState::settled(\Lottel\Core\Log\Tracking::Count, 8, 3));
        self::assertSame('done without', NeedState::NotHere->inWords());
    }
}
