<?php

declare(strict_types=1);

namespace Lottel\Core\Homes;

use Lottel\Core\Care\Hazard;

/** Whether a place is within small children's reach, and what should not live there (common practice, no source). */
final class ChildReach
{
    /** A child of six on its toes, with an arm up, in millimetres above the floor. */
    private const HIGHEST_MM = 1400;

    /**
     * Returns the hazards that should not live in a place, in order.
     *
     * @param list<Hazard> $hazards of the thing
     * @param bool $isSafe whether the place is said to be out of children's reach
     * @param int $aboveFloorMm height of its middle
     *
     * @return list<Hazard>
     */
    public static function endangers(array $hazards, bool $isSafe, int $aboveFloorMm): array
    {
        if ($isSafe || $aboveFloorMm > self::HIGHEST_MM) {
            return [];
        }

        return array_values(array_filter($hazards, static fn (Hazard $hazard): bool => match ($hazard) {
            Hazard::Blade, Hazard::Solvent, Hazard::SmallParts, Hazard::Hot => true,
            Hazard::Inky, Hazard::Heavy, Hazard::Powder, Hazard::LiesFlat => false,
        }));
    }

    /**
     * Returns the warning for a thing in such a place, or null where there is nothing to warn of.
     *
     * @param list<Hazard> $hazards of the thing
     */
    public static function warning(string $thing, string $place, array $hazards, bool $isSafe, int $aboveFloorMm): ?string
    {
        $danger = self::endangers($hazards, $isSafe, $aboveFloorMm);

        return [] === $danger
            ? null
            : \sprintf(
                'Small children can reach %s; %s (%s) is better out of their reach.',
                $place,
                $thing,
                implode(', ', array_map(static fn (Hazard $hazard): string => $hazard->value, $danger)),
            );
    }
}
