<?php

declare(strict_types=1);

namespace App\Tests\Kits\Cutting;

use App\Room\Catalogue\Spine;
use App\Room\Catalogue\Strip;
use Lottel\Core\Catalogue\Thing;
use PHPUnit\Framework\TestCase;

final class StripTest extends TestCase
{
    public function testALongDrawerIsShownAroundWhatIsMarked(): void
    {
        $things = self::things(40);
        $strip = Strip::around($things, [20]);
        self::assertCount(13, $strip->spines);
        self::assertSame([13, 14], [$strip->before, $strip->after]);
        self::assertSame([6], array_keys(array_filter($strip->spines, static fn (Spine $spine): bool => $spine->isMarked)), 'in the middle');
        self::assertSame(0, Strip::around($things, [1])->before);
        self::assertSame(0, Strip::around($things, [40])->after);
        self::assertSame(0, Strip::around($things, [])->before, 'from the beginning where nothing is marked');
    }

    /** Seeded: what is before, shown and after is all that there is, in its order. */
    public function testNothingIsLeftOut(): void
    {
        mt_srand(13);
        for ($case = 0; $case < 200; ++$case) {
            $many = mt_rand(0, 30);
            $marked = array_map(static fn (): int => mt_rand(1, 30), range(1, mt_rand(1, 4)));
            $gaps = [mt_rand(1, 30)];
            $strip = Strip::around(self::things($many), $marked, $gaps);
            self::assertSame($many, $strip->before + \count($strip->spines) + $strip->after);
            foreach ($strip->spines as $index => $spine) {
                $id = $strip->before + $index + 1;
                self::assertSame(["Thing {$id}", \in_array($id, $marked, true), \in_array($id, $gaps, true)], [$spine->name, $spine->isMarked, $spine->isGap]);
            }
            $first = min([31, ...array_filter($marked, static fn (int $id): bool => $id <= $many)]);
            if ($first <= $many) {
                self::assertGreaterThan($strip->before, $first, 'the first marked one is shown');
                self::assertLessThanOrEqual($strip->before + \count($strip->spines), $first);
            }
        }
    }

    /** @return list<Thing> */
    private static function things(int $many): array
    {
        return 0 === $many ? [] : array_map(static fn (int $id): Thing => new Thing($id, "Thing {$id}"), range(1, $many));
    }
}
