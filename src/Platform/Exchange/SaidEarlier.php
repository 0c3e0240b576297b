<?php

declare(strict_types=1);

namespace App\Platform\Exchange;

use Lottel\Core\Log\PlaceNature;
use Lottel\Core\Log\Why;

/** What a file of an earlier version says in other words than in a field of its own, which came later. */
final class SaidEarlier
{
    /** @param array<mixed> $row as the file says it */
    public static function of(string $section, string $field, array $row): int|string|null
    {
        return match ("{$section}.{$field}") {
            'movements.why' => Why::ofNote(self::word($row['note'] ?? ''))?->value,
            'places.number' => self::number($row),
            default => throw new \LogicException("Nothing is known of {$section}.{$field} in earlier files."),
        };
    }

    /**
     * Trays, folders, baskets and boxes are called by their number.
     *
     * @param array<mixed> $place
     */
    private static function number(array $place): ?int
    {
        $isNumbered = PlaceNature::Tray->value === ($place['nature'] ?? null) && \in_array($place['kind'] ?? null, ['tray', 'folder', 'basket'], true);

        return $isNumbered && 1 === preg_match('/ (\d{1,6})/', self::word($place['address'] ?? ''), $found) ? (int) $found[1] : null;
    }

    private static function word(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }
}
