<?php

declare(strict_types=1);

namespace Lottel\Core\Workshop;

/**
 * How a thing is dealt out in a class: so much for each person, which goes into the bags, or so much for every so many persons,
 * which stands on the table between them.
 */
final readonly class Share
{
    /** Of what is counted by length that is about 30 m. */
    public const MOST = 10_000_000;

    private const NUMBERS = [2 => 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

    /**
     * @param int $each in what its tracking counts
     * @param int $among how many persons share it; 1 where each one has their own
     *
     * @throws InvalidWorkshop if nothing, or too much, is dealt out
     */
    public function __construct(public int $each, public int $among = 1)
    {
        if ($each < 1 || $each > self::MOST) {
            throw InvalidWorkshop::each(self::MOST);
        }
        if ($among < 1 || $among > Headcount::MOST_PERSONS) {
            throw InvalidWorkshop::among(Headcount::MOST_PERSONS);
        }
    }

    /** How a thing is dealt out unless somebody says otherwise: what lasts is for all; of the rest nobody knows how much. */
    public static function usual(bool $lasts, Headcount $class): ?self
    {
        return $lasts ? new self(1, $class->persons) : null;
    }

    /** How a quantity that a design wants is dealt out; null where it does not come out even. */
    public static function byDesign(int $quantity, Headcount $class): ?self
    {
        return $quantity > 0 && 0 === $quantity % $class->sets() ? new self(intdiv($quantity, $class->sets())) : null;
    }

    /** Whether it goes into each one's bag. */
    public function isBagged(): bool
    {
        return 1 === $this->among;
    }

    /** How much of it is wanted: of what is shared there is no spare set, and a table that is not full has its own. */
    public function wanted(Headcount $class): int
    {
        return $this->isBagged() ? $this->each * $class->sets() : $this->each * (int) ceil($class->persons / $this->among);
    }

    /** @param string $each how much that is, in words */
    public function inWords(string $each, Headcount $class): string
    {
        return match (true) {
            $this->isBagged() => $each.' each',
            $this->among >= $class->persons => $each.' for all',
            default => $each.' for every '.(self::NUMBERS[$this->among] ?? $this->among),
        };
    }
}
