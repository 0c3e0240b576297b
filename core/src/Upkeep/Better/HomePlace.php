<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Better;

use Lottel\Core\Filing\FilingScheme;
use Lottel\Core\Furniture\Box;
use Lottel\Core\Homes\Belonging;
use Lottel\Core\Homes\Capacity;
use Lottel\Core\Homes\Contents;
use Lottel\Core\Homes\ReachSeconds;

/** A place in which things live: what it takes to reach it, what belongs in it, how much it takes and holds. */
final readonly class HomePlace
{
    /**
     * @param Box|null $inside null where nobody has measured it; then nothing moves in
     * @param Capacity|null $capacity likewise
     * @param Contents $contents all that is in it
     * @param string $season for which it is kept, empty for none
     * @param int $heightMm of its middle above the floor
     * @param bool $takesIn whether things may move in: not into a basket of new things
     * @param int $unit number of the unit that it is in
     */
    public function __construct(
        public int $id,
        public string $address,
        public ReachSeconds $reach,
        public Belonging $says,
        public FilingScheme $scheme,
        public ?Box $inside,
        public ?Capacity $capacity,
        public Contents $contents,
        public string $season = '',
        public int $heightMm = Capacity::USUAL_HEIGHT_MM,
        public bool $isChildSafe = false,
        public bool $takesIn = true,
        public int $unit = 0,
    ) {
    }

    /** Returns the most that it may hold where something moves in, as whole millilitres. */
    public function room(): int
    {
        return null === $this->capacity ? 0 : (int) floor(1000 * $this->capacity->litres());
    }

    /** Returns it with something else in it. */
    public function holding(Contents $contents): self
    {
        return new self(
            $this->id,
            $this->address,
            $this->reach,
            $this->says,
            $this->scheme,
            $this->inside,
            $this->capacity,
            $contents,
            $this->season,
            $this->heightMm,
            $this->isChildSafe,
            $this->takesIn,
            $this->unit,
        );
    }

    /** Whether its label says what belongs in it. */
    public function saysAnything(): bool
    {
        return !$this->says->isOpen();
    }

    /** Returns what tells it from other places for the question what belongs in it. */
    public function label(): string
    {
        return serialize([$this->says, $this->season]);
    }
}
