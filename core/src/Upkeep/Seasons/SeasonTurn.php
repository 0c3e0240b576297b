<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Seasons;

/** What changes its home now that the seasons turn. */
final readonly class SeasonTurn
{
    /** More at once nobody carries (common practice, no source). */
    public const MOST = 60;

    /**
     * @param list<Seasonal> $forward what comes forward; where to is not said yet
     * @param list<Seasonal> $back what goes back, each with the place that it goes to
     * @param list<Seasonal> $homeless what would go back, but to a place that is not there any more, or never was
     */
    private function __construct(public array $forward, public array $back, public array $homeless)
    {
    }

    /** @param list<LivesBySeason> $living */
    public static function of(SeasonCalendar $calendar, array $living): self
    {
        $forward = $back = $homeless = [];
        foreach ($living as $one) {
            $why = $calendar->why($one->season, $one->themes());
            if (!$one->isForward) {
                $forward = [...$forward, ...(null === $why ? [] : [new Seasonal($one->household, $one->now, $why)])];
            } elseif ($calendar->isOver($one->season, $one->themes())) {
                $seasonal = new Seasonal($one->household, $one->now, $one->whyBack());
                null === $one->otherwise ? $homeless[] = $seasonal : $back[] = $seasonal->goingTo($one->otherwise);
            }
        }

        return new self($forward, $back, $homeless);
    }
}
