<?php

declare(strict_types=1);

namespace Lottel\Core\Cutting;

use Lottel\Core\Measure\Size;

/** Whether something that was cut ahead of time is what is wanted. */
final class ReadyCut
{
    /**
     * @param bool $mayTurn whether it may lie either way round
     * @param bool $isScored whether what is wanted is scored; what is ready says so in its name
     */
    public static function is(Size $ready, string $name, Size $wanted, bool $mayTurn, bool $isScored): bool
    {
        $isAsLarge = $ready->equals($wanted) || ($mayTurn && $ready->turned()->equals($wanted));

        return $isAsLarge && $isScored === self::saysScored($name);
    }

    /** Whether a name says that something is scored; bases are. */
    public static function saysScored(string $name): bool
    {
        return 1 === preg_match('/\b(?:scored|bases?)\b/iu', $name);
    }
}
