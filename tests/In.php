<?php

declare(strict_types=1);

namespace App\Tests;

/** Reads what lies deep in a decoded document; null where nothing does. */
final class In
{
    public static function of(mixed $document, int|string ...$path): mixed
    {
        foreach ($path as $key) {
            $document = \is_array($document) ? $document[$key] ?? null : null;
        }

        return $document;
    }
}
