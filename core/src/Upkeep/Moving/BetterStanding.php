<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Moving;

/** Finds furniture that had better change places: what is fetched from often stands far, what is fetched from seldom stands near. */
final class BetterStanding
{
    /** Two pieces can change places where their widths and depths differ by no more than this (common practice, no source). */
    private const ALIKE_MM = 60;

    /** Less is not worth the moving of furniture, in seconds a month (a judgement, no source). */
    private const LEAST = 5.0;

    /**
     * @param list<StandingUnit> $units
     *
     * @return list<StandingSwap> the ones that save most, each piece in one of them at the most
     */
    public static function swaps(array $units, int $most): array
    {
        $swaps = [];
        foreach ($units as $nth => $one) {
            foreach (\array_slice($units, $nth + 1) as $other) {
                $swap = $one->walk >= $other->walk ? new StandingSwap($one, $other) : new StandingSwap($other, $one);
                if (self::fit($one, $other) && $swap->saves() >= self::LEAST) {
                    $swaps[] = $swap;
                }
            }
        }
        usort($swaps, static fn (StandingSwap $one, StandingSwap $other): int => $other->saves() <=> $one->saves());
        $chosen = $moved = [];
        foreach ($swaps as $swap) {
            if (\count($chosen) < $most && !isset($moved[$swap->nearer->id]) && !isset($moved[$swap->farther->id])) {
                $chosen[] = $swap;
                $moved[$swap->nearer->id] = $moved[$swap->farther->id] = true;
            }
        }

        return $chosen;
    }

    private static function fit(StandingUnit $one, StandingUnit $other): bool
    {
        return abs($one->widthMm - $other->widthMm) <= self::ALIKE_MM && abs($one->depthMm - $other->depthMm) <= self::ALIKE_MM;
    }
}
