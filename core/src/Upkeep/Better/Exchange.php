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
            static fn (BetterHome $move): float => $move->from->reach->total() + $move->to->reach->total()
                + (\count($move->household->things) - 1) * ($move->from->reach->take + $move->to->reach->take) + self::LABEL_SECONDS,
            $this->moves,
        ));
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
