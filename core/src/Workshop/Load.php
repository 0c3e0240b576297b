<?php

declare(strict_types=1);

namespace Lottel\Core\Workshop;

use Lottel\Core\Words\Counted;

/** A bag or box that is carried to a class, and how heavy it is. */
final readonly class Load
{
    /**
     * @param int $milligrams what all of it weighs
     * @param list<string> $usual the things of which only is known what such things usually weigh
     */
    private function __construct(public int $milligrams, public array $usual)
    {
    }

    /**
     * Returns one person's bag.
     *
     * @param array<int, SharedThing> $things
     */
    public static function bag(array $things): self
    {
        return self::of(
            array_filter($things, static fn (SharedThing $thing): bool => $thing->share->isBagged()),
            static fn (SharedThing $thing): int => $thing->share->each,
        );
    }

    /**
     * Returns the box of what is shared.
     *
     * @param array<int, SharedThing> $things
     */
    public static function box(array $things, Headcount $class): self
    {
        return self::of(
            array_filter($things, static fn (SharedThing $thing): bool => !$thing->share->isBagged()),
            static fn (SharedThing $thing): int => $thing->share->wanted($class),
        );
    }

    /** In whole grams. */
    public function grams(int $times = 1): int
    {
        return (int) round($times * $this->milligrams / 1000);
    }

    /** Says that the weight is an estimate, where it is one. */
    public function caveat(): string
    {
        $many = \count($this->usual);

        return 0 === $many ? '' : \sprintf('an estimate: of %s only the usual weight is known', Counted::of($many, 'thing'));
    }

    /**
     * @param array<int, SharedThing> $things
     * @param callable(SharedThing): int $howMuch
     */
    private static function of(array $things, callable $howMuch): self
    {
        $quantities = array_map($howMuch, $things);
        $unweighed = array_filter($things, static fn (SharedThing $thing): bool => $thing->isUsual);
        $usual = array_map(static fn (SharedThing $thing): string => $thing->name, $unweighed);

        return new self(
            array_sum(array_map(static fn (SharedThing $thing, int $quantity): int => $thing->milligrams * $quantity, $things, $quantities)),
            array_values(array_unique($usual)),
        );
    }
}
