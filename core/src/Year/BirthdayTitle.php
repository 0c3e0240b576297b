<?php

declare(strict_types=1);

namespace Lottel\Core\Year;

/** Whose yearly date a calendar's entry is, as people and their programs title them. */
final readonly class BirthdayTitle
{
    private function __construct(public OccasionKind $kind, public string $person)
    {
    }

    /** Reads titles such as `Ann Tern’s birthday`, `Birthday: Ann Tern`, `Ann Tern (1950)`; an anniversary or wedding day is one too. */
    public static function read(string $title): self
    {
        $text = trim((string) preg_replace(['/[^\p{L}\p{N}\p{P}\s]+/u', '/\s+/u'], ['', ' '], $title));
        $kind = 1 === preg_match('/anniversary|wedding/iu', $text) ? OccasionKind::Anniversary : OccasionKind::Birthday;
        $person = (string) preg_replace([
            '/\s*\(\s*\*?\s*\d{2,4}\s*\)\s*/u',
            '/\b(?:wedding\s+anniversary|wedding\s+day|anniversary|birthday|b[- ]?day)(?:\s+(?:of|for))?\b/iu',
            '/[’\']s\s*$|[’\'](?=\s*$)/u',
            '/^[\s:;,.–—-]+|[\s:;,.–—-]+$/u',
        ], ['', '', '', ''], $text);
        $person = (string) preg_replace('/[’\']s?\s*$/u', '', trim($person));

        return new self($kind, trim($person, " \t:;,.–—-"));
    }
}
