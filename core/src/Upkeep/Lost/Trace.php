<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Lost;

/**
 * Where a lost thing may be. Each look in vain makes a place less likely by Bayes: it becomes p(1 − d) / (1 − pd), d being how likely a
 * look finds what is there (after B. O. Koopman, “Search and Screening”, 1946; the formula from memory).
 */
final readonly class Trace
{
    /** How likely a look into a place finds what is in it; a judgement of ours. */
    public const FINDS = 0.8;

    public function __construct(private ClueWeights $weights)
    {
    }

    /**
     * Returns the likely places, the likeliest first, and last of all that it is elsewhere; the chances add up to 1.
     *
     * @param array<int, int> $looks how often each place was looked into in vain since it is lost, by its number
     *
     * @return list<LikelyPlace>
     */
    public function likely(Trail $trail, array $looks = []): array
    {
        $chances = $this->weights->chances($trail);
        foreach ($looks as $place => $times) {
            if (isset($chances[$place]) && 0 !== $place) {
                $chances[$place] *= (1 - self::FINDS) ** $times;
            }
        }
        $all = array_sum($chances);
        $likely = [];
        foreach ($chances as $place => $chance) {
            $likely[] = new LikelyPlace($place, $chance / $all, $trail->cluesTo($place), $looks[$place] ?? 0);
        }
        $rank = static fn (LikelyPlace $one): array => [0 === $one->place, -$one->chance, $one->place];
        usort($likely, static fn (LikelyPlace $a, LikelyPlace $b): int => $rank($a) <=> $rank($b));

        return $likely;
    }
}
