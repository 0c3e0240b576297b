<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Homes;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Catalogue\Thing;
use Lottel\Core\Homes\Belonging;
use PHPUnit\Framework\TestCase;

final class BelongingTest extends TestCase
{
    public function testSaysWhyAThingDoesNotBelong(): void
    {
        $thing = new Thing(1, 'Gulls', 'Oddling', Kind::StampSet, ['seabirds', 'Sea'], '#1f5c6b');
        self::assertNull((new Belonging())->excludes($thing), 'a place that says nothing takes anything');
        self::assertNull((new Belonging(Kind::StampSet, 'oddling', 'sea', 'blue'))->excludes($thing));
        self::assertNull((new Belonging(null, 'Two Bollards, Oddling', 'knots, sea'))->excludes($thing), 'one of several will do');
        self::assertNull((new Belonging(Kind::Die, alsoKinds: [Kind::Stencil, Kind::StampSet]))->excludes($thing));
        self::assertSame('stamp set, not die', (new Belonging(Kind::Die))->excludes($thing));
        self::assertSame('by Oddling, not by Two Bollards', (new Belonging(null, 'Two Bollards'))->excludes($thing));
        self::assertSame('seabirds, Sea, not knots', (new Belonging(null, '', 'knots'))->excludes($thing));
        self::assertSame('blue, not red', (new Belonging(null, '', '', 'red'))->excludes($thing));
    }

    public function testWhatIsNotKnownOfAThingIsNotHeldAgainstIt(): void
    {
        self::assertNull((new Belonging(Kind::Die, 'Oddling', 'sea', 'red'))->excludes(new Thing(1, 'Something')));
        self::assertSame('multicolour, not red', (new Belonging(null, '', '', 'red'))->excludes(new Thing(1, 'Confetti', isMulticolour: true)));
    }
}
