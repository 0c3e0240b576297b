<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Lost;

/**
 * How likely each clue is to be the right one: a judgement at first, and what came true in the room itself after that. The weights are
 * counts, as of a Dirichlet prior; a thing that was found adds one, parted among the clues that pointed at its place as likely as each was
 * to be the reason.
 */
final readonly class ClueWeights
{
    /** Before anything was found: as if things had been in none of the places so often. */
    private const ELSEWHERE = 1.5;

    /** At the least so much is kept for places that no clue points at. */
    public const LEAST_ELSEWHERE = 0.1;

    /** @param array<string, float> $counts by clue */
    private function __construct(private array $counts, private float $elsewhere)
    {
    }

    public static function usual(): self
    {
        $counts = [];
        foreach (Clue::cases() as $clue) {
            $counts[$clue->value] = $clue->weight();
        }

        return new self($counts, self::ELSEWHERE);
    }

    /** Returns what is known after a thing with such a trail was found in a place. */
    public function learn(Trail $trail, int $foundIn): self
    {
        $shares = [];
        foreach ($trail->cluesTo($foundIn) as $clue) {
            $shares[$clue->value] = $this->counts[$clue->value] / \count($trail->places[$clue->value]);
        }
        $all = array_sum($shares);
        if ($all <= 0) {
            return new self($this->counts, $this->elsewhere + 1);
        }
        $counts = $this->counts;
        foreach ($shares as $clue => $share) {
            $counts[$clue] += $share / $all;
        }

        return new self($counts, $this->elsewhere);
    }

    /**
     * Returns how likely each place of a trail is, and last, under 0, that it is in none of them; they add up to 1.
     *
     * @return array<int, float> by the number of the place
     */
    public function chances(Trail $trail): array
    {
        $known = array_intersect_key($this->counts, $trail->places);
        $all = array_sum($known) + $this->elsewhere;
        $elsewhere = [] === $known ? 1.0 : max(self::LEAST_ELSEWHERE, $this->elsewhere / $all);
        $chances = array_fill_keys($trail->all(), 0.0);
        foreach ($known as $clue => $count) {
            foreach ($trail->places[$clue] as $place) {
                $chances[$place] += (1 - $elsewhere) * $count / ($all - $this->elsewhere) / \count($trail->places[$clue]);
            }
        }

        return $chances + [0 => $elsewhere];
    }
}
