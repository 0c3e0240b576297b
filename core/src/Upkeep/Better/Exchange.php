<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

/** Moves that need each other: one alone, or those of which some make room for others. Each exchange can be left out by itself. */
final readonly class Exchange
{
    private const WEEKS_IN_MONTH = 365.25 / 12 / 7;

    /** Taking a label off and writing one anew, in seconds; an estimate. */
    private const LABEL_SECONDS = 30.0;

    /** Within so many weeks a move pays back, or it is not proposed (a judgement of ours). */
    private const WORTH_WEEKS = 52.0;

    /** @param non-empty-list<BetterHome> $moves those that save most first */
    public function __construct(public array $moves)
    {
    }

    /** Returns the seconds a month that it saves. */
    public function saves(): float
    {
        return array_sum(array_map(static fn (BetterHome $move): float => $move->saves, $this->moves));
    }

    /** Returns the seconds that it costs once: fetching each thing, bringing it there, changing its label; an estimate. */
    public function costs(): float
    {
        return array_sum(array_map(
            static fn (BetterHome $move): float => self::costOf($move->household, $move->from, $move->to),
            $this->moves,
        ));
    }

    /** Whether the move of one household pays for itself within a year. */
    public static function paysAlone(Household $household, HomePlace $from, HomePlace $to): bool
    {
        $saves = $household->uses * ($from->reach->total() - $to->reach->total());

        return $saves > 0 && self::costOf($household, $from, $to) / $saves * self::WEEKS_IN_MONTH <= self::WORTH_WEEKS;
    }

    private static function costOf(Household $household, HomePlace $from, HomePlace $to): float
    {
        return $from->reach->total() + $to->reach->total() + self::LABEL_SECONDS
            + (\count($household->things) - 1) * ($from->reach->take + $to->reach->take);
    }

    /** Returns after how many weeks it has paid for itself; infinite where it saves nothing. */
    public function weeks(): float
    {
        return $this->saves() > 0 ? $this->costs() / $this->saves() * self::WEEKS_IN_MONTH : \INF;
    }

    public function isWorthIt(): bool
    {
        return $this->weeks() <= self::WORTH_WEEKS;
    }
}
