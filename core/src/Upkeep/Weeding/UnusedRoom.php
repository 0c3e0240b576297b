<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Weeding;

use Lottel\Core\Furniture\Box;

/** What was not used for so long, and what it takes up. */
final readonly class UnusedRoom
{
    /** What is not used for so many months is worth a look (common practice, no source). */
    public const MONTHS = [6, 12, 24];
    private const DAYS_IN_MONTH = 365.25 / 12;

    /** @param list<UnusedThing> $things */
    public function __construct(public array $things)
    {
    }

    /** Returns those of them that were not used for so many months. */
    public function since(int $months): self
    {
        return new self(array_values(array_filter(
            $this->things,
            static fn (UnusedThing $thing): bool => $thing->days >= $months * self::DAYS_IN_MONTH,
        )));
    }

    public function litres(): float
    {
        return array_sum(array_map(static fn (UnusedThing $thing): float => $thing->litres, $this->things));
    }

    /**
     * Returns how many drawers of a size so much would fill: some whole ones, and one in part.
     *
     * @param float $drawer litres of one, above 0
     *
     * @return list<float> how far each is filled, from 0 to 1
     */
    public static function asDrawers(float $litres, float $drawer): array
    {
        $filled = $litres / max(1e-9, $drawer);
        $whole = (int) floor($filled);

        return [...array_fill(0, $whole, 1.0), ...($filled - $whole > 0.005 ? [$filled - $whole] : [])];
    }

    /** Returns how much of a place so much takes up, in whole percent; null where the place is not measured inside. */
    public static function percentOf(?Box $inside, float $litres): ?int
    {
        return null === $inside ? null : (int) round(100 * $litres / max(1e-9, $inside->litres()));
    }

    /** @return array<int, list<UnusedThing>> by place, those first where most of it lies */
    public function byPlace(): array
    {
        $by = [];
        foreach ($this->things as $thing) {
            $by[$thing->place][] = $thing;
        }
        uasort($by, static fn (array $a, array $b): int => (new self(array_values($b)))->litres() <=> (new self(array_values($a)))->litres());

        return $by;
    }
}
