<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Cutting\CutAudit;
use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\CutSequence;
use Lottel\Core\Cutting\CutTable;
use Lottel\Core\Cutting\CutYield;
use Lottel\Core\Cutting\Keep;
use Lottel\Core\Cutting\PartFate;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\RefusedCut;
use Lottel\Core\Cutting\SheetInWork;
use Lottel\Core\Cutting\SheetPlan;
use Lottel\Core\Cutting\Stock;
use Lottel\Core\Cutting\Trimmer;
use Lottel\Core\Cutting\WorkPart;
use Lottel\Core\Cutting\YieldedPart;
use Lottel\Core\Measure\LengthUnit;
use PHPUnit\Framework\TestCase;

/** A sheet on the table: cut as planned, cut wrong, planned anew, and what it became, to the square tick. */
final class SheetInWorkTest extends TestCase
{
    private const INCH = 8128;

    private static function inches(float $inches): int
    {
        return (int) ($inches * self::INCH);
    }

    /** A letter sheet in four A2 panels: 5 1/2 across, then 4 1/4 through both halves (trade: a quarter of a letter sheet). */
    private static function quartered(): SheetInWork
    {
        $piece = new Piece('panel', self::inches(4.25), self::inches(5.5), 4, true, 'a');
        $stock = new Stock('letter', self::inches(8.5), self::inches(11), 1, 'a', true);
        [$plan] = (new CutPlanner())->plan([$piece], [$stock]);

        return SheetInWork::of(WorkPart::planned($plan->used[0]->root, [7]));
    }

    public function testASheetIsCutPartByPart(): void
    {
        $sheet = self::quartered();
        self::assertSame([false, false], [$sheet->isBegun(), $sheet->isDone()]);
        $halves = $sheet->cut('1');
        self::assertTrue($halves->isBegun());
        self::assertSame(['1.1', '1.2'], array_keys($halves->toCut()));
        $done = $halves->cut('1.2')->cut('1.1');
        self::assertTrue($done->isDone());
        self::assertCount(4, $done->root->inHand());
        self::assertSame([7 => 4], $done->root->pieces());
        self::assertSame(
            [PartFate::Piece],
            array_map(static fn (YieldedPart $part): PartFate => $part->fate, $done->yields(Keep::usualIn(LengthUnit::Inch))->parts),
        );
        self::assertEquals($done, SheetInWork::of(WorkPart::read($done->root->kept())), 'as it is kept');
    }

    public function testACutIsMadeOnceAndOnlyWhereOneIsPlanned(): void
    {
        $refusals = 0;
        foreach (['cut already' => '1', 'cut as well' => '1.1', 'no part' => '1.3', 'no name' => 'x', 'a piece' => '1.1.1'] as $name) {
            try {
                self::quartered()->cut('1')->cut('1.1')->cut($name);
            } catch (RefusedCut $refused) {
                $refusals += str_contains($refused->getMessage(), 'in the meantime') ? 1 : 0;
            }
        }
        self::assertSame(5, $refusals);
        $this->expectException(RefusedCut::class);
        self::quartered()->cut('1.1');
    }

    public function testWhatIsHalfCutMayStayAsItIs(): void
    {
        $stopped = self::quartered()->cut('1')->cut('1.1')->stopped();
        self::assertTrue($stopped->isDone());
        $yield = $stopped->yields(Keep::usualIn(LengthUnit::Inch));
        self::assertSame([2, 1], [$yield->all(PartFate::Piece)[0]->quantity, $yield->all(PartFate::Offcut)[0]->quantity]);
    }

    public function testACutAtTheWrongPlaceLosesWhatWasPlannedBelow(): void
    {
        $halves = self::quartered()->cut('1');
        $along = $halves->root->named('1.1')->isCutAlongX;
        $wrong = $halves->cutWrong('1.1', self::inches(3));
        self::assertSame([7 => 2], $wrong->root->pieces());
        self::assertSame(['1.1.1', '1.1.2'], array_keys($wrong->free()));
        self::assertSame($along, $wrong->root->named('1.1')->isCutAlongX, 'in the same direction');
        foreach ([0, self::inches(20), -5] as $outside) {
            try {
                $halves->cutWrong('1.1', $outside);
                self::fail('outside');
            } catch (RefusedCut $refused) {
                self::assertSame('at', $refused->field);
            }
        }
    }

