<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Upkeep\Restock;

use Lottel\Core\Catalogue\Kind;
use Lottel\Core\Upkeep\Restock\CardsAhead;
use Lottel\Core\Upkeep\Restock\KindAhead;
use PHPUnit\Framework\TestCase;

final class CardsAheadTest extends TestCase
{
    public function testTheyTakeWhatCardsTookSoFar(): void
    {
        $ahead = new CardsAhead(9, 40, [[Kind::Paper, 52, 300], [Kind::Envelope, 38, 4], [Kind::PartFinished, 9, 50]]);
        self::assertEquals(
            [new KindAhead(Kind::Envelope, 0.95, 9, 4), new KindAhead(Kind::Paper, 1.3, 12, 300)],
            $ahead->kinds(),
            'what falls short first; what fewer than one card in four took is not told',
        );
        self::assertSame([5, 0], array_map(static fn (KindAhead $one): int => $one->short(), $ahead->kinds()));
    }

    public function testWithoutALogNothingIsGuessed(): void
    {
        $nothing = new CardsAhead(9, 0, [[Kind::Paper, 0, 300]]);
        self::assertSame([false, []], [$nothing->isKnown(), $nothing->kinds()]);
        self::assertFalse((new CardsAhead(0, 40, [[Kind::Paper, 52, 300]]))->isKnown());
        self::assertSame(13, (new CardsAhead(10, 10, [[Kind::Paper, 13, 0]]))->kinds()[0]->wanted, 'no more than is needed');
    }
}
