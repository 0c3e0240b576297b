<?php

declare(strict_types=1);

namespace App\Kits\Cutting;

use Lottel\Core\Measure\Length;

/** The unit in which a plan is written so that all of its lengths are plain decimals: inches where all are whole 64ths, else millimetres. */
final readonly class PlanUnit
{
    private const TICKS_PER_SIXTY_FOURTH = Length::TICKS_PER_INCH / 64;

    private function __construct(public string $name, private int $ticks)
    {
    }

    /** @param list<int> $lengths in ticks */
    public static function for(array $lengths): self
    {
        foreach ($lengths as $ticks) {
            if (0 !== $ticks % self::TICKS_PER_SIXTY_FOURTH) {
                return new self('mm', Length::TICKS_PER_MILLIMETRE);
            }
        }

        return new self('in', Length::TICKS_PER_INCH);
    }

    public function number(int $ticks): int|float
    {
        return 0 === $ticks % $this->ticks ? intdiv($ticks, $this->ticks) : $ticks / $this->ticks;
    }
}
