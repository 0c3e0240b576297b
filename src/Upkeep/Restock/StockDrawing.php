<?php

declare(strict_types=1);

namespace App\Upkeep\Restock;

/** Draws a stock: how it fell, week by week, as steps; today; and dashed how it will fall, with the day to order and the day it is out. */
final class StockDrawing
{
    private const WIDTH = 300.0;
    private const HEIGHT = 66.0;
    private const TODAY = 160.0;
    private const AHEAD_WEEKS = 10.0;

    public function draw(StockRow $row): string
    {
        $most = max(1, ...$row->levels, ...[$row->forecast->orderAt]);
        $y = static fn (float $level): float => self::HEIGHT - 6 - (self::HEIGHT - 14) * $level / $most;
        $before = self::TODAY / max(1, \count($row->levels) - 1);
        $path = '';
        foreach ($row->levels as $nth => $level) {
            $path .= 0 === $nth ? \sprintf('M0 %.1f', $y($level)) : \sprintf('H%.1fV%.1f', $nth * $before, $y($level));
        }
        $ahead = (self::WIDTH - self::TODAY) / self::AHEAD_WEEKS;
        $forecast = $row->forecast;
        $out = self::TODAY + min(self::AHEAD_WEEKS, $forecast->out / 7) * $ahead;
        $atOut = $forecast->out / 7 <= self::AHEAD_WEEKS ? 0.0 : $forecast->left - $forecast->rate->aWeek * self::AHEAD_WEEKS;
        $order = self::TODAY + $forecast->orderIn / 7 * $ahead;

        return \sprintf('<svg class="stock" aria-hidden="true" viewBox="0 0 %.0f %.0f">', self::WIDTH, self::HEIGHT)
            .\sprintf('<path class="past" d="%sH%.1fV%.1fH0z"/>', $path, self::TODAY, self::HEIGHT - 6)
            .\sprintf('<path class="order-line" d="M0 %1$.1fH%2$.0f"/>', $y($forecast->orderAt), self::WIDTH)
            .\sprintf('<path class="fall" d="%s"/>', $path)
            .\sprintf('<path class="ahead" d="M%.1f %.1fL%.1f %.1f"/>', self::TODAY, $y($forecast->left), $out, $y(max(0.0, $atOut)))
            .\sprintf('<path class="today" d="M%1$.1f 0V%2$.0f"/>', self::TODAY, self::HEIGHT)
            .($order <= self::WIDTH - 4 ? \sprintf('<path class="order" d="M%.1f %.1fl-6 -9h12z"/>', $order, $y($forecast->orderAt)) : '')
            .($forecast->out / 7 <= self::AHEAD_WEEKS ? \sprintf('<path class="out" d="M%.1f %.1fl8 8m0 -8l-8 8"/>', $out - 4, $y(0) - 4) : '')
            .'</svg>';
    }
}
