<?php

declare(strict_types=1);

namespace App\Upkeep\Rehoming;

use App\Room\Catalogue\ThingRow;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\TypicalSize;

/** A thing with its home, how much of it is there, and how much is out. */
final readonly class HomedThing
{
    public function __construct(public ThingRow $row, public int $home, public int $here = 0, public int $out = 0)
    {
    }

    public function with(int $quantity, bool $isOut): self
    {
        return new self($this->row, $this->home, $this->here + ($isOut ? 0 : $quantity), $this->out + ($isOut ? $quantity : 0));
    }

    /** Returns what it takes up when all of it is at home. */
    public function contents(): Contents
    {
        return TypicalSize::contents($this->row->thing->kind, $this->row->tracking, $this->here + $this->out, $this->row->box, $this->row->grams);
    }
}
