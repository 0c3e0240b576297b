<?php

declare(strict_types=1);

namespace Lottel\Core\Filing;

use Lottel\Core\Catalogue\Thing;

/** Where in a place a thing stands: after $before, in front of $after, $index things being in front of it. */
final readonly class FilingPosition
{
    public function __construct(public ?Thing $before, public ?Thing $after, public int $index)
    {
    }

    /** Returns the position in words, such as “between Lantern room and Loose rope”. */
    public function inWords(): string
    {
        return match (true) {
            null === $this->before && null === $this->after => 'alone in its place',
            null === $this->before => 'first, in front of '.$this->after->name,
            null === $this->after => 'last, behind '.$this->before->name,
            default => 'between '.$this->before->name.' and '.$this->after->name,
        };
    }
}
