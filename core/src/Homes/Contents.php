<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

/** What a place holds, summed up. */
final readonly class Contents
{
    /**
     * @param float $litres volume of all things
     * @param float $thickness in millimetres of all things as they are filed one behind another
     * @param float $grams of all things
     * @param int $guessed of how many things the size or the weight is a guess
     */
    public function __construct(public float $litres, public float $thickness, public float $grams, public int $guessed = 0)
    {
    }

    public function plus(self $more): self
    {
        return new self($this->litres + $more->litres, $this->thickness + $more->thickness, $this->grams + $more->grams, $this->guessed + $more->guessed);
    }

    /** Returns what so many times as much would be, as an estimate from a sample; what is a guess in it is not told any more. */
    public function times(float $factor): self
    {
        return new self($this->litres * $factor, $this->thickness * $factor, $this->grams * $factor);
    }
}
