<?php

declare(strict_types=1);

namespace Lottel\Core\Upkeep\Restock;

use Lottel\Core\Catalogue\Kind;

/** What the cards of the calendar that nobody has planned yet will take, as cards took so far; an estimate. */
final readonly class CardsAhead
{
    /**
     * @param int $pieces so many are to be made
     * @param int $made so many were made before, while the log was kept
     * @param list<array{Kind, int, int}> $kinds what was used up for those, and what is free now, in pieces by kind
     */
    public function __construct(public int $pieces, public int $made, private array $kinds)
    {
    }

    /** Whether anything can be told: something is to be made, and something was made before. */
    public function isKnown(): bool
    {
        return $this->pieces > 0 && $this->made > 0;
    }

    /** @return list<KindAhead> what was used for at least one card in four; what falls short first */
    public function kinds(): array
    {
        $ahead = [];
        foreach ($this->isKnown() ? $this->kinds : [] as [$kind, $used, $free]) {
            if (4 * $used >= $this->made) {
                $ahead[] = new KindAhead($kind, $used / $this->made, (int) ceil($this->pieces * $used / $this->made - 1e-9), $free);
            }
        }
        usort($ahead, static fn (KindAhead $one, KindAhead $other): int => [$other->short(), $other->wanted] <=> [$one->short(), $one->wanted]);

        return $ahead;
    }
}
