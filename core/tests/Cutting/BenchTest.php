<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\CutSequence;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\Scrap;
use Lottel\Core\Cutting\SettingOrder;
use Lottel\Core\Cutting\SheetPart;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Paper\InvalidOutline;
use Lottel\Core\Paper\Outline;
use PHPUnit\Framework\TestCase;

/** What happens around a cut plan: the order of strokes, odd outlines, and finding a scrap. */
final class BenchTest extends TestCase
{
    public function testThreeSheetsIntoTwelvePanelsAreTwoStrokes(): void
    {
        [$plan] = (new CutPlanner())->plan([new Piece('panel', 34, 44, 12, true, '')], [new Stock('letter', 68, 88, 9, '', true)]);
        $steps = (new CutSequence(6))->of($plan);
        self::assertCount(2, $steps, 'three sheets at once, then six halves at once');
        self::assertSame(2, CutSequence::settingsOf(...$steps));
        self::assertSame([3, 6], array_map(static fn ($step): int => \count($step->parts), $steps));
        self::assertSame(500, CutSequence::price($steps, 250));
        $byHand = (new CutSequence(1))->of($plan);
        self::assertCount(9, $byHand, 'sheet by sheet: nine strokes');
        self::assertSame(2, CutSequence::settingsOf(...$byHand), 'but still only two settings');
    }

    /** The number of settings against trying every order of them. */
    public function testNoOrderOfSettingsHasFewerChanges(): void
    {
        mt_srand(13);
        $better = 0;
        for ($case = 0; $case < 40; ++$case) {
            $pieces = [];
            for ($i = 0, $count = mt_rand(2, 3); $i < $count; ++$i) {
                $pieces[] = new Piece('p'.$i, mt_rand(1, 6) * 6, mt_rand(1, 6) * 6, mt_rand(1, 3), true, '');
            }
            [$plan] = (new CutPlanner(seconds: 0.02))->plan($pieces, [new Stock('letter', 68, 88, 30, '', true)]);
            $roots = array_map(static fn ($cut): SheetPart => $cut->root, $plan->used);
            $fewest = 0;
            while (!$this->isDoneWith($roots, $fewest)) {
                ++$fewest;
            }
            $order = new SettingOrder();
            self::assertSame([$fewest, true], [\count($order->of($plan)), $order->isProven]);
            self::assertSame($fewest, CutSequence::settingsOf(...(new CutSequence(1))->of($plan)), "case {$case}");
            $better += $fewest > 2 ? 1 : 0;
        }
        self::assertGreaterThan(10, $better, 'some of them are not simple');
    }

    /** @param array<int, SheetPart> $parts */
    private function isDoneWith(array $parts, int $settings): bool
    {
        $parts = array_filter($parts, static fn (SheetPart $part): bool => null !== $part->first);
        if ([] === $parts || 0 === $settings) {
            return [] === $parts;
        }
        $sides = static fn (SheetPart $part): array => $part->isCutAlongX
            ? [$part->first?->width, $part->second?->width]
            : [$part->first?->height, $part->second?->height];
        foreach (array_unique(array_merge(...array_map($sides, array_values($parts)))) as $setting) {
            $left = [];
            for ($open = $parts; [] !== $open;) {
                $part = array_pop($open);
                if (null !== $part->first && null !== $part->second && \in_array($setting, $sides($part), true)) {
                    array_push($open, $part->first, $part->second);
                } else {
                    $left[] = $part;
                }
            }
            if ($this->isDoneWith($left, $settings - 1)) {
                return true;
            }
        }

        return false;
    }

    /** Each cut of the plan is made once, no part before it exists, and never more sheets together than the trimmer takes. */
    public function testASequenceMakesEveryCutOfThePlanOnce(): void
    {
        mt_srand(12);
        for ($case = 0; $case < 25; ++$case) {
            $pieces = [];
            for ($i = 0, $count = mt_rand(1, 4); $i < $count; ++$i) {
                $pieces[] = new Piece('p'.$i, mt_rand(8, 40), mt_rand(8, 40), mt_rand(1, 4), true, '');
            }
            [$plan] = (new CutPlanner(seconds: 0.02))->plan($pieces, [new Stock('letter', 68, 88, 30, '', true)]);
            $height = mt_rand(1, 5);
            $steps = (new CutSequence($height))->of($plan);
            $made = [];
            foreach (array_keys($plan->used) as $number) {
                $made[$number.':1'] = true;
            }
            $strokes = 0;
            foreach ($steps as $step) {
                self::assertLessThanOrEqual($height, \count($step->parts));
                foreach ($step->parts as [$number, $name]) {
                    self::assertArrayHasKey($number.':'.$name, $made, 'the part is in hand');
                    unset($made[$number.':'.$name]);
                    $made[$number.':'.$name.'.1'] = $made[$number.':'.$name.'.2'] = true;
                    ++$strokes;
                }
            }
            self::assertSame($plan->score->cuts, $strokes);
        }
    }

    public function testAnOutlineOfTwoCornersIsNone(): void
    {
        $this->expectException(InvalidOutline::class);
        Outline::of([[0, 0], [1, 1]]);
    }
}
