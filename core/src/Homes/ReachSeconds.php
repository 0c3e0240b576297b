<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

/** What it takes from the bench to have a thing of a place in hand and be back, by motion, in seconds; estimates after MotionTimes. */
final readonly class ReachSeconds
{
    public function __construct(
        public float $walk,
        public float $door,
        public float $bend,
        public float $climb,
        public float $open,
        public float $lift,
        public float $take,
    ) {
    }

    public function total(): float
    {
        return $this->walk + $this->door + $this->bend + $this->climb + $this->open + $this->lift + $this->take;
    }

    public static function none(): self
    {
        return new self(0, 0, 0, 0, 0, 0, 0);
    }

    public function plus(self $more): self
    {
        return new self(
            $this->walk + $more->walk,
            $this->door + $more->door,
            $this->bend + $more->bend,
            $this->climb + $more->climb,
            $this->open + $more->open,
            $this->lift + $more->lift,
            $this->take + $more->take,
        );
    }

    public function times(float $factor): self
    {
        return new self(
            $this->walk * $factor,
            $this->door * $factor,
            $this->bend * $factor,
            $this->climb * $factor,
            $this->open * $factor,
            $this->lift * $factor,
            $this->take * $factor,
        );
    }

    /** @return array<string, float> seconds by motion in a word, those that take none left out */
    public function byMotion(): array
    {
        return array_filter([
            'walk' => $this->walk,
            'go next door' => $this->door,
            'bend' => $this->bend,
            'climb' => $this->climb,
            'open and close' => $this->open,
            'lift off layers' => $this->lift,
            'reach and take' => $this->take,
        ], static fn (float $seconds): bool => $seconds > 0);
    }

    /** @return list<string> the motions that another place does without, in words such as “no bending” */
    public function sparedBy(self $other): array
    {
        $less = [
            ['no stool', $this->climb, $other->climb],
            ['no bending', $this->bend, $other->bend],
            ['no layer to lift off', $this->lift, $other->lift],
            ['nothing to open', $this->open, $other->open],
            ['in the same room', $this->door, $other->door],
        ];
        $words = array_map(
            static fn (array $motion): string => $motion[0],
            array_values(array_filter($less, static fn (array $motion): bool => $motion[1] > 0 && 0.0 === $motion[2])),
        );

        return $this->walk - $other->walk > 0.5 ? ['a shorter way', ...$words] : $words;
    }
}
