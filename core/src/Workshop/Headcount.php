<?php

declare(strict_types=1);

namespace Lottel\Core\Workshop;

use Lottel\Core\Words\Counted;

/** How many come to a class, and how many sets are made up besides, for what goes wrong and who comes unasked. */
final readonly class Headcount
{
    public const MOST_PERSONS = 200;
    public const MOST_SPARES = 20;

    /** @throws InvalidWorkshop if nobody comes, or more than one person can teach */
    public function __construct(public int $persons, public int $spares = 0)
    {
        if ($persons < 1 || $persons > self::MOST_PERSONS) {
            throw InvalidWorkshop::persons(self::MOST_PERSONS);
        }
        if ($spares < 0 || $spares > self::MOST_SPARES) {
            throw InvalidWorkshop::spares(self::MOST_SPARES);
        }
    }

    /** How many bags are made up. */
    public function sets(): int
    {
        return $this->persons + $this->spares;
    }

    public function inWords(): string
    {
        return Counted::of($this->persons, 'person', 'persons').(0 === $this->spares ? '' : ', '.Counted::of($this->spares, 'spare set'));
    }
}
