<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Furniture;

use Lottel\Core\Furniture\Address;
use Lottel\Core\Furniture\Container;
use Lottel\Core\Furniture\Division;
use Lottel\Core\Furniture\Front;
use Lottel\Core\Furniture\RetiredAddress;
use Lottel\Core\Measure\Length;
use PHPUnit\Framework\TestCase;

final class FrontTest extends TestCase
{
    public function testAFrontIsAsHighAsItsMiddleInItsUnit(): void
    {
        $front = new Front(self::mm(0), self::mm(100), self::mm(300), self::mm(60));
        self::assertSame(670, $front->middleAboveFloor(self::mm(800), self::mm(0))->wholeMillimetres(), '800 − 100 − 30');
        self::assertSame(1270, $front->middleAboveFloor(self::mm(800), self::mm(600))->wholeMillimetres(), 'the unit hangs at 600');
        self::assertSame(0, $front->middleAboveFloor(self::mm(50), self::mm(0))->wholeMillimetres(), 'never below the floor');
    }

    public function testAWholeMillimetreIsRoundedDown(): void
    {
        self::assertSame(
            [0, 1, 25],
            [Length::ofTicks(319)->wholeMillimetres(), Length::ofTicks(320)->wholeMillimetres(), Length::ofInches(1)->wholeMillimetres()],
        );
    }

    /** Seeded: parts side by side, or one above the other, make the whole again, two by two. */
    public function testPartsMakeTheWholeAgain(): void
    {
        mt_srand(31);
        for ($case = 0; $case < 200; ++$case) {
            $whole = new Front(self::mm(mt_rand(0, 500)), self::mm(mt_rand(0, 500)), self::mm(mt_rand(150, 900)), self::mm(mt_rand(150, 900)));
            $parts = $whole->parted(mt_rand(2, 12), 0 === mt_rand(0, 1));
            $joined = array_shift($parts);
            foreach ($parts as $part) {
                self::assertNotNull($joined);
                $joined = $joined->joined($part);
            }
            self::assertEquals($whole, $joined);
        }
        self::assertNull(
            (new Front(self::mm(0), self::mm(0), self::mm(10), self::mm(10)))->joined(
                new Front(self::mm(20), self::mm(0), self::mm(10), self::mm(10)),
            ),
            'a gap',
        );
    }

    public function testAPlaceOutOfUseKeepsItsAddressBehindATail(): void
    {
        $retired = RetiredAddress::of('C3.b', 77);
        self::assertSame('C3.b~77', $retired);
        self::assertTrue(RetiredAddress::isOne($retired));
        self::assertFalse(RetiredAddress::isOne('C3.b'));
        self::assertSame('C3.b', RetiredAddress::onLabel($retired));
        self::assertSame('C3.b', RetiredAddress::onLabel('C3.b'));
        self::assertSame('~4', RetiredAddress::onLabel('~4'), 'what begins with a tail is all that there is');
        self::assertLessThanOrEqual(Address::MOST_CHARACTERS, \strlen(RetiredAddress::of('ABC123-123.abcd.abcd', 99_999_999)));
    }

    public function testWhatIsTypedBecomesAnAddressWhereItIsOne(): void
    {
        self::assertSame(['C3.b', 'K2-4', 'lost', ''], array_map(Address::asTyped(...), [' c3.B ', 'k2-4', 'lost', '']));
    }

    public function testWhatIsPutInsideHasAName(): void
    {
        self::assertSame(
            ['tray', 'box', 'pouch', 'binder page', 'folder', 'jar'],
            array_map(static fn (Container $one): string => $one->label(), Container::cases()),
        );
        self::assertSame(['front and back', 'a grid'], [Division::FrontBack->inWords(), Division::Grid->inWords()]);
    }

    private static function mm(int $millimetres): Length
    {
        return Length::ofTenthMillimetres(10 * $millimetres);
    }
}
