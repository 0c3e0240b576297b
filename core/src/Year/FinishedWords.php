<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** What a finished piece is, by its name and by what its kit makes. */
final class FinishedWords
{
    private const PAGES = ['page', 'layout', 'spread', 'album'];

    /** Whether it goes into an album and not to a person: by its name, or by what the kit makes that made it. */
    public static function isPage(string $name, string $makes = ''): bool
    {
        $made = preg_split('/,| with | for | from | of /u', mb_strtolower($makes))[0] ?? '';
        $said = preg_split('/[^\p{L}]+/u', mb_strtolower($name).' '.$made, -1, \PREG_SPLIT_NO_EMPTY) ?: [];

        return [] !== array_filter($said, static fn (string $word): bool => \in_array(rtrim($word, 's'), self::PAGES, true));
    }
}
