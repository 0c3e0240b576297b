<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Lottel\Core\Words\Counted;

/** What is to be seen on the front of a place besides its address, what lies in inner places of it included. */
final readonly class FrontState
{
    /**
     * @param int $out how many different things are out of it
     * @param bool $isOverdue whether one of them should be back by now
     * @param int $lost how many different things that live there are lost
     * @param bool $isOverFull whether there is no room left to grow in it
     */
    public function __construct(public int $out = 0, public bool $isOverdue = false, public int $lost = 0, public bool $isOverFull = false)
    {
    }

    public function and(self $other): self
    {
        return new self(
            $this->out + $other->out,
            $this->isOverdue || $other->isOverdue,
            $this->lost + $other->lost,
            $this->isOverFull || $other->isOverFull,
        );
    }

    /** Returns it in words, each with a comma before it. */
    public function inWords(): string
    {
        return (0 === $this->out ? '' : ", {$this->out} out").($this->isOverdue ? ', overdue' : '')
            .($this->isOverFull ? ', over-full' : '').(0 === $this->lost ? '' : ', '.Counted::of($this->lost, 'thing').' lost');
    }
}
