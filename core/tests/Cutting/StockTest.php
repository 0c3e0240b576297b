<?php

declare(strict_types=1);

namespace Lottel\Core\Tests\Cutting;

use Lottel\Core\Cutting\CutPlanner;
use Lottel\Core\Cutting\Piece;
use Lottel\Core\Cutting\Stock;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StockTest extends TestCase
{
    private const INCH = 8128;

    /** @return iterable<string, array{float, float, float, float, bool, int}> sheet, piece, whether it may turn, and how many in rows */
    public static function sheets(): iterable
    {
        yield 'four A2 panels out of a letter sheet' => [8.5, 11, 4.25, 5.5, true, 4];
        yield 'turned, two bases of 5 1/2 × 8 1/2' => [8.5, 11, 5.5, 8.5, true, 2];
        yield 'and one where they may not turn' => [8.5, 11, 5.5, 8.5, false, 1];
        yield 'nine 4 × 4 out of 12 × 12' => [12, 12, 4, 4, true, 9];
        yield 'none that is larger' => [4, 4, 4.25, 3, true, 0];
    }

    #[DataProvider('sheets')]
    public function testPiecesInRowsAndColumns(float $width, float $height, float $across, float $down, bool $mayTurn, int $many): void
    {
        $ticks = static fn (float $inches): int => (int) round($inches * self::INCH);
        $stock = new Stock('s', $ticks($width), $ticks($height), 3, 'p', true);
        self::assertSame(3 * $many, $stock->inRows(new Piece('piece', $ticks($across), $ticks($down), 1, $mayTurn, 'p')));
    }

    public function testHowManySheetsPiecesTake(): void
    {
        $stock = new Stock('s', 17 * 4064, 11 * self::INCH, 3, 'p', true);
        $panels = static fn (int $many): Piece => new Piece('panel', 17 * 2032, 11 * 4064, $many, true, 'p');
        self::assertSame([1, 1, 2, 3], array_map(static fn (int $many): ?int => $stock->sheetsFor($panels($many)), [1, 4, 5, 12]));
        self::assertNull($stock->sheetsFor($panels(13)), 'there are three sheets');
        self::assertNull($stock->sheetsFor(new Piece('banner', 20 * self::INCH, self::INCH, 1, true, 'p')), 'none is so long');
    }

    public function testNoPlanGetsMoreOutOfItThanItsArea(): void
    {
        mt_srand(22);
        for ($round = 0; $round < 40; ++$round) {
            $stock = new Stock('s', mt_rand(10, 60) * 1016, mt_rand(10, 60) * 1016, mt_rand(1, 3), 'p', true);
            [$width, $height] = [mt_rand(8, 40) * 1016, mt_rand(8, 40) * 1016];
            $piece = new Piece('piece', $width, $height, mt_rand(1, 40), true, 'p');
            [$plan] = (new CutPlanner(seconds: 0.01))->plan([$piece], [$stock]);
            self::assertLessThanOrEqual($stock->atMost($piece), $piece->quantity - $plan->score->unplaced, "round {$round}");
        }
    }

    public function testAPlanFindsRoomForAtLeastAsMany(): void
    {
        mt_srand(21);
        for ($round = 0; $round < 40; ++$round) {
            $stock = new Stock('s', mt_rand(20, 96) * 1016, mt_rand(20, 96) * 1016, mt_rand(1, 4), 'p', true);
            [$width, $height] = [mt_rand(8, 48) * 1016, mt_rand(8, 48) * 1016];
            $many = $stock->inRows(new Piece('piece', $width, $height, 1, true, 'p'));
            self::assertLessThanOrEqual($stock->atMost(new Piece('piece', $width, $height, 1, true, 'p')), $many);
            if (0 === $many || $many > 60) {
                continue;
            }
            [$plan] = (new CutPlanner(seconds: 0.01))->plan([new Piece('piece', $width, $height, $many, true, 'p')], [$stock]);
            self::assertSame(0, $plan->score->unplaced, "round {$round}: {$many} of {$width} × {$height}");
        }
    }
}