    /** Whatever is cut in whatever order, and wherever it goes wrong: the area stays what it was. */
    public function testAreaIsKeptToTheSquareTick(): void
    {
        mt_srand(5);
        $wrongs = 0;
        for ($case = 0; $case < 60; ++$case) {
            $pieces = [];
            for ($kind = 0; $kind < 3; ++$kind) {
                $pieces[] = new Piece('p'.$kind, mt_rand(6000, 40_000), mt_rand(6000, 40_000), mt_rand(1, 5), true, 'a');
            }
            [$plan] = (new CutPlanner(seconds: 0.01))->plan($pieces, [new Stock('s', mt_rand(50_000, 97_000), mt_rand(50_000, 97_000), 20, 'a', true)]);
            foreach ($plan->used as $cut) {
                $sheet = SheetInWork::of(WorkPart::planned($cut->root, [0, 1, 2]));
                while ([] !== $sheet->toCut()) {
                    $names = array_keys($sheet->toCut());
                    $name = (string) $names[mt_rand(0, \count($names) - 1)];
                    $part = $sheet->toCut()[$name];
                    $isWrong = 1 === mt_rand(1, 6);
                    $wrongs += $isWrong ? 1 : 0;
                    $sheet = $isWrong ? $sheet->cutWrong($name, mt_rand(1, ($part->isCutAlongX ? $part->width : $part->height) - 1)) : $sheet->cut($name);
                }
                $yield = $sheet->yields(Keep::usualIn(LengthUnit::Inch));
                $area = array_sum(array_map(static fn (YieldedPart $part): int => $part->area(), $yield->parts));
                self::assertSame($cut->root->area(), $area);
                $doubled = $yield->and($yield);
                self::assertSame(
                    [2, 2 * $area],
                    [$doubled->sheets, array_sum(array_map(static fn (YieldedPart $part): int => $part->area(), $doubled->parts))],
                );
                self::assertEqualsWithDelta($yield->waste(), $doubled->waste(), 1e-12);
            }
        }
        self::assertGreaterThan(20, $wrongs);
    }

    public function testAYieldThatLosesASquareTickIsRefused(): void
    {
        $parts = [new YieldedPart(PartFate::Piece, 10, 10, 1, 1), new YieldedPart(PartFate::Waste, 10, 9, 1)];
        self::assertSame('Law 5: the sheet has 200 square ticks, what it became has 190.', CutAudit::wrong(20, 10, 1, 1, $parts, [1, 0]));
        $parts[] = new YieldedPart(PartFate::Offcut, 10, 1, 1);
        self::assertNull(CutAudit::wrong(20, 10, 1, 1, $parts, [1, 0, 1]));
        self::assertSame('1 sheets are cut, but 2 left the tray', CutAudit::wrong(20, 10, 1, 2, $parts, [1, 0, 1]));
        self::assertSame('1 of a part were cut, but 0 came in', CutAudit::wrong(20, 10, 1, 1, $parts, [1, 0, 0]));
        $this->expectException(RefusedCut::class);
        CutYield::counted(20, 10, 1, \array_slice($parts, 0, 2));
    }

    public function testWhatIsLackingComesOutOfWhatLiesOnTheTableFirst(): void
    {
        $spoilt = self::quartered()->cut('1')->cutWrong('1.1', self::inches(3));
        $small = new Piece('tag', self::inches(2), self::inches(3), 2, true, 'a');
        $sheet = new Stock('12', self::inches(8.5), self::inches(11), 5, 'a', true);
        $planned = (new CutTable(new CutPlanner(new Trimmer(null, self::inches(0.125)))))->plan([9 => $small], [3 => [$spoilt, 'a']], [12 => $sheet]);
        self::assertSame([[3], [], []], [array_keys($planned->changed), $planned->opened, $planned->lacking]);
        self::assertEquals([7 => 2, 9 => 2], $planned->changed[3]->root->pieces());
        self::assertFalse($planned->changed[3]->isDone());

        $panel = new Piece('panel', self::inches(4.25), self::inches(5.5), 3, true, 'a');
        $planned = (new CutTable(new CutPlanner()))->plan([7 => $panel], [3 => [$spoilt, 'a']], [12 => $sheet]);
        self::assertSame([[3], [12], []], [array_keys($planned->changed), array_column($planned->opened, 0), $planned->lacking]);
        self::assertSame(
            [3, 2],
            [$planned->changed[3]->root->pieces()[7], $planned->opened[0][1]->root->pieces()[7]],
            'one of the two spoilt parts is large enough',
        );
        $planned = (new CutTable(new CutPlanner()))->plan([7 => $panel], [3 => [$spoilt, 'b']], []);
        self::assertSame([7 => 3], $planned->lacking, 'another paper');
    }

    public function testThePresentSettingIsUsedUpFirst(): void
    {
        $sheet = self::quartered();
        $sequence = new CutSequence(3);
        $parts = [[0, '1', $sheet->root->part()]];
        $steps = $sequence->goOn($parts);
        self::assertSame([true, true], array_map(static fn ($step): bool => $step->isNewSetting, $steps));
        $goneOn = $sequence->goOn($parts, $steps[0]->setting);
        self::assertFalse($goneOn[0]->isNewSetting, 'the trimmer is set to it already');
        self::assertSame(20 + 20, CutSequence::seconds($steps, 0));
        self::assertSame(8 + 20 + 30, CutSequence::seconds($goneOn, 3));
        self::assertSame(['long', self::inches(4.25)], [$steps[0]->side(), $steps[0]->at()], 'a letter sheet is halved with its long edge to the stop');
    }

    public function testADrawingHasEveryCutAndPart(): void
    {
        $plan = SheetPlan::of(self::quartered()->root);
        self::assertSame([4, [1, 2, 3]], [\count($plan->parts), array_column($plan->cuts, 'number')]);
        $area = array_sum(array_map(static fn (array $part): int => $part['part']->width * $part['part']->height, $plan->parts));
        self::assertSame($plan->width * $plan->height, $area);
    }
}
