<?php

declare(strict_types=1);

namespace Lottel\Core\Log;

/** What a line of the log stands for beside its reason, where the difference matters to what is read from it. */
enum Why: string
{
    /** Less was counted than the log believed, since it was used without a word: that is use. */
    case UsedUnlogged = 'used';

    /** It was moved in the log only, from where the log believed it to where it was found. */
    case FoundHere = 'found here';

    /** What lines of earlier versions say in their note alone, in the words in which it was written then; null where that is nothing. */
    public static function ofNote(string $note): ?self
    {
        return match ($note) {
            'counted: used without a word' => self::UsedUnlogged,
            'was found here' => self::FoundHere,
            default => null,
        };
    }
}
