<?php

declare(strict_types=1);

namespace App\Room\Stores;

use Doctrine\DBAL\Connection;

/** A wall is one wall, however its name is spelt: small or capital letters, one blank or two. */
final readonly class WallNames
{
    public function __construct(private Connection $database)
    {
    }

    /** Returns the name as the room spells it already; as it was typed where there is no such wall. */
    public function spelt(string $typed): string
    {
        foreach ($this->database->fetchFirstColumn('SELECT wall FROM unit ORDER BY id') as $known) {
            if (\is_string($known) && self::plain($known) === self::plain($typed)) {
                return $known;
            }
        }

        return $typed;
    }

    private static function plain(string $name): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', ' ', trim($name)));
    }
}
